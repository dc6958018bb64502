import { carryFeatures, where, type Where } from '../../account/chance.ts';
import type { Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt, numeralText, type Numeral } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import {
  addColumns,
  addends,
  answerOf,
  sumPhrases,
} from '../shared/add-columns.ts';
import { COLUMN_SCHOOLS } from './column-schools.ts';
import { columnSheet } from './column-sheet.ts';
import { ON_TOP, isSecondOnTop } from './schools.ts';
import { acceptsProduct, lineText, twoFactors, type TwoFactors } from './two-factors.ts';

type ProductValues = {
  readonly digit: number;
  readonly place: number;
  readonly multiplier: number;
  readonly linePlace: number;
  /** The operand that the multiplier belongs to. */
  readonly lower: number;
  readonly carried: number;
  readonly total: number;
  /** What goes to the next figure; 0 when nothing does. */
  readonly keep: number;
  readonly slip: string;
};

const product: Wording<ProductValues> = {
  digit: ({ digit, multiplier, carried, total, keep, slip }, say) => {
    if (slip === 'carry-before-multiplying') {
      return `${say.number(digit)} and ${say.number(carried)} ${say.carried} are multiplied together: write **${say.number(total)}**${keep > 0 ? `, keeping ${say.number(keep)}` : ''}.`;
    }
    const fact = say.fact(multiplier, digit, multiplier * digit);
    const plus =
      carried > 0 && slip !== 'forget-carry'
        ? `, and ${say.number(carried)} ${say.carried} makes ${say.number(total)}`
        : '';
    const lost =
      slip === 'forget-carry' ? ` The ${say.number(carried)} ${say.carried} is forgotten.` : '';
    if (keep === 0) return `${fact}${plus}: write **${say.number(total)}**.${lost}`;
    return `${fact}${plus}: write **${say.number(total % say.base)}**, ${say.passOnFigures(keep)}.${lost}`;
  },
  value: ({ digit, place, multiplier, linePlace, lower, carried, total, keep, slip }, say) => {
    const at = place + linePlace;
    if (slip === 'carry-before-multiplying') {
      return `The ${say.carried} ${say.count(carried, at)} are multiplied as if they were still to be: **${say.count(total, at)}**.`;
    }
    const fact = say.placeFact(multiplier, linePlace, digit, place, lower);
    const plus =
      carried > 0 && slip !== 'forget-carry'
        ? `; with the ${say.count(carried, at)} ${say.carried} they make **${say.count(total, at)}**`
        : '';
    const lost =
      slip === 'forget-carry' ? ` The ${say.count(carried, at)} ${say.carried} are forgotten.` : '';
    if (keep === 0) return `${fact}${plus}.${lost}`;
    return `${fact}${plus}: write **${say.count(total % say.base, at)}**, ${say.passOn(keep, at + 1)}.${lost}`;
  },
};

const phrases = definePhrases({
  ...sumPhrases.wordings,
  'column.product': product,
  'column.zero-row': {
    digit: ({ multiplier, top }: { multiplier: number; top: string; place: number }, say) =>
      `${say.number(multiplier)} times anything is 0: write a row of zeros under ${top}.`,
    value: ({ place }: { multiplier: number; top: string; place: number }, say) =>
      `There are no ${say.places(place, 1)} to multiply by, so this line is **nothing**.`,
  },
  'column.zero-left-out': {
    digit: ({ multiplier, next }: { multiplier: number; place: number; next: boolean }, say) =>
      `${say.number(multiplier)} times anything is 0: no row is written${next ? ', and the next line begins with a zero more' : ''}.`,
    value: ({ place, next }: { multiplier: number; place: number; next: boolean }, say) =>
      `There are no ${say.places(place, 1)} to multiply by: nothing is written${next ? ', and a zero of the next line holds their place' : ''}.`,
  },
  'column.placeholder': {
    digit: ({ zeros }: { multiplier: number; place: number; zeros: number; lower: number }, say) =>
      `Next line: write **${'0'.repeat(zeros)}** first, the ${say.placeholder}${zeros === 1 ? '' : 's'}.`,
    value: (
      {
        multiplier,
        place,
        zeros,
        lower,
      }: { multiplier: number; place: number; zeros: number; lower: number },
      say,
    ) =>
      `${multiplier === 0 ? `This line counts **${say.places(place)}**` : `The ${say.number(multiplier)} is **${say.count(multiplier, place, lower)}**, so this line counts ${say.places(place)}`}: ${zeros === 1 ? 'a zero holds' : 'zeros hold'} the places below.`,
  },
  'column.line': plain(
    ({ line, number }: { line: string; number: number }, say) =>
      `line ${number}, ${line.replace('×', say.times)}`,
  ),
  'column.answer': fixed('answer of the column'),
});

const { phrase } = phrases;

export const columnMultiplication = defineMethod({
  id: 'column-multiplication',
  family: 'multiplication',
  name: 'Column multiplication',
  shortName: 'Column',
  alsoCalled: ['long multiplication', 'short multiplication', 'multiplication in columns'],
  summary:
    'Each digit of the lower factor makes one line, digit by digit with carries; the lines are added.',
  why: 'Each digit of one factor multiplies all of the other, and the lines are parts of one sum.',
  medium: 'on paper',
  direction: 'from the ones',
  freeOrder: false,
  schools: [...COLUMN_SCHOOLS, ON_TOP],
  slips: [
    {
      id: 'forget-carry',
      label: 'Carry not added',
      mechanism:
        'A carry is written or held, but not added to the next product, or to the next column of the sum.',
    },
    {
      id: 'carry-before-multiplying',
      label: 'Carry added before multiplying',
      mechanism: 'The carry joins the digit first, so it is multiplied too.',
    },
    {
      id: 'omit-placeholder',
      label: 'Line not shifted',
      mechanism: 'A line of tens starts in the ones, so it is ten times too small.',
    },
    {
      id: 'whole-product-in-place',
      label: 'Whole product in one place',
      mechanism: 'Both figures are written and nothing is carried, so the line gains a figure.',
    },
  ],
  phrases: phrases.book,
  accepts: acceptsProduct,
  secondOnTop: isSecondOnTop,
  work,
  sheet: columnSheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const factors = twoFactors(problem);
  const { top, bottom } = factors;
  scribe.openProduct(problem.operands);
  top.digits.forEach((_, i) =>
    scribe.give(0, i, 'operand digit', { area: 'top', row: 0, column: i }),
  );
  bottom.digits.forEach((_, j) =>
    scribe.give(1, j, 'operand digit', { area: 'bottom', row: 0, column: j }),
  );
  const single = bottom.digits.filter((_, j) => !isLeftOut(factors, j, school)).length === 1;
  const lines = bottom.digits
    .map((_, j) => writeLine(scribe, factors, j, school, single))
    .filter((line) => line.length > 0);
  if (single) return scribe.close(lines[0]!, phrase('column.answer', {}));
  const columns = addColumns(scribe, {
    figures: addends(lines.flat(), scribe.base),
    what: 'lines',
    carryMedium: carryMedium(school),
    strikes: school['carries'] !== 'in-the-head',
  });
  return scribe.close(answerOf(columns), phrase('column.answer', {}));
}

function carryMedium(school: School): 'paper' | 'head' {
  return school['carries'] === 'in-the-head' ? 'head' : 'paper';
}

/** Writes one line and its group; returns the figures that the final sum adds. */
function writeLine(
  scribe: Scribe,
  factors: TwoFactors,
  j: number,
  school: School,
  single: boolean,
): Mark[] {
  const { top, bottom } = factors;
  if (isLeftOut(factors, j, school)) {
    leaveOut(scribe, factors, j);
    return [];
  }
  const may = j > 0 && digitAt(bottom, j) > 0 && top.digits.some((d) => d > 0);
  const omitted = scribe.slip('omit-placeholder', may, {
    at: where('line', j),
    ahead: zerosFrom(top, 0),
  });
  const shift = omitted ? 0 : j;
  const opening =
    school['shift'] === 'zeros' && shift > 0 ? openLine(scribe, factors, j, single) : [];
  const figures =
    digitAt(bottom, j) === 0
      ? zeroRow(scribe, factors, j, single)
      : productRow(scribe, factors, j, shift, school, single);
  const marks = [...figures, ...opening];
  scribe.group(
    `line-${j}`,
    'line',
    marks,
    phrase('column.line', { line: lineText(top, bottom, j), number: j + 1 }),
  );
  return marks;
}

/** Whether a row of zeros is left out: only where the zeros of other lines hold its place. */
function isLeftOut({ top, bottom }: TwoFactors, j: number, school: School): boolean {
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
      next: bottom.digits.some((digit, k) => k > j && digit > 0),
    }),
  });
}

function openLine(
  scribe: Scribe,
  { bottom }: TwoFactors,
  j: number,
  single: boolean,
): readonly Mark[] {
  return scribe.step({
    law: 'place-value',
    phase: { kind: 'line', of: j },
    takes: [],
    writes: Array.from({ length: j }, (_, place) => ({
      role: single ? ('answer' as const) : ('placeholder' as const),
      count: 0,
      place,
      spot: lineSpot(j, place),
    })),
    phrase: phrase('column.placeholder', {
      multiplier: digitAt(bottom, j),
      place: j,
      zeros: j,
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
    phrase: phrase('column.zero-row', { multiplier: 0, top: numeralText(top), place: j }),
  });
}

function productRow(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  j: number,
  shift: number,
  school: School,
  single: boolean,
): Mark[] {
  const { base } = scribe;
  const multiplier = digitAt(bottom, j);
  const role = single ? 'answer' : 'product';
  const figures: Mark[] = [];
  let offset = shift;
  let carry: Mark | null = null;
  let carried = 0;
  for (let i = 0; i < top.digits.length; i++) {
    const digit = digitAt(top, i);
    const last = i === top.digits.length - 1;
    const slip = carrySlip(scribe, carried, multiplier, where('line', j, i));
    const total = lineTotal(digit, multiplier, carried, slip);
    const whole =
      !last &&
      scribe.slip('whole-product-in-place', total >= base && noSlip(slip), {
        at: where('line', j, i),
        ahead: zerosFrom(top, i + 1) + 1,
      });
    const keep: number = last || whole ? 0 : Math.floor(total / base);
    const place = i + offset;
    const writes: Writing[] = writtenFigures(total, last || whole, base).map((count, k) => ({
      role,
      count,
      place: place + k,
      spot: lineSpot(j, place + k),
    }));
    if (keep > 0) writes.push(carryWriting(keep, j, i + 1, place + 1, school));
    const marks = scribe.step({
      law: 'evaluate',
      phase: { kind: 'line', of: j },
      takes: carry ? [scribe.owes(i, j), carry] : [scribe.owes(i, j)],
      strikes: carry && carry.medium === 'paper' ? [carry] : [],
      writes,
      phrase: phrase('column.product', {
        digit,
        place: i,
        multiplier,
        linePlace: shift,
        lower: scribe.lowerFactor,
        carried,
        total,
        keep,
        slip,
      }),
    });
    carry = keep > 0 ? marks.at(-1)! : null;
    carried = keep;
    if (whole) offset++;
    figures.push(...marks.filter((mark) => mark.role === role));
  }
  return figures;
}

/** How many zeros stand in a number from a place on to the left. */
function zerosFrom({ digits }: Numeral, place: number): number {
  const filled = digits.findIndex((digit, i) => i >= place && digit > 0);
  return filled < 0 ? 0 : filled - place;
}

type CarrySlip = '' | 'forget-carry' | 'carry-before-multiplying';

function noSlip(slip: CarrySlip): boolean {
  return slip === '';
}

/** Both chances are asked for at every carry, so that they are counted alike in every run. */
function carrySlip(scribe: Scribe, carried: number, multiplier: number, at: Where): CarrySlip {
  const chance = { at, features: carryFeatures(carried) };
  const before = scribe.slip('carry-before-multiplying', carried > 0 && multiplier !== 1, chance);
  const forgotten = scribe.slip('forget-carry', carried > 0, chance);
  return forgotten ? 'forget-carry' : before ? 'carry-before-multiplying' : '';
}

function lineTotal(digit: number, multiplier: number, carried: number, slip: CarrySlip): number {
  if (slip === 'forget-carry') return digit * multiplier;
  if (slip === 'carry-before-multiplying') return (digit + carried) * multiplier;
  return digit * multiplier + carried;
}

/** One figure, or all figures of the total when it is written whole, ones first. */
function writtenFigures(total: number, whole: boolean, base: number): number[] {
  if (!whole) return [total % base];
  return [...total.toString(base)].reverse().map((digit) => parseInt(digit, base));
}

/**
 * A carry sits over the next digit of the upper factor, or under the figure of the line it joins.
 * Either way it is worth what its line's place makes it.
 */
/** Where carries stand by school, and whether they are lined up with the line's figures or with those of the factor. */
const CARRY_SPOTS: Readonly<Record<string, readonly [area: string, column: 'place' | 'factor']>> = {
  above: ['carry-above', 'factor'],
  below: ['carry-below', 'place'],
  'at-the-side': ['carry-side', 'factor'],
};

function carryWriting(
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
