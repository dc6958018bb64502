import { owedTerm } from '../account/ids.ts';
import type { EntryId, Given, Mark, OwedEntry, Spot, Trace } from '../account/account.ts';
import { isOff, movedParts, type SheetParts } from './moved-sheet.ts';
import { NOTE_SIZE } from './sheet.ts';
import type {
  Box,
  Ruling,
  Sheet,
  SheetCell,
  SheetLink,
  SheetNote,
  SheetSign,
  SheetSlot,
} from './sheet.ts';

/** How an area of a method's paper lies on the squares. */
export type AreaLayout = (
  spot: Spot,
  written: Mark | Given,
) => Box & {
  size?: SheetCell['size'];
  spread?: boolean;
  ringed?: boolean;
  beside?: boolean;
  underlined?: boolean;
  alike?: number;
  lettering?: number;
  align?: 'middle' | 'right';
};

export interface SheetDraft {
  /** One layout for each area the method writes in; held marks need one only to be drawn on the paper too. */
  readonly areas: Readonly<Record<string, AreaLayout>>;
  /** Where the work for an owed entry goes; in sums the figure of the question when not given. */
  readonly slot?: (
    entry: OwedEntry,
    parts: readonly number[],
  ) => (Box & { readonly dot?: boolean }) | null;
  readonly rulings: readonly Ruling[];
  readonly signs?: readonly SheetSign[];
  readonly notes?: readonly SheetNote[];
  readonly links?: readonly SheetLink[];
}

const MARGIN = 1;
const HELD = {
  x: 0,
  y: 0,
  width: 1,
  height: 1,
  size: 'full',
  spread: false,
  held: true,
  beside: false,
  ringed: false,
  underlined: false,
  align: 'middle',
} as const;

/**
 * Lays a trace on squared paper. Coordinates of the draft may start anywhere; the sheet is moved so
 * that everything lies inside it with one square of margin.
 */
export function draftSheet(trace: Trace, draft: SheetDraft): Sheet {
  const held = heldIds(trace);
  const cells: SheetCell[] = [];
  for (const written of [...trace.givens, ...trace.steps.flatMap((step) => step.gives)]) {
    const isHeld = held.has(written.id);
    const layout = draft.areas[written.spot.area];
    if (!layout) {
      cells.push(cellWithoutPlace(written, isHeld));
      continue;
    }
    const laid = layout(written.spot, written);
    const {
      size = 'full',
      spread = false,
      ringed = false,
      beside = false,
      underlined = false,
      align = 'middle',
      alike,
      lettering,
      ...box
    } = laid;
    if (isHeld && !beside) cells.push({ entry: written.id, ...HELD });
    else {
      const same = {
        ...(alike === undefined ? {} : { alike }),
        ...(lettering === undefined ? {} : { lettering }),
      };
      const looks = { size, spread, ringed, underlined, beside, align, ...same };
      cells.push({ entry: written.id, ...box, ...looks, held: isHeld });
    }
  }
  const figures = new Map(
    trace.givens.flatMap((given) => {
      const cell = cells.find(({ entry }) => entry === given.id);
      return given.owed && cell ? [[given.owed, cell] as const] : [];
    }),
  );
  const slots = trace.start.flatMap((entry): SheetSlot[] => {
    const parts = trace.space.parts(trace.space.find(owedTerm(entry.id) ?? '') ?? 0);
    const box = draft.slot?.(entry, parts);
    if (box) return [{ entry: entry.id, dot: true, ...box }];
    const figure = figures.get(entry.id);
    if (!figure) return [];
    const { x, y, width, height } = figure;
    return [{ entry: entry.id, x, y, width, height, dot: false }];
  });
  return shifted({
    cells,
    slots,
    rulings: draft.rulings,
    signs: draft.signs ?? [],
    notes: draft.notes ?? [],
    links: draft.links ?? [],
  });
}

/** What is held in the head, or only read otherwise. RangeError for what should stand on the paper. */
function cellWithoutPlace({ id, spot: { area } }: Mark | Given, isHeld: boolean): SheetCell {
  const isUnseen = READ_OTHERWISE.has(area);
  if (!isHeld && !isUnseen) throw new RangeError(`draftSheet: no layout for area "${area}"`);
  return { entry: id, ...HELD, ...(isUnseen ? { unseen: true } : {}) };
}

/** Areas of figures that stand on the paper already and are only read otherwise: nothing is held for them. */
const READ_OTHERWISE: ReadonlySet<string> = new Set(['pushed', 'read', 'again']);

function heldIds(trace: Trace): ReadonlySet<EntryId> {
  const marks = trace.steps.flatMap((step) => step.gives);
  return new Set(marks.filter((mark) => mark.medium === 'head').map((mark) => mark.id));
}

/** The sheet moved so that everything on it is inside its margins. */
function shifted(sheet: SheetParts): Sheet {
  const [xs, ys] = extents(sheet);
  const dx = MARGIN - xs.least;
  const dy = MARGIN - ys.least;
  return {
    ...movedParts(sheet, dx, dy),
    width: Math.ceil(xs.most + dx + MARGIN),
    height: Math.ceil(ys.most + dy + MARGIN),
  };
}

interface Extent {
  least: number;
  most: number;
}

/** The squares that cells, signs and rulings cover; whole squares so that figures sit in squares. */
function extents(sheet: SheetParts): readonly [Extent, Extent] {
  const xs: Extent = { least: 0, most: 0 };
  const ys: Extent = { least: 0, most: 0 };
  const cover = (extent: Extent, from: number, to: number) => {
    extent.least = Math.min(extent.least, Math.floor(Math.min(from, to)));
    extent.most = Math.max(extent.most, Math.ceil(Math.max(from, to)));
  };
  const boxes: readonly Box[] = [...sheet.cells.filter((cell) => !isOff(cell)), ...sheet.signs];
  for (const { x, y, width, height } of boxes) {
    cover(xs, x, x + width);
    cover(ys, y, y + height);
  }
  for (const { x1, y1, x2, y2 } of sheet.rulings) {
    cover(xs, x1, x2);
    cover(ys, y1, y2);
  }
  for (const { x1, x2, y1, y2, bow = 0 } of sheet.links) {
    cover(xs, x1, x2);
    const over = bow === 0 ? 0 : Math.sign(bow) * 0.3;
    cover(
      ys,
      Math.min(y1, y2) + Math.min(0, bow + over),
      Math.max(y1, y2) + Math.max(0, bow + over),
    );
  }
  for (const note of sheet.notes) {
    cover(xs, note.x, note.x + note.text.length * 0.84 * (note.size ?? NOTE_SIZE));
  }
  return [xs, ys];
}
