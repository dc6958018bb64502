import type { ReactNode } from 'react';
import { useSize } from '../ui/use-size.ts';

/** What a region of a shared picture is called while it is dealt with on all papers, and before. */
export interface LegendWords {
  readonly marked: string;
  readonly owed: string;
}

interface PicturePanelProps {
  readonly title: string;
  readonly words: LegendWords;
  /** A last line of the legend. */
  readonly note?: ReactNode;
  /** The drawing for the room there is. */
  readonly children: (size: { readonly width: number; readonly height: number }) => ReactNode;
}

/** A shared picture with its title and its legend. */
export function PicturePanel({ title, words, note, children }: PicturePanelProps) {
  const [ref, size] = useSize<HTMLDivElement>();
  return (
    <section className="panel area" aria-label="Shared picture">
      <h2>{title}</h2>
      <div className="area-body">
        <div className="area-room" ref={ref}>
          {size.width > 0 && children(size)}
        </div>
        <ul className="legend caption" aria-label="Legend">
          <li className="pointed">pointed at</li>
          <li className="marked">{words.marked}</li>
          <li className="some">on some papers</li>
          <li className="owed">{words.owed}</li>
          {note && <li className="note">{note}</li>}
        </ul>
      </div>
    </section>
  );
}
