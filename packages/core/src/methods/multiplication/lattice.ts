import { slipOf } from '../../slips/catalogue.ts';
import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { digitAt } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { cellFact } from './facts.ts';
import { addDiagonals, figuresIn, type CellMarks } from './lattice-diagonals.ts';
import { addOtherWay } from './other-diagonals.ts';
import { latticeSheet } from './lattice-sheet.ts';
import { latticePhrases } from './lattice-words.ts';
import {
  acceptsProduct,
  partText,
  twoFactors,
  type DigitPair,
  type TwoFactors,
} from './two-factors.ts';

const { phrase } = latticePhrases;

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
    slipOf('diagonals-other-way'),
    slipOf('skip-diagonal'),
    slipOf('read-from-wrong-end'),
    { ...slipOf('forget-carry'), mechanism: 'The carry to the next diagonal is not added.' },
    slipOf('add-edge-digit'),
    {
      ...slipOf('whole-total-in-place'),
      mechanism: 'A total of ten or more is written whole, so the answer gains a figure.',
    },
  ],
  phrases: latticePhrases.book,
  accepts: acceptsProduct,
  work,
  sheet: latticeSheet,
});

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
  const own = bottom.digits.flatMap((_, j) => top.digits.map((_digit, i): DigitPair => [i, j]));
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
  const answer = addOtherWay(scribe, cells) ?? addDiagonals(scribe, factors, cells);
  return scribe.close(answer, phrase('lattice.answer', {}));
}

function writeCell(scribe: Scribe, { top, bottom }: TwoFactors, [i, j]: DigitPair): CellMarks {
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
