import { useLayoutEffect, useRef } from 'react';
import { SheetView, type SheetViewProps } from '../../sheet/sheet-view.tsx';
import { useSize } from '../../ui/use-size.ts';
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
  const inner = useRef<HTMLDivElement>(null);
  const { paper, step } = sheet;
  useLayoutEffect(() => {
    const stage = inner.current?.parentElement;
    if (!stage) return;
    const newest = writtenBy(paper, step, square);
    if (!newest) return;
    stage.scrollLeft = scrolledTo(stage.scrollLeft, width, newest.across, MARGIN * square);
    stage.scrollTop = scrolledTo(stage.scrollTop, height, newest.down, MARGIN * square);
  }, [paper, step, square, width, height]);
  return (
    <div
      ref={ref}
      className="stage"
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
