import type { EntryId, Given, Mark, Trace } from '../account/account.ts';
import type { Box, Ruling, Sheet, SheetCell, SheetNote, SheetSign, SheetSlot } from './sheet.ts';
import { marksById } from './visible.ts';

/** A piece of text centred on a point, in squares. */
export interface PlacedText {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/** A short stroke under a figure that tells its place. */
export interface Notch {
  readonly x: number;
  readonly y: number;
  readonly length: number;
}

/** One given or mark, ready to be drawn. */
export interface Figure {
  readonly entry: EntryId;
  readonly box: Box;
  readonly texts: readonly PlacedText[];
  /** Height of the letters' line, in squares. */
  readonly size: number;
  readonly notches: readonly Notch[];
  /** The place of its last figure; undefined for a number written whole. */
  readonly place: number | undefined;
  readonly kind: 'given' | 'mark' | 'small';
}

/** A sheet with every position worked out. What is visible when is left to the timeline. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly figures: readonly Figure[];
  /** Marks held in the head, in the order they come; they have no place on the paper. */
  readonly held: readonly { readonly entry: EntryId; readonly text: string }[];
  readonly slots: readonly SheetSlot[];
  readonly rulings: readonly Ruling[];
  readonly signs: readonly SheetSign[];
  readonly notes: readonly SheetNote[];
}

const FULL = 0.8;
const SMALL = 0.54;
/** A number written whole need not fit one square a figure. */
const WHOLE = 1.15;
/** Average width of a figure in its own line height. */
const FIGURE_WIDTH = 0.64;

export function drawSheet(sheet: Sheet, trace: Trace): Drawing {
  const marks = marksById(trace);
  const givens = new Map(trace.givens.map((given) => [given.id, given]));
  const figures: Figure[] = [];
  const held: { entry: EntryId; text: string }[] = [];
  for (const cell of sheet.cells) {
    const written = marks.get(cell.entry) ?? givens.get(cell.entry);
    if (!written) throw new RangeError(`drawSheet: ${cell.entry} is on the sheet but in no trace`);
    if (cell.held) held.push({ entry: cell.entry, text: written.glyph });
    else figures.push(figure(cell, written));
  }
  const { width, height, slots, rulings, signs, notes } = sheet;
  return { width, height, figures, held, slots, rulings, signs, notes };
}

function figure(cell: SheetCell, written: Mark | Given): Figure {
  const { glyph, place, role } = written;
  const { x, y, width, height, size, spread, entry } = cell;
  const whole = place === undefined || role === 'operand part';
  const most = size === 'small' ? SMALL : whole ? Math.min(WHOLE, height) : FULL;
  const letters = spread ? 1 : glyph.length;
  const room = spread ? 1 : width;
  const lineHeight = Math.min(most, (room * 0.92) / (letters * FIGURE_WIDTH));
  const middle = y + height / 2;
  const texts = spread
    ? [...glyph].map((text, i) => ({ x: x + i + 0.5, y: middle, text }))
    : [{ x: x + width / 2, y: middle, text: glyph }];
  return {
    entry,
    box: { x, y, width, height },
    texts,
    size: lineHeight,
    notches:
      place === undefined
        ? []
        : notches(place, x + width / 2, middle + lineHeight * 0.47, lineHeight),
    place,
    kind: written.standing === 'given' ? 'given' : size === 'small' ? 'small' : 'mark',
  };
}

/**
 * The cue for a place: one dot for tens, two for hundreds, a bar for thousands, then bar and dots.
 * Ones have none.
 */
function notches(place: number, x: number, y: number, size: number): readonly Notch[] {
  const bars = Array<number>(Math.floor(place / 3)).fill(size * 0.22);
  const dots = Array<number>(place % 3).fill(size * 0.07);
  const lengths = [...bars, ...dots];
  const gap = size * 0.09;
  const total = lengths.reduce((sum, length) => sum + length + gap, -gap);
  let at = x - total / 2;
  return lengths.map((length) => {
    const notch = { x: at, y, length };
    at += length + gap;
    return notch;
  });
}
