import { where, type Where } from '../../account/chance.ts';
import type { Mark, Phrase, School } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt, numeralText, type Numeral } from '../../exact/numeral.ts';
import {
  factOf,
  columnLineSlip,
  productSlip,
  productTotal,
  shiftOf,
  zerosFrom,
} from './column-slips.ts';
import { columnPhrases } from './column-words.ts';
import { lineText, type TwoFactors } from './two-factors.ts';

const { phrase } = columnPhrases;

/** Writes one line and its group; returns the figures that the final sum adds, and the carries that the line used. */
export function writeLine(
  scribe: Scribe,
  factors: TwoFactors,
  j: number,
  school: School,
  { single, before }: { readonly single: boolean; readonly before: readonly number[] },
): WrittenLine {
  const { top, bottom } = factors;
  if (isLeftOut(factors, j, school)) {
    leaveOut(scribe, factors, j);
    return { marks: [], carries: before };
  }
  const zeros = school['shift'] === 'zeros';
  const slip = columnLineSlip(scribe, factors, j, zeros);
  const shift = shiftOf(slip, j);
  const opening = zeros && shift > 0 ? openLine(scribe, factors, { j, shift, single }) : [];
  const multiplier = digitAt(bottom, slip === 'first-figure-again' ? 0 : j);
  const written =
    digitAt(bottom, j) === 0
      ? { marks: zeroRow(scribe, factors, j, single), carries: before }
      : productRow(scribe, factors, { j, shift, multiplier, school, single, before });
  const marks = [...written.marks, ...opening];
  scribe.group(
    `line-${j}`,
    'line',
    marks,
    phrase('column.line', { line: lineText(top, bottom, j), number: j + 1 }),
  );
  return { marks, carries: written.carries };
}

/** A line as it is written, with the carries that joined its figures. */
export interface WrittenLine {
  readonly marks: readonly Mark[];
  readonly carries: readonly number[];
}

/** A line to be written. */
interface Line {
  readonly j: number;
  readonly shift: number;
  readonly single: boolean;
}

/** Whether a row of zeros is left out: only where the zeros of other lines hold its place. */
export function isLeftOut({ top, bottom }: TwoFactors, j: number, school: School): boolean {
  const may = school['zero-rows'] === 'left-out' && school['shift'] === 'zeros';
  const isSomething = top.digits.some((digit) => digit > 0);
  return may && isSomething && bottom.digits.length > 1 && digitAt(bottom, j) === 0;
}

function leaveOut(scribe: Scribe, { top, bottom }: TwoFactors, j: number): void {
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'line', of: j },
    takes: top.digits.map((_, i) => scribe.owes(i, j)),
    writes: [],
    phrase: phrase('column.zero-left-out', {
      multiplier: 0,
      place: j,
      lower: scribe.lowerFactor,
      next: bottom.digits.some((digit, k) => k > j && digit > 0),
    }),
  });
}

function openLine(
  scribe: Scribe,
  { bottom }: TwoFactors,
  { j, shift, single }: Line,
): readonly Mark[] {
  return scribe.step({
    law: 'place-value',
    phase: { kind: 'line', of: j },
    takes: [],
    writes: Array.from({ length: shift }, (_, place) => ({
      role: single ? ('answer' as const) : ('placeholder' as const),
      count: 0,
      place,
      spot: lineSpot(j, place),
    })),
    phrase: phrase('column.placeholder', {
      multiplier: digitAt(bottom, j),
      place: j,
      zeros: shift,
      lower: scribe.lowerFactor,
    }),
  });
}

function lineSpot(j: number, place: number) {
  return { area: 'line', row: j, column: place };
}

/** A digit 0 of the lower factor: a full row of zeros, or a single 0 when it is the only line. */
function zeroRow(scribe: Scribe, { top }: TwoFactors, j: number, single: boolean): readonly Mark[] {
  const places = single ? [0] : top.digits.map((_, i) => i);
  return scribe.step({
    law: 'evaluate',
    phase: { kind: 'line', of: j },
    takes: top.digits.map((_, i) => scribe.owes(i, j)),
    writes: places.map((i) => ({
      role: single ? ('answer' as const) : ('product' as const),
      count: 0,
      place: i + j,
      spot: lineSpot(j, i + j),
    })),
    phrase: phrase('column.zero-row', {
      multiplier: 0,
      top: numeralText(top),
      place: j,
      lower: scribe.lowerFactor,
    }),
  });
}

/** A line of products by one figure. */
interface ProductLine extends Line {
  readonly multiplier: number;
  readonly school: School;
  /** The carries that joined the figures of the line before. */
  readonly before: readonly number[];
}

/** The fact that a product is worked by, as the learner has it; 0 where none is used. */
function learnedFact(
  scribe: Scribe,
  product: Parameters<typeof factOf>[0],
  slip: Parameters<typeof factOf>[1],
  at: Where,
): number {
  const used = factOf(product, slip);
  return used ? scribe.fact(used, at) : 0;
}

function productRow(scribe: Scribe, { top }: TwoFactors, line: ProductLine): WrittenLine {
  const { base } = scribe;
  const { j, multiplier, school, single, before } = line;
  const role = single ? 'answer' : 'product';
  const figures: Mark[] = [];
  const carries: number[] = [];
  let offset = line.shift;
  let carry: Mark | null = null;
  let [carried, old] = [0, 0];
  for (let i = 0; i < top.digits.length; i++) {
    const isLast = i === top.digits.length - 1;
    const above = before[i] ?? 0;
    const product = { digit: digitAt(top, i), multiplier, carried, old, above, isLast };
    carries.push(carried);
    const slip = productSlip(scribe, product, where('line', j, i));
    const fact = learnedFact(scribe, product, slip, where('cell', i, j));
    const total = productTotal(product, slip, fact);
    const mayWhole = !isLast && total >= base && slip === '';
    const whole = writesWhole(scribe, top, mayWhole, where('line', j, i));
    // A carry that jumps over a zero stays as it is, and joins the next figure.
    const goesOn: Mark | null = slip === 'carry-over-zero' ? carry : null;
    const keep: number = isLast || whole ? 0 : Math.floor(total / base);
    const place = i + offset;
    const writes: Writing[] = writtenFigures(total, isLast || whole, base).map((count, k) =>
      figureWriting(role, count, j, place + k),
    );
    if (keep > 0) writes.push(carryWriting(keep, j, i + 1, place + 1, school));
    const spent: Mark | null = goesOn ? null : carry;
    const marks = scribe.step({
      law: 'evaluate',
      phase: { kind: 'line', of: j },
      takes: spent ? [scribe.owes(i, j), spent] : [scribe.owes(i, j)],
      strikes: spent && spent.medium === 'paper' && slip !== 'forget-carry' ? [spent] : [],
      writes,
      phrase: productPhrase(scribe, product, {
        place: i,
        linePlace: line.shift,
        fact,
        total,
        keep,
        slip,
      }),
    });
    if (!goesOn) {
      old = carried;
      carry = keep > 0 ? marks.at(-1)! : null;
      carried = keep;
    }
    if (whole) offset++;
    figures.push(...marks.filter((mark) => mark.role === role));
  }
  return { marks: figures, carries };
}

/** What comes of a product, and where: what is said of it beside its figures. */
interface Told {
  readonly place: number;
  readonly linePlace: number;
  readonly fact: number;
  readonly total: number;
  readonly keep: number;
  readonly slip: string;
}

/** What is said of a product of two figures and what joins it. */
export function productPhrase(
  { lowerFactor: lower }: Scribe,
  product: {
    readonly digit: number;
    readonly multiplier: number;
    readonly carried: number;
    readonly above: number;
  },
  { place, linePlace, fact, total, keep, slip }: Told,
): Phrase {
  const { digit, multiplier, carried, above } = product;
  // Field by field: this is made for every figure, and spreading objects is slow.
  const where = { digit, place, multiplier, linePlace, lower, carried, above };
  return phrase('column.product', Object.assign(where, { fact, total, keep, slip }));
}

/** Whether both figures of a product are written in one place; asked for at every product but the last. */
function writesWhole(scribe: Scribe, top: Numeral, may: boolean, at: Where): boolean {
  const [, i = 0] = at.at;
  if (i === top.digits.length - 1) return false;
  return scribe.slip('whole-product-in-place', may, { at, ahead: zerosFrom(top, i + 1) + 1 });
}

function figureWriting(role: Writing['role'], count: number, j: number, place: number): Writing {
  return { role, count, place, spot: lineSpot(j, place) };
}

/** One figure, or all figures of the total when it is written whole, ones first. */
function writtenFigures(total: number, whole: boolean, base: number): number[] {
  if (!whole) return [total % base];
  return [...total.toString(base)].reverse().map((digit) => parseInt(digit, base));
}

/**
 * Where carries stand by school, and whether they are lined up with the line's figures or with those of the factor.
 * Anywhere a carry is worth what its line's place makes it.
 */
const CARRY_SPOTS: Readonly<Record<string, readonly [area: string, column: 'place' | 'factor']>> = {
  above: ['carry-above', 'factor'],
  below: ['carry-below', 'place'],
  'at-the-side': ['carry-side', 'factor'],
};

export function carryWriting(
  count: number,
  j: number,
  over: number,
  place: number,
  school: School,
): Writing {
  const [area, column] = CARRY_SPOTS[school['carries'] ?? ''] ?? CARRY_SPOTS['above']!;
  return {
    role: 'carry',
    count,
    place,
    spot: { area, row: j, column: column === 'place' ? place : over },
    medium: carryMedium(school),
  };
}

export function carryMedium(school: School): 'paper' | 'head' {
  return school['carries'] === 'in-the-head' ? 'head' : 'paper';
}
