import { useLayoutEffect, useRef, type ReactNode, type RefObject } from 'react';
import { SheetView, type SheetViewProps } from '../sheet/sheet-view.tsx';
import { useSize } from '../ui/use-size.ts';
import { scrolledTo, writtenBy } from './follow.ts';

export interface PaperStageProps extends Omit<SheetViewProps, 'square' | 'label'> {
  /** Least and most pixels of a square; a sheet too large for the least one is scrolled. */
  readonly least: number;
  readonly most: number;
  /** Times the size that suits the room. */
  readonly zoom: number;
  /** Whether the sheet lies at the left upper corner, and not in the middle. */
  readonly atCorner?: boolean;
  /** What lies over the sheet, in its place: pixels of a square, and the width of the room. */
  readonly over?: (square: number, room: number) => ReactNode;
}

/** Squares around what was just written that stay in sight. */
const MARGIN = 1.5;
/** Least pixels of a square at any zoom. */
const SMALLEST = 6;

/** A sheet in the middle of squared paper, as large as the room allows; one that is scrolled follows the work. */
export function PaperStage(props: PaperStageProps) {
  const { least, most, zoom, atCorner = false, over, ...sheet } = props;
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { drawing, method, last } = sheet.paper;
  const room = Math.min(width / drawing.width, height / drawing.height);
  const suiting = Math.max(least, Math.min(most, Math.floor(room * 2) / 2));
  const square = Math.max(SMALLEST, Math.round(suiting * zoom * 2) / 2);
  const [left, top] = [
    snap(width - drawing.width * square),
    snap(height - drawing.height * square),
  ];
  const scrolls = drawing.width * square > width + 1 || drawing.height * square > height + 1;
  const inner = useRef<HTMLDivElement>(null);
  const shownAt = useKeptMiddle(inner, square, width, height);
  const { paper, step } = sheet;
  useLayoutEffect(() => {
    // In the next frame, when all papers have shown their step: asking one for its place in between
    // would lay out the whole page once a paper.
    const frame = requestAnimationFrame(() => {
      const stage = inner.current?.parentElement;
      const square = shownAt.current;
      const newest = stage ? writtenBy(paper, step, square) : null;
      if (!stage || !newest) return;
      const across = scrolledTo(stage.scrollLeft, width, newest.across, MARGIN * square);
      const down = scrolledTo(stage.scrollTop, height, newest.down, MARGIN * square);
      if (across !== stage.scrollLeft || down !== stage.scrollTop) stage.scrollTo(across, down);
    });
    return () => cancelAnimationFrame(frame);
  }, [paper, step, shownAt, width, height]);
  return (
    <div
      ref={ref}
      className="stage"
      tabIndex={scrolls && width > 0 ? 0 : undefined}
      style={{
        backgroundSize: `${square}px ${square}px`,
        backgroundPosition: `${left % square}px ${top % square}px`,
      }}
    >
      {width > 0 && (
        <div ref={inner} style={{ position: 'absolute', left, top }}>
          <SheetView
            {...sheet}
            square={square}
            label={`${method.name}, ${sheet.step} of ${last} steps done`}
          />
          {over?.(square, width)}
        </div>
      )}
    </div>
  );

  /** Half of what is left over, on whole pixels. */
  function snap(left: number): number {
    return atCorner ? 0 : Math.max(0, Math.floor(left / 2));
  }
}

/** What is in the middle of the room stays there when the squares become larger or smaller; their size as shown. */
function useKeptMiddle(
  inner: RefObject<HTMLElement | null>,
  square: number,
  width: number,
  height: number,
): RefObject<number> {
  const before = useRef(square);
  useLayoutEffect(() => {
    const stage = inner.current?.parentElement;
    const by = square / before.current;
    before.current = square;
    if (!stage || by === 1) return;
    stage.scrollTo(
      (stage.scrollLeft + width / 2) * by - width / 2,
      (stage.scrollTop + height / 2) * by - height / 2,
    );
  }, [inner, square, width, height]);
  return before;
}
