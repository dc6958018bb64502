import { type Exact } from '../exact/exact.ts';
import { numberText } from '../exact/numeral.ts';
import { areaTotals, type StripTotal } from '../ground/area-totals.ts';
import type { CheckFinding, CheckSpec, CheckSubject } from './check.ts';

/** `2300 + 368 = 2668` */
function sumLine(strips: readonly StripTotal[], sum: Exact, base: number): string {
  const text = (amount: Exact) => numberText(amount, base);
  const parts =
    strips.length > 8
      ? `${strips.length} totals`
      : [...strips]
          .reverse()
          .map(({ worth }) => text(worth))
          .join(' + ');
  return `${parts || '0'} = ${text(sum)}`;
}

function make({ comparison: { space, problem } }: CheckSubject, answer: Exact): CheckFinding {
  const totals = areaTotals(space)!;
  const { base } = problem;
  const fits = totals.rowSum.equals(answer) && totals.columnSum.equals(answer);
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      `By rows: ${sumLine(totals.rows, totals.rowSum, base)}.`,
      `By columns: ${sumLine(totals.columns, totals.columnSum, base)}.`,
      fits
        ? `Both ways make the answer ${numberText(answer, base)}.`
        : `The paper says ${numberText(answer, base)}: not what both ways make.`,
    ],
  };
}

export const totalsCheck: CheckSpec = {
  id: 'totals',
  name: 'Rows against columns',
  catches: 'A slip in adding, for the cells are added once more in the other order.',
  misses: 'A wrong cell: it is in its row and in its column alike.',
  lacks: ({ comparison: { space } }) =>
    areaTotals(space) ? null : 'Only a product of two factors has rows and columns of cells.',
  make,
};
