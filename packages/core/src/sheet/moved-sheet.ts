import type { Sheet, SheetCell } from './sheet.ts';

/** Whether a cell is not on the paper at all: held in the head and drawn in the tray. */
export function isOff({ held, beside }: SheetCell): boolean {
  return held && !beside;
}

/** What lies on a sheet, apart from its size. */
export type SheetParts = Omit<Sheet, 'width' | 'height'>;

/** Everything that lies on a sheet, moved to the right and down. */
export function movedParts(sheet: SheetParts, dx: number, dy: number): SheetParts {
  const box = <T extends { x: number; y: number }>(of: T): T => ({
    ...of,
    x: of.x + dx,
    y: of.y + dy,
  });
  const line = <T extends { x1: number; y1: number; x2: number; y2: number }>(of: T): T => ({
    ...of,
    x1: of.x1 + dx,
    x2: of.x2 + dx,
    y1: of.y1 + dy,
    y2: of.y2 + dy,
  });
  return {
    cells: sheet.cells.map((cell) => (isOff(cell) ? cell : box(cell))),
    slots: sheet.slots.map(box),
    rulings: sheet.rulings.map(line),
    signs: sheet.signs.map(box),
    notes: sheet.notes.map(box),
    links: sheet.links.map(line),
  };
}
