import type { Box } from '@levee/core';
import { SheetView, type SheetViewProps } from './sheet-view.tsx';

interface SquaredSheetProps extends SheetViewProps {
  readonly className: string;
  readonly view: Box;
}

/** A sheet on its squared paper, whose lines go through the squares that are shown. */
export function SquaredSheet({ className, ...sheet }: SquaredSheetProps) {
  const { square, view } = sheet;
  return (
    <div
      className={className}
      style={{
        backgroundSize: `${square}px ${square}px`,
        backgroundPosition: `${-view.x * square}px ${-view.y * square}px`,
        width: view.width * square,
      }}
    >
      <SheetView {...sheet} />
    </div>
  );
}
