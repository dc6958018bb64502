import { slipOf } from '../../slips/catalogue.ts';
import { carryFeatures, where, type Where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt, numeralValue } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { cellFact } from './facts.ts';
import { latticeSheet } from './lattice-sheet.ts';
import { acceptsProduct, partText, twoFactors, type Pair, type TwoFactors } from './two-factors.ts';

type CellValues = {
  readonly left: number;
  readonly leftPlace: number;
  readonly right: number;
  readonly rightPlace: number;
  /** What the fact is taken for. */
  readonly fact: number;
  readonly upper: number;
  readonly lower: number;
  readonly slip: string;
};

const cell: Wording<CellValues> = {
  digit: ({ left, right, fact: taken, upper, lower, slip }, say) => {
    const fact = say.fact(left, right, taken);
    const written = `**${say.number(upper)}** above the diagonal, **${say.number(lower)}** below`;
    if (slip === 'zero-tens-left-out') {
      return `${fact}: **${say.number(upper)}** above the diagonal, and nothing below.`;
    }
    return slip ? `${fact}, but written the wrong way round: ${written}.` : `${fact}: ${written}.`;
  },
  value: ({ left, leftPlace, right, rightPlace, fact: taken, upper, lower, slip }, say) => {
    const at = leftPlace + rightPlace;
    const written = `${say.count(upper, at + 1)} above the diagonal, ${say.count(lower, at)} below`;
    const fact = say.placeFact(left, leftPlace, right, rightPlace, 1, taken);
    if (slip === 'zero-tens-left-out') {
      return `${fact}, but ${say.count(upper, at + 1)} ${say.is(upper)} written above the diagonal, and nothing below.`;
    }
    return slip ? `${fact}, but ${written}.` : `${fact}: ${written}.`;
  },
};

type DiagonalValues = {
  readonly figures: readonly string[];
  readonly carried: number;
  readonly total: number;
  readonly place: number;
  readonly keep: number;
  readonly edge: number;
  readonly slip: string;
};

const diagonal: Wording<DiagonalValues> = {
  digit: ({ figures, carried, total, keep, edge, slip }, say) => {
    const parts = [
      ...figures,
      ...(carried && slip !== 'forget-carry' ? [`${say.number(carried)} ${say.carried}`] : []),
      ...(slip === 'add-edge-digit' ? [`${say.number(edge)} from the edge`] : []),
    ];
    const sum =
      parts.length === 1
        ? `Only ${parts[0]} on this diagonal`
        : `${parts.length > 6 ? `${parts.length} figures` : parts.join(' + ')} = ${say.number(total)}`;
    const lost =
      slip === 'forget-carry' ? ` The ${say.number(carried)} ${say.carried} is forgotten.` : '';
    if (keep === 0) return `${sum}: write **${say.number(total)}**.${lost}`;
    return `${sum}: write **${say.number(total % say.base)}**, ${say.passOnFigures(keep)} to the next diagonal.${lost}`;
  },
  value: ({ carried, total, place, keep, edge, slip }, say) => {
    const from =
      carried && slip !== 'forget-carry'
        ? ` with the ${say.count(carried, place)} ${say.carried}`
        : '';
    const lost =
      slip === 'forget-carry'
        ? ` The ${say.count(carried, place)} ${say.carried} are forgotten.`
        : slip === 'add-edge-digit'
          ? ` The ${say.number(edge)} at the edge is no part of the product, yet it is counted.`
          : '';
    const sum = `This diagonal holds the ${say.places(place)}${from}: **${say.count(total, place)}**`;
    if (keep === 0) return `${sum}.${lost}`;
    return `${sum}; write ${say.count(total % say.base, place)}, ${say.passOn(keep, place + 1)}.${lost}`;
  },
};

const phrases = definePhrases({
  'lattice.cell': cell,
  'lattice.diagonal': diagonal,
  'lattice.cell name': plain(
    ({ left, right }: { left: string; right: string }, say) => `cell ${left} ${say.times} ${right}`,
  ),
  'lattice.row name': plain(({ heading }: { heading: string }) => `cells of the row of ${heading}`),
  'lattice.column name': plain(
    ({ heading }: { heading: string }) => `cells of the column of ${heading}`,
  ),
  'lattice.diagonal name': plain(
    ({ place }: { place: number }, say) => `diagonal of the ${say.places(place)}`,
  ),
  'lattice.skipped': plain(
    ({ place }: { place: number }, say) =>
      `The diagonal of the ${say.places(place)} is passed over.`,
  ),
  'lattice.answer': fixed('answer of the lattice'),
});

const { phrase } = phrases;

export const lattice = defineMethod({
  id: 'lattice',
  family: 'multiplication',
  name: 'Lattice',
  shortName: 'Lattice',
  alsoCalled: ['diagonal box', 'sieve multiplication'],
  mind: 'A diagonal here gathers the figures of one place; elsewhere the crossing steps of one-line multiplication are called diagonals too.',
  summary:
    'A box for each pair of digits, split by a diagonal; totals are taken along the diagonals.',
  why: 'Every cell is a product of two digits, and a diagonal gathers what stands for the same place.',
  medium: 'on paper',
  direction: 'cells free; diagonals from the lower right',
  freeOrder: true,
  hasCells: true,
  schools: [
    {
      id: 'second-factor',
      label: 'Second factor',
      options: [
        { id: 'right', label: 'right', reason: 'The left edge is free for the answer.' },
        {
          id: 'left',
          label: 'left',
          reason: 'Read first, as in a grid; the totals stand next to it.',
        },
      ],
    },
    {
      id: 'fill',
      label: 'Cells',
      options: [
        {
          id: 'lower-right',
          label: 'from the lower right',
          reason: 'Ones first, as in the column form.',
        },
        {
          id: 'upper-left',
          label: 'from the upper left',
          reason: 'In reading order, largest first.',
        },
      ],
    },
  ],
  slips: [
    slipOf('swap-cell'),
    slipOf('zero-tens-left-out'),
    slipOf('skip-diagonal'),
    slipOf('read-from-wrong-end'),
    { ...slipOf('forget-carry'), mechanism: 'The carry to the next diagonal is not added.' },
    slipOf('add-edge-digit'),
    {
      ...slipOf('whole-total-in-place'),
      mechanism: 'A total of ten or more is written whole, so the answer gains a figure.',
    },
  ],
  phrases: phrases.book,
  accepts: acceptsProduct,
  work,
  sheet: latticeSheet,
});

interface CellMarks {
  readonly upper: Mark;
  /** Absent where a learner writes one figure alone. */
  readonly lower: Mark | undefined;
}

/** The figures of a cell. */
function figuresIn(cells: readonly CellMarks[]): readonly Mark[] {
  return cells.flatMap(({ upper, lower }) => (lower ? [upper, lower] : [upper]));
}

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const factors = twoFactors(problem);
  const { top, bottom } = factors;
  scribe.openProduct(problem.operands);
  top.digits.forEach((_, i) =>
    scribe.give(0, i, 'operand digit', { area: 'top', row: 0, column: i }),
  );
  bottom.digits.forEach((_, j) =>
    scribe.give(1, j, 'operand digit', { area: 'edge', row: j, column: 0 }),
  );
  const own = bottom.digits.flatMap((_, j) => top.digits.map((_digit, i): Pair => [i, j]));
  const cells: CellMarks[][] = bottom.digits.map(() => []);
  for (const [i, j] of scribe.ordered(school['fill'] === 'upper-left' ? own.reverse() : own)) {
    cells[j]![i] = writeCell(scribe, factors, [i, j]);
  }
  bottom.digits.forEach((_, j) => groupRow(scribe, factors, cells[j]!, j));
  top.digits.forEach((_, i) =>
    groupColumn(
      scribe,
      factors,
      cells.map((row) => row[i]!),
      i,
    ),
  );
  return scribe.close(addDiagonals(scribe, factors, cells), phrase('lattice.answer', {}));
}

function writeCell(scribe: Scribe, { top, bottom }: TwoFactors, [i, j]: Pair): CellMarks {
  const left = digitAt(bottom, j);
  const right = digitAt(top, i);
  const fact = cellFact(scribe, [left, right], [i, j]);
  const tens = Math.floor(fact / scribe.base);
  const ones = fact % scribe.base;
  const swapped = scribe.slip('swap-cell', tens !== ones, { at: where('cell', i, j) });
  const isLone = scribe.slip('zero-tens-left-out', tens === 0 && ones > 0 && !swapped, {
    at: where('cell', i, j),
  });
  const upper = swapped || isLone ? ones : tens;
  const lower = swapped ? tens : ones;
  const [above, below] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'cells' },
    takes: [scribe.owes(i, j)],
    writes: [
      {
        role: 'product',
        count: upper,
        place: i + j + 1,
        spot: { area: 'upper', row: j, column: i },
      },
      ...(isLone
        ? []
        : [
            {
              role: 'product' as const,
              count: lower,
              place: i + j,
              spot: { area: 'lower', row: j, column: i },
            },
          ]),
    ],
    phrase: phrase('lattice.cell', {
      left,
      leftPlace: j,
      right,
      rightPlace: i,
      fact,
      upper,
      lower,
      slip: swapped ? 'swap-cell' : isLone ? 'zero-tens-left-out' : '',
    }),
  });
  scribe.group(
    `cell-${i}.${j}`,
    'product',
    below ? [above!, below] : [above!],
    phrase('lattice.cell name', {
      left: partText(top, i),
      right: partText(bottom, j),
    }),
  );
  return { upper: above!, lower: below };
}

function groupRow(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  cells: readonly CellMarks[],
  j: number,
): void {
  if (top.digits.length < 2) return;
  const marks = figuresIn(cells);
  scribe.group(
    `row-${j}`,
    'row',
    marks,
    phrase('lattice.row name', { heading: partText(bottom, j) }),
  );
}

function groupColumn(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  cells: readonly CellMarks[],
  i: number,
): void {
  if (bottom.digits.length < 2) return;
  const marks = figuresIn(cells);
  scribe.group(
    `column-${i}`,
    'column',
    marks,
    phrase('lattice.column name', { heading: partText(top, i) }),
  );
}

/** The figures whose place is `place`: the lower ones of its cells and the upper ones of the cells before. */
function onDiagonal(cells: readonly (readonly CellMarks[])[], place: number): readonly Mark[] {
  return cells.flatMap((row, j) => {
    const upper = row[place - j - 1]?.upper;
    const lower = row[place - j]?.lower;
    return [lower, upper].filter((mark) => mark !== undefined);
  });
}

function addDiagonals(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  cells: readonly (readonly CellMarks[])[],
): readonly Mark[] {
  const { base } = scribe;
  const places = top.digits.length + bottom.digits.length;
  const answer: Mark[] = [];
  let carry: Mark | null = null;
  let carried = 0;
  let gained = 0;
  const turned = readTurned(scribe, { top, bottom }, cells);
  for (let place = 0; place < places; place++) {
    const marks = onDiagonal(cells, place);
    if (skipsDiagonal(scribe, cells, { place, carry })) {
      leaveOutDiagonal(scribe, marks, carry, place);
      [carry, carried] = [null, 0];
      gained -= 1;
      continue;
    }
    const edge = place < bottom.digits.length ? digitAt(bottom, place) : 0;
    const slip = diagonalSlip(scribe, carried, edge, where('diagonal', place));
    const sum = marks.reduce((total, mark) => total + parseInt(mark.glyph, base), 0);
    const total: number =
      sum + (slip === 'forget-carry' ? 0 : carried) + (slip === 'add-edge-digit' ? edge : 0);
    const last = place === places - 1;
    const whole =
      last ||
      scribe.slip(
        'whole-total-in-place',
        total >= base && slip === '' && nextFilled(cells, place, places) < places,
        { at: where('diagonal', place), ahead: nextFilled(cells, place, places) - place },
      );
    const keep: number = whole ? 0 : Math.floor(total / base);
    const takes: Entry[] = carry ? [...marks, carry] : [...marks];
    const written: readonly Mark[] = scribe.step({
      law: 'place-value',
      phase: { kind: 'diagonals' },
      takes,
      strikes: carry ? [carry] : [],
      writes: diagonalWritings(whole ? total : total % base, keep, place, {
        gained,
        turned,
      }),
      phrase: phrase('lattice.diagonal', {
        figures: marks.map((mark) => mark.glyph),
        carried,
        total,
        place,
        keep,
        edge,
        slip,
      }),
    });
    scribe.group(
      `diagonal-${place}`,
      'diagonal',
      marks,
      phrase('lattice.diagonal name', { place }),
    );
    answer.push(written[0]!);
    carry = written[1] ?? null;
    carried = keep;
    if (whole && total >= base) gained += total.toString(base).length - 1;
  }
  return withoutLeadingZeros(answer);
}

/** How places are shifted by what was written before, and how many figures are read from the wrong end; null for none. */
interface Reading {
  readonly gained: number;
  readonly turned: number | null;
}

/** The figure of a diagonal's total, and what is carried. */
function diagonalWritings(
  figure: number,
  keep: number,
  place: number,
  { gained, turned }: Reading,
): readonly Writing[] {
  const at = (area: string, column: number) => ({ area, row: 0, column });
  const isTurned = turned !== null && place < turned;
  const total: Writing = {
    role: 'answer',
    count: figure,
    place: isTurned ? turned - 1 - place : place + gained,
    spot: at('total', place),
  };
  if (keep === 0) return [total];
  const next = place + 1;
  return [total, { role: 'carry', count: keep, place: next + gained, spot: at('carry', next) }];
}

/** How many figures are read from the wrong end; null where they are read as they should be. */
function readTurned(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  cells: readonly (readonly CellMarks[])[],
): number | null {
  const product = numeralValue(top).times(numeralValue(bottom)).numerator;
  const text = product.toString(scribe.base);
  const first = [...text].reverse().findIndex((f, p) => f !== '0' && p !== text.length - 1 - p);
  const may = cells.length > 0 && [...text].reverse().join('') !== text;
  const chance = { at: where('answer', 0), ahead: Math.max(0, first) };
  return scribe.slip('read-from-wrong-end', may, chance) ? text.length : null;
}

/** Whether a diagonal is passed over: one that holds something, while another does too. */
function skipsDiagonal(
  scribe: Scribe,
  cells: readonly (readonly CellMarks[])[],
  { place, carry }: { readonly place: number; readonly carry: Mark | null },
): boolean {
  const places = cells.length + (cells[0]?.length ?? 0);
  const filled = Array.from({ length: places }, (_, at) => at).filter((at) =>
    onDiagonal(cells, at).some((mark) => !mark.worth.isZero),
  );
  const may = (filled.includes(place) || carry !== null) && filled.length > 1;
  return scribe.slip('skip-diagonal', may, { at: where('diagonal', place) });
}

function leaveOutDiagonal(
  scribe: Scribe,
  marks: readonly Mark[],
  carry: Mark | null,
  place: number,
): void {
  scribe.step({
    law: 'place-value',
    phase: { kind: 'diagonals' },
    takes: carry ? [...marks, carry] : [...marks],
    strikes: carry ? [carry] : [],
    writes: [],
    phrase: phrase('lattice.skipped', { place }),
  });
}

/** The next diagonal that holds a figure which a gained place would make worth too much; their number where none does. */
function nextFilled(
  cells: readonly (readonly CellMarks[])[],
  place: number,
  places: number,
): number {
  for (let later = place + 1; later < places; later++) {
    if (onDiagonal(cells, later).some((mark) => !mark.worth.isZero)) return later;
  }
  return places;
}

type DiagonalSlip = '' | 'forget-carry' | 'add-edge-digit';

function diagonalSlip(scribe: Scribe, carried: number, edge: number, at: Where): DiagonalSlip {
  const features = carryFeatures(carried);
  const forgotten = scribe.slip('forget-carry', carried > 0, { at, features });
  const added = scribe.slip('add-edge-digit', edge > 0, { at });
  return forgotten ? 'forget-carry' : added ? 'add-edge-digit' : '';
}

/** Zeros in front stay on the paper but are no part of the answer. */
function withoutLeadingZeros(answer: readonly Mark[]): readonly Mark[] {
  const kept = [...answer];
  while (kept.length > 1 && kept.at(-1)!.worth.isZero) kept.pop();
  return kept;
}
