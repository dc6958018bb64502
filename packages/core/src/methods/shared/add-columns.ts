import { slipOf } from '../../slips/catalogue.ts';
import { carryFeatures, type Feature, figureFeatures, where } from '../../account/chance.ts';
import type { Entry, Mark, Spot } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { definePhrases, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { SlipSpec } from '../method.ts';
import { totalSlip, writtenTotal } from './sum-slips.ts';

type ColumnValues = {
  readonly figures: readonly string[];
  readonly carried: number;
  /** What the figures make, and what they are taken to make. */
  readonly due: number;
  readonly total: number;
  readonly place: number;
  readonly keep: number;
  readonly last: boolean;
  readonly lostCarry: boolean;
  /** What is added: `lines` or `addends`. */
  readonly what: string;
  readonly inPlace: boolean;
  /** What is written in the column. */
  readonly stays: number;
  readonly slip: string;
};

const column: Wording<ColumnValues> = {
  digit: (values, say) => {
    const { figures, carried, due, total, keep, last, lostCarry, inPlace, stays, slip } = values;
    const parts =
      carried && !lostCarry ? [...figures, `${say.number(carried)} ${say.carried}`] : figures;
    const lost = lostCarry ? ` The ${say.number(carried)} ${say.carried} is forgotten.` : '';
    if (parts.length === 0) return `Only zeros here: write **0**.`;
    if (parts.length === 1) return `Only ${parts[0]} here: write **${say.number(total)}**.${lost}`;
    const sum = `${parts.length > 5 ? `${parts.length} figures` : parts.join(' + ')} ${total === due ? '=' : 'is taken for'} ${say.number(total)}`;
    if (inPlace) return `${sum}: write the whole **${say.number(total)}** here.${lost}`;
    if (slip === 'carry-over-blank-lost')
      return `${sum}: write **${say.number(stays)}**, and nothing before it.${lost}`;
    if (keep === 0 && (last || total < say.base))
      return `${sum}: write **${say.number(total)}**.${lost}`;
    return `${sum}: write **${say.number(stays)}**, ${say.passOnFigures(keep)}.${lost}`;
  },
  value: (values, say) => {
    const { figures, carried, due, total, place, keep, last, lostCarry, what } = values;
    const { inPlace, stays, slip } = values;
    const lost = lostCarry
      ? ` The ${say.count(carried, place)} ${say.carried} ${say.is(carried)} forgotten.`
      : '';
    const places = say.places(place);
    if (figures.length === 0 && carried === 0) {
      return `No ${what.slice(0, -1)} has any ${places}: write **0**.`;
    }
    if (figures.length + (carried && !lostCarry ? 1 : 0) === 1) {
      return `The ${places} hold **${say.count(total, place)}** and nothing joins them.${lost}`;
    }
    const from =
      carried && !lostCarry ? ` with the ${say.count(carried, place)} ${say.carried}` : '';
    const sum = `The ${places} of all ${what}${from} ${total === due ? 'make' : 'are taken to make'} **${say.count(total, place)}**`;
    if (inPlace) return `${sum}, but all of it is written in the ${places}.${lost}`;
    if (slip === 'carry-over-blank-lost')
      return `${sum}, but only ${say.count(stays, place)} are written.${lost}`;
    if (slip !== '')
      return `${sum}: ${say.count(stays, place)} are written and ${say.count(keep, place + 1)} ${say.carried}.${lost}`;
    if (last || total < say.base) return `${sum}.${lost}`;
    return `${sum}: write ${say.count(stays, place)}, ${say.passOn(keep, place + 1)}.${lost}`;
  },
};

export const sumPhrases = definePhrases({
  'sum.column': column,
  'sum.left-out': plain(
    ({ figures }: { figures: string }) =>
      `Nothing stands with the ${figures}, and nothing is written for it.`,
  ),
});

export const FORGET_SUM_CARRY: SlipSpec = {
  ...slipOf('forget-carry'),
  mechanism: 'A carry between two columns of the sum is not added.',
};

export const WHOLE_COLUMN_TOTAL: SlipSpec = {
  ...slipOf('whole-total-in-place'),
  label: 'Whole total of a column in one place',
  mechanism: 'Both figures of a column’s total are written, so that all places after it move up.',
};

/** A figure that takes part in the sum: so many of a place. */
export interface Addend {
  /** Null for a figure that a learner adds where it does not stand. */
  readonly entry: Entry | null;
  readonly count: number;
  readonly place: number;
}

export interface ColumnSum {
  /** Every figure to be added; placeholders may be left out or in, they are worth nothing. */
  readonly figures: readonly Addend[];
  /** What is added, for the sentences. */
  readonly what: 'lines' | 'addends';
  readonly carryMedium: 'paper' | 'head';
  /** Strikes a carry once it is used. */
  readonly strikes: boolean;
  /** Whether a learner may slip in what is written of a total and what is carried, as in the sum that is asked for. */
  readonly maySlip?: boolean;
}

interface Joining {
  readonly place: number;
  readonly carried: number;
  /** What was carried one column before. */
  readonly before: number;
  readonly maySlip: boolean | undefined;
}

/** What a column's figures and its carry are taken to make. */
function joinedFigures(
  scribe: Scribe,
  here: readonly Addend[],
  { place, carried, before, maySlip }: Joining,
) {
  const at = where('place', place);
  const lostCarry = scribe.slip(FORGET_SUM_CARRY.id, carried > 0, {
    at,
    features: [...carryFeatures(carried), ...columnFeatures(here)],
  });
  const eleven = maySlip === true && carried === 1 && before === 1 && !lostCarry;
  const isEleven = scribe.slip('carries-as-eleven', eleven, { at });
  const kept = lostCarry ? 0 : isEleven ? scribe.base + 1 : carried;
  const summands = here.map(({ count }) => count).concat(kept > 0 ? kept : []);
  const due: number = summands.reduce((all, count) => all + count, 0);
  const fact = { sign: '+', of: summands, due } as const;
  const total = summands.length > 1 ? scribe.fact(fact, at) : due;
  return { lostCarry, kept, due, total };
}

/** The next column that writes more than a zero, once the total of one has been written whole and carries nothing on. */
function nextWritten(
  columns: readonly (readonly Addend[] | undefined)[],
  place: number,
  top: number,
  base: number,
): number {
  let carry = 0;
  for (let next = place + 1; next < top; next++) {
    const total = (columns[next] ?? []).reduce((all, { count }) => all + count, carry);
    if (total % base > 0) return next;
    carry = Math.floor(total / base);
  }
  return top;
}

function columnFeatures(column: readonly Addend[]): readonly Feature[] {
  const [above, below] = column;
  return above ? figureFeatures(above.count, below?.count) : [];
}

/** The figures of a column's total from its place on, and its carry. */
function columnWrites(figures: readonly number[], from: number, carry: Writing | null): Writing[] {
  const own = figures.map((count, i): Writing => ({
    role: 'answer',
    count,
    place: from + i,
    spot: answerSpot(from + i),
  }));
  return carry ? [...own, carry] : own;
}

/** Whether a learner stops where only one number has figures still: the chance is at the first such place, when nothing is carried there. */
function endsAtBlank(
  scribe: Scribe,
  columns: readonly (readonly Addend[] | undefined)[],
  { place, carried }: { readonly place: number; readonly carried: number },
): boolean {
  const alone = (at: number) => (columns[at]?.length ?? 0) === 1;
  const left = columns.slice(place);
  const isFirst = place > 0 && alone(place) && !alone(place - 1);
  const counts = left.some((column) => column?.some(({ count }) => count > 0));
  const may =
    isFirst && left.every((column) => (column?.length ?? 0) < 2) && carried === 0 && counts;
  return scribe.slip('blank-column-left-out', may, { at: where('place', place) });
}

/** The figures from a place on, for which nothing is written. */
function leftOut(
  scribe: Scribe,
  columns: readonly (readonly Addend[] | undefined)[],
  place: number,
): AddedColumn {
  const left = columns.slice(place).flatMap((column) => column ?? []);
  const entries = left.flatMap(({ entry }) => entry ?? []);
  const figures = left.map(({ count }) => count.toString(scribe.base).toUpperCase()).reverse();
  const marks = scribe.step({
    law: 'place-value',
    phase: { kind: 'sum' },
    takes: entries,
    writes: [],
    phrase: sumPhrases.phrase('sum.left-out', { figures: figures.join('') }),
  });
  return { place, entries, marks };
}

/** One column added up. */
export interface AddedColumn {
  readonly place: number;
  readonly entries: readonly Entry[];
  /** The answer's figures and the carry, as written. */
  readonly marks: readonly Mark[];
}

/** Written figures as addends. */
export function addends(marks: readonly Mark[], base: number): readonly Addend[] {
  return marks.map((mark) => ({
    entry: mark,
    count: parseInt(mark.glyph, base),
    place: mark.place ?? 0,
  }));
}

/**
 * Adds figures column by column from the ones: the whole of column addition, and the final sum of
 * every method that writes lines under each other. A column's whole total above its last figure is
 * carried, however many figures it has; the last column's total is written whole.
 */
export function addColumns(scribe: Scribe, sum: ColumnSum): readonly AddedColumn[] {
  const columns = byPlace(sum.figures);
  const added: AddedColumn[] = [];
  let carry: Mark | null = null;
  let [carried, before] = [0, 0];
  let shift = 0;
  const filled = lastColumn(columns);
  const top = Math.max(filled, scribe.leastPlaces - 1);
  for (let place = 0; place <= top; place++) {
    const here = columns[place] ?? [];
    const last = place === top;
    if (sum.maySlip && endsAtBlank(scribe, columns, { place, carried })) {
      added.push(leftOut(scribe, columns, place));
      break;
    }
    const joined = joinedFigures(scribe, here, { place, carried, before, maySlip: sum.maySlip });
    const { lostCarry, kept, due, total } = joined;
    const parts = here.length + (kept > 0 ? 1 : 0);
    const column = { total, place, last, parts };
    const slip = sum.maySlip ? totalSlip(scribe, column) : '';
    const may = sum.maySlip === true && slip === '' && total >= scribe.base && place < filled;
    const inPlace = scribe.slip(WHOLE_COLUMN_TOTAL.id, may, {
      at: where('place', place),
      ahead: may ? nextWritten(columns, place, top, scribe.base) - place : 0,
    });
    const whole = { stays: total, keep: 0 };
    const { stays, keep } = inPlace ? whole : writtenTotal(column, slip, scribe.base);
    const entries = here.flatMap(({ entry }) => entry ?? []);
    const figures = figuresOf(stays, last || inPlace, scribe.base);
    const marks: readonly Mark[] = scribe.step({
      law: 'place-value',
      phase: { kind: 'sum' },
      takes: carry ? [...entries, carry] : entries,
      strikes: carry && sum.strikes && !lostCarry ? [carry] : [],
      writes: columnWrites(figures, place + shift, carryOf(keep, place + 1, sum.carryMedium)),
      phrase: sumPhrases.phrase('sum.column', {
        figures: here.map(({ count }) => count.toString(scribe.base).toUpperCase()),
        carried: lostCarry ? carried : kept,
        due,
        total,
        place,
        keep,
        last,
        lostCarry,
        what: sum.what,
        inPlace,
        stays,
        slip,
      }),
    });
    if (inPlace) shift += figures.length - 1;
    carry = keep > 0 ? marks.at(-1)! : null;
    before = carried;
    carried = keep;
    added.push({ place, entries, marks });
  }
  return added;
}

/**
 * The answer of a method that writes whole numbers on lines and adds them; a line that stands alone is
 * the answer itself. Placeholders are left out.
 */
export function totalOfLines(scribe: Scribe, lines: readonly (readonly Mark[])[]): readonly Mark[] {
  const [only] = lines;
  const reaches = only?.some(({ place = 0 }) => place + 1 >= scribe.leastPlaces);
  if (lines.length === 1 && only && reaches) return only;
  const figures = lines.flat().filter((mark) => mark.role !== 'placeholder');
  const columns = addColumns(scribe, {
    figures: addends(figures, scribe.base),
    what: 'lines',
    carryMedium: 'paper',
    strikes: true,
  });
  return answerOf(columns);
}

/** The answer's figures of columns added up, ones first. */
export function answerOf(columns: readonly AddedColumn[]): readonly Mark[] {
  return columns.flatMap(({ marks }) => marks.filter((mark) => mark.role === 'answer'));
}

function carryOf(count: number, place: number, medium: 'paper' | 'head'): Writing | null {
  if (count === 0) return null;
  return { role: 'carry' as const, count, place, spot: carrySpot(place), medium };
}

function answerSpot(place: number): Spot {
  return { area: 'answer', row: 0, column: place };
}

function carrySpot(place: number): Spot {
  return { area: 'sum-carry', row: 0, column: place };
}

function byPlace(figures: readonly Addend[]): Addend[][] {
  const columns: Addend[][] = [];
  for (const addend of figures) (columns[addend.place] ??= []).push(addend);
  return columns;
}

/** The last column worth writing: higher ones that hold only zeros would put zeros in front. */
function lastColumn(columns: readonly (readonly Addend[] | undefined)[]): number {
  for (let place = columns.length - 1; place > 0; place--) {
    if (columns[place]?.some(({ count }) => count > 0)) return place;
  }
  return 0;
}

/** One figure, or in the last column all figures of the total, ones first. */
function figuresOf(total: number, last: boolean, base: number): number[] {
  if (!last) return [total % base];
  return [...total.toString(base)].reverse().map((digit) => parseInt(digit, base));
}
