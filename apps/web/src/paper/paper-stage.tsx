import { useLayoutEffect, useRef } from 'react';
import { SheetView, type SheetViewProps } from '../sheet/sheet-view.tsx';
import { useSize } from '../ui/use-size.ts';
import { scrolledTo, writtenBy } from './follow.ts';

export interface PaperStageProps extends Omit<SheetViewProps, 'square' | 'label'> {
  /** Least and most pixels of a square; a sheet too large for the least one is scrolled. */
  readonly least: number;
  readonly most: number;
}

/** Squares around what was just written that stay in sight. */
const MARGIN = 1.5;

/** A sheet in the middle of squared paper, as large as the room allows; one that is scrolled follows the work. */
export function PaperStage({ least, most, ...sheet }: PaperStageProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { drawing, method, last } = sheet.paper;
  const room = Math.min(width / drawing.width, height / drawing.height);
  const square = Math.max(least, Math.min(most, Math.floor(room * 2) / 2));
  const [left, top] = [
    snap(width - drawing.width * square),
    snap(height - drawing.height * square),
  ];
  const scrolls = drawing.width * square > width + 1 || drawing.height * square > height + 1;
  const inner = useRef<HTMLDivElement>(null);
  const { paper, step } = sheet;
  useLayoutEffect(() => {
    // In the next frame, when all papers have shown their step: asking one for its place in between
    // would lay out the whole page once a paper.
    const frame = requestAnimationFrame(() => {
      const stage = inner.current?.parentElement;
      const newest = stage ? writtenBy(paper, step, square) : null;
      if (!stage || !newest) return;
      const across = scrolledTo(stage.scrollLeft, width, newest.across, MARGIN * square);
      const down = scrolledTo(stage.scrollTop, height, newest.down, MARGIN * square);
      if (across !== stage.scrollLeft || down !== stage.scrollTop) stage.scrollTo(across, down);
    });
    return () => cancelAnimationFrame(frame);
  }, [paper, step, square, width, height]);
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
        </div>
      )}
    </div>
  );

  /** Half of what is left over, on whole pixels. */
  function snap(over: number): number {
    return Math.max(0, Math.floor(over / 2));
  }
}
