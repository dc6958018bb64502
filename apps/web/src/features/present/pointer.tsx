import type { Box } from '@levee/core';
import { useSession } from '../../store/session-store.ts';
import type { Paper } from '../../worked/work.ts';

/** How large the pointer is, in squares. */
const SIZE = 1.5;

interface PointerProps {
  readonly paper: Paper;
  /** Pixels of a square, and what of the sheet is shown. */
  readonly square: number;
  readonly view: Box;
}

/** A large arrow at the mark that is held by a key or a press, so that the last row sees which it is. */
export function Pointer({ paper, square, view }: PointerProps) {
  const at = useSession(({ pointed, pinned }) =>
    pinned && pointed?.kind === 'entry' && pointed.paper === paper.id ? pointed.id : null,
  );
  const figure = paper.drawing.figures.find(({ entry }) => entry === at);
  if (!figure) return null;
  const across = alongside(figure.box.x - view.x, figure.box.width, view.width);
  const down = alongside(figure.box.y - view.y, figure.box.height, view.height);
  return (
    <svg
      className="large-pointer"
      viewBox="0 0 20 20"
      width={SIZE * square}
      height={SIZE * square}
      style={{
        left: across.at * square,
        top: down.at * square,
        transform: `scale(${across.by}, ${down.by})`,
      }}
      aria-hidden
    >
      <path d="M1 1 L1 15 L5.2 11.2 L8.4 18.4 L12 16.8 L8.8 9.8 L14.4 9.6 Z" />
    </svg>
  );
}

/** How far over the edge of the mark the tip lies, as a part of it. */
const IN = 0.14;

/** Where the pointer lies along a length: behind the mark, or turned before it where it would reach over the sheet. */
function alongside(from: number, size: number, room: number): { at: number; by: 1 | -1 } {
  const behind = from + size * (1 - IN);
  if (behind + SIZE <= room) return { at: behind, by: 1 };
  return { at: Math.max(0, from + size * IN - SIZE), by: -1 };
}
