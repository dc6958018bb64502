import { SheetView, type SheetViewProps } from '../../sheet/sheet-view.tsx';
import { useSize } from '../../ui/use-size.ts';

export interface PaperStageProps extends Omit<SheetViewProps, 'square' | 'label'> {
  /** Least and most pixels of a square; a sheet too large for the least one is scrolled. */
  readonly least: number;
  readonly most: number;
}

/** A sheet in the middle of squared paper, as large as the room allows. */
export function PaperStage({ least, most, ...sheet }: PaperStageProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { drawing, method, last } = sheet.paper;
  const room = Math.min(width / drawing.width, height / drawing.height);
  const square = Math.max(least, Math.min(most, Math.floor(room * 2) / 2));
  const [left, top] = [
    snap(width - drawing.width * square),
    snap(height - drawing.height * square),
  ];
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
        <div style={{ position: 'absolute', left, top }}>
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
