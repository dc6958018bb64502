import type { EntryId, Given, Mark, OwedEntry, Spot, Trace } from '../account/account.ts';
import type { Box, Ruling, Sheet, SheetCell, SheetNote, SheetSign, SheetSlot } from './sheet.ts';

/** How an area of a method's paper lies on the squares. */
export type AreaLayout = (
  spot: Spot,
  written: Mark | Given,
) => Box & { size?: 'full' | 'small'; spread?: boolean };

export interface SheetDraft {
  /** One layout for each area the method writes in; held marks need none. */
  readonly areas: Readonly<Record<string, AreaLayout>>;
  readonly slot?: (entry: OwedEntry, parts: readonly number[]) => Box | null;
  readonly rulings: readonly Ruling[];
  readonly signs?: readonly SheetSign[];
  readonly notes?: readonly SheetNote[];
}

const MARGIN = 1;
const HELD = { x: 0, y: 0, width: 1, height: 1, size: 'full', spread: false, held: true } as const;

/**
 * Lays a trace on squared paper. Coordinates of the draft may start anywhere; the sheet is moved so
 * that everything lies inside it with one square of margin.
 */
export function draftSheet(trace: Trace, draft: SheetDraft): Sheet {
  const held = heldIds(trace);
  const cells: SheetCell[] = [];
  for (const written of [...trace.givens, ...trace.steps.flatMap((step) => step.gives)]) {
    if (held.has(written.id)) {
      cells.push({ entry: written.id, ...HELD });
      continue;
    }
    const layout = draft.areas[written.spot.area];
    if (!layout) throw new RangeError(`draftSheet: no layout for area "${written.spot.area}"`);
    const { size = 'full', spread = false, ...box } = layout(written.spot, written);
    cells.push({ entry: written.id, ...box, size, spread, held: false });
  }
  const slots = trace.start.flatMap((entry): SheetSlot[] => {
    const parts = trace.space.parts(trace.space.find(entry.id.slice(1)) ?? 0);
    const box = draft.slot?.(entry, parts);
    return box ? [{ entry: entry.id, ...box }] : [];
  });
  return shifted({
    cells,
    slots,
    rulings: draft.rulings,
    signs: draft.signs ?? [],
    notes: draft.notes ?? [],
  });
}

function heldIds(trace: Trace): ReadonlySet<EntryId> {
  const marks = trace.steps.flatMap((step) => step.gives);
  return new Set(marks.filter((mark) => mark.medium === 'head').map((mark) => mark.id));
}

type Unsized = Omit<Sheet, 'width' | 'height'>;

function shifted(sheet: Unsized): Sheet {
  const [xs, ys] = extents(sheet);
  const dx = MARGIN - xs.least;
  const dy = MARGIN - ys.least;
  const move = <T extends { x: number; y: number }>(item: T): T => ({
    ...item,
    x: item.x + dx,
    y: item.y + dy,
  });
  return {
    width: Math.ceil(xs.most + dx + MARGIN),
    height: Math.ceil(ys.most + dy + MARGIN),
    cells: sheet.cells.map((cell) => (cell.held ? cell : move(cell))),
    slots: sheet.slots.map(move),
    signs: sheet.signs.map(move),
    notes: sheet.notes.map(move),
    rulings: sheet.rulings.map((ruling) => ({
      ...ruling,
      x1: ruling.x1 + dx,
      x2: ruling.x2 + dx,
      y1: ruling.y1 + dy,
      y2: ruling.y2 + dy,
    })),
  };
}

interface Extent {
  least: number;
  most: number;
}

/** The squares that cells, signs and rulings cover; whole squares so that figures sit in squares. */
function extents(sheet: Unsized): readonly [Extent, Extent] {
  const xs: Extent = { least: 0, most: 0 };
  const ys: Extent = { least: 0, most: 0 };
  const cover = (extent: Extent, from: number, to: number) => {
    extent.least = Math.min(extent.least, Math.floor(Math.min(from, to)));
    extent.most = Math.max(extent.most, Math.ceil(Math.max(from, to)));
  };
  const boxes: readonly Box[] = [...sheet.cells.filter((cell) => !cell.held), ...sheet.signs];
  for (const { x, y, width, height } of boxes) {
    cover(xs, x, x + width);
    cover(ys, y, y + height);
  }
  for (const { x1, y1, x2, y2 } of sheet.rulings) {
    cover(xs, x1, x2);
    cover(ys, y1, y2);
  }
  for (const note of sheet.notes) cover(xs, note.x, note.x + note.text.length * 0.42);
  return [xs, ys];
}
