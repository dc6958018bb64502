import type { PlacedText, Notch } from './placed.ts';
import { pointRule } from '../problem/kinds.ts';
import type { EntryId, Given, Mark, Trace } from '../account/account.ts';
import { scriptOf } from '../problem/script.ts';
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
import { setRunning } from './running.ts';
import { marksById } from './visible.ts';

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
  readonly kind: 'given' | 'mark' | 'small' | 'held';
  readonly ringed: boolean;
  readonly underlined: boolean;
  /** How it is underlined alike with others; see {@link likeLine}. */
  readonly alike?: LikeLine;
  /** Whether its small letters stand for numbers and are set as such. */
  readonly lettered: boolean;
  /** Lines between the numbers of a fraction. */
  readonly bars: readonly Notch[];
  /** The stroke through it once it is struck: where its middle is and how far it reaches each way. */
  readonly strike: {
    readonly middle: number;
    readonly across: number;
    readonly up: number;
  };
}

/** A sheet with every position worked out. What is visible when is left to the timeline. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly figures: readonly Figure[];
  /** Marks held in the head that have no place on the paper, in the order they come. */
  readonly held: readonly { readonly entry: EntryId; readonly text: string }[];
  readonly slots: readonly SheetSlot[];
  readonly rulings: readonly Ruling[];
  readonly signs: readonly SheetSign[];
  readonly notes: readonly SheetNote[];
  readonly links: readonly SheetLink[];
}

const FULL = 0.8;
const SMALL = 0.54;
const SIDE = 0.68;
/** A number written whole need not fit one square a figure. */
const WHOLE = 1.15;
/** Average width of a figure in its own line height. */
const FIGURE_WIDTH = 0.64;

/** What a number leaves free at the right edge of its box, and within a ring. */
const EDGE = 0.1;
const RING_EDGE = 0.35;

export function drawSheet(sheet: Sheet, trace: Trace): Drawing {
  const marks = marksById(trace);
  const givens = new Map(trace.givens.map((given) => [given.id, given]));
  const lettered = scriptOf(trace.problem) === 'terms';
  const figures: Figure[] = [];
  const shift = pointShift(trace);
  const held: { entry: EntryId; text: string }[] = [];
  for (const cell of sheet.cells) {
    const written = marks.get(cell.entry) ?? givens.get(cell.entry);
    if (!written) throw new RangeError(`drawSheet: ${cell.entry} is on the sheet but in no trace`);
    if (cell.unseen) continue;
    if (cell.held && !cell.beside) held.push({ entry: cell.entry, text: written.glyph });
    else figures.push({ ...figure(cell, written, shift), lettered });
  }
  const { width, height, slots, rulings, signs, notes, links } = sheet;
  return { width, height, figures, held, slots, rulings, signs, notes, links };
}

/** Where the ones stand on papers with points: sums show them, products do not. */
function pointShift({ scale, problem }: Trace): number {
  return scale && pointRule(problem.kind) === 'lined-up' ? scale.decimals : 0;
}

function mostOf(size: SheetCell['size'], full: number): number {
  if (size === 'small') return SMALL;
  return size === 'side' ? SIDE : full;
}

function figure(cell: SheetCell, written: Mark | Given, shift: number): Omit<Figure, 'lettered'> {
  const { role } = written;
  const place = written.place === undefined ? undefined : written.place - shift;
  const glyph = cell.beside ? `(${written.glyph})` : written.glyph;
  const { x, y, width, height, size, spread } = cell;
  const running = cell.lettering === undefined ? null : runningOf(cell, glyph, cell.lettering);
  if (running) return { ...running, ...plainOf(cell, written), place };
  const whole = place === undefined || role === 'operand part';
  const most = mostOf(size, whole ? Math.min(WHOLE, height) : FULL);
  const fraction = height >= 1.6 ? stackOf(cell, glyph) : null;
  if (fraction) return { ...fraction, ...plainOf(cell, written), place };
  const letters = spread ? 1 : glyph.length;
  const room = spread ? 1 : width;
  const lineHeight = Math.min(most, (room * 0.92) / (letters * FIGURE_WIDTH));
  const middle = y + height / 2;
  const length = letters * lineHeight * FIGURE_WIDTH;
  const texts = spread
    ? [...glyph].map((text, i) => ({ x: x + i + 0.5, y: middle, text }))
    : [{ x: centreOf(cell, length), y: middle, text: glyph }];
  return {
    ...plainOf(cell, written),
    bars: NO_BARS,
    texts,
    size: lineHeight,
    notches:
      place === undefined || place < 0 || !isNotched(role, glyph)
        ? []
        : notches(place, lastFigureAt(cell, glyph, length), middle + lineHeight * 0.47, lineHeight),
    place,
    strike: strikeOf(spread ? x + width / 2 : texts[0]!.x, spread ? width : length, lineHeight),
  };
}

const NO_BARS: readonly Notch[] = [];

/** Mathematics that runs on in a line, all its letters of one height. */
function runningOf(cell: SheetCell, glyph: string, size: number) {
  const { width, texts, bars } = setRunning(glyph, size);
  const [x, y] = [cell.x + (cell.width - width) / 2, cell.y + cell.height / 2];
  return {
    texts: texts.map((own) => ({ ...own, x: x + own.x, y: y + own.y })),
    bars: bars.map((own) => ({ ...own, x: x + own.x, y: y + own.y })),
    size,
    notches: [],
    strike: strikeOf(x + width / 2, width, size),
  };
}

/** What a figure takes over from its cell as it is. */
function plainOf(cell: SheetCell, written: Mark | Given) {
  const { x, y, width, height, entry, ringed, underlined, alike } = cell;
  const box = { x, y, width, height };
  const same = alike === undefined ? {} : { alike: likeLine(box, alike) };
  return { entry, box, kind: kindOf(cell, written), ringed, underlined, ...same };
}

/** The line under terms that are alike: as a path of an SVG, and the dashes in which it is drawn. */
export interface LikeLine {
  readonly path: string;
  readonly dashes: readonly number[];
}

/** One line, two lines, a wave, dashes, dots, and then two of each: seven kinds can be told apart. */
function likeLine({ x, y, width, height }: Box, kind: number): LikeLine {
  const [from, to, at] = [x + 0.2, x + width - 0.2, y + height - 0.12];
  const straight = (line: number) => `M${r(from)} ${r(line)}H${r(to)}`;
  const wave = (line: number) => {
    const half = (to - from) / (2 * Math.max(2, Math.round((to - from) / 0.45)));
    const turns = Math.round((to - from) / half);
    return (
      `M${r(from)} ${r(line)}` +
      `q${r(half / 2)} ${-0.14} ${r(half)} 0q${r(half / 2)} 0.14 ${r(half)} 0`.repeat(turns / 2)
    );
  };
  const DASHES = [0.18, 0.1];
  const DOTS = [0.04, 0.12];
  switch (kind % 7) {
    case 0:
      return { path: straight(at), dashes: [] };
    case 1:
      return { path: straight(at - 0.08) + straight(at + 0.06), dashes: [] };
    case 2:
      return { path: wave(at), dashes: [] };
    case 3:
      return { path: straight(at), dashes: DASHES };
    case 4:
      return { path: straight(at), dashes: DOTS };
    case 5:
      return { path: straight(at - 0.08) + straight(at + 0.06), dashes: DASHES };
    default:
      return { path: wave(at - 0.1) + straight(at + 0.06), dashes: [] };
  }
}

function r(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

/** A sign, a whole number, a fraction, and letters behind it. */
const FRACTION = /^([−+]?)(?:(\d+) )?(\d+)\/(\d+)(?: ?([a-z⁰¹²³⁴-⁹]+))?$/;

/** A text in runs of letters that stand for numbers and of everything else. */
export function letterRuns(
  text: string,
  lettered: boolean,
): readonly { readonly text: string; readonly isLetter: boolean }[] {
  if (!lettered) return [{ text, isLetter: false }];
  return text
    .split(/([a-z]+)/)
    .filter((run) => run !== '')
    .map((run) => ({ text: run, isLetter: /^[a-z]/.test(run) }));
}

/** A fraction with its numerator over its denominator, a whole number before it at half height. */
function stackOf(cell: SheetCell, glyph: string) {
  const [, sign = '', whole = '', top = '', bottom = '', tail = ''] = FRACTION.exec(glyph) ?? [];
  if (bottom === '') return null;
  const lead = sign + whole;
  const longest = Math.max(top.length, bottom.length);
  const gap = lead === '' ? 0 : 0.16;
  const room = cell.width - gap - 0.1;
  const size = Math.min(FULL, room / ((lead.length + longest + tail.length) * FIGURE_WIDTH));
  const [leadWidth, width, tailWidth] = [lead.length, longest, tail.length].map(
    (n) => n * size * FIGURE_WIDTH,
  ) as [number, number, number];
  const total = leadWidth + gap + width + (tail === '' ? 0 : tailWidth + 0.12);
  const from = cell.x + (cell.width - total) / 2;
  const middle = cell.y + cell.height / 2;
  const centre = from + leadWidth + gap + width / 2;
  const texts = [
    { x: centre, y: middle - size * 0.58, text: top },
    { x: centre, y: middle + size * 0.58, text: bottom },
    ...(lead === '' ? [] : [{ x: from + leadWidth / 2, y: middle, text: lead }]),
    ...(tail === ''
      ? []
      : [{ x: centre + width / 2 + 0.12 + tailWidth / 2, y: middle, text: tail }]),
  ];
  const bars = [{ x: centre - width / 2 - 0.06, y: middle, length: width + 0.12 }];
  const strike = strikeOf(cell.x + cell.width / 2, total, size);
  return { texts, bars, size, notches: [], strike };
}

/** The middle of the last figure, under which notches stand: it is its place that they tell. */
function lastFigureAt(cell: SheetCell, glyph: string, length: number): number {
  if (cell.spread) return cell.x + glyph.length - 0.5;
  return centreOf(cell, length) + (length / 2) * (1 - 1 / Math.max(1, glyph.length));
}

/** A stroke, a little one and a part with its zeros tell their place themselves. */
function isNotched(role: Mark['role'], glyph: string): boolean {
  return glyph !== '' && role !== 'little one' && !(role === 'operand part' && glyph.length > 1);
}

/** The middle of a number: of its box, or so that it ends where the box does. */
function centreOf({ x, width, align, ringed }: SheetCell, length: number): number {
  const edge = ringed ? RING_EDGE : EDGE;
  return align === 'right' ? x + width - edge - length / 2 : x + width / 2;
}

/** A slanting stroke over one figure, a flatter one over a number of several. */
function strikeOf(middle: number, length: number, lineHeight: number): Figure['strike'] {
  const up = lineHeight * 0.42;
  return {
    middle,
    across: Math.max(up, length * 0.5),
    up: length > lineHeight ? up * 0.7 : up,
  };
}

function kindOf({ held, size }: SheetCell, { standing }: Mark | Given): Figure['kind'] {
  if (held) return 'held';
  if (standing === 'given') return 'given';
  return size === 'full' ? 'mark' : 'small';
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
