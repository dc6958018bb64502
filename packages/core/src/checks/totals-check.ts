import type { Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { areaTotals, type AreaTotals, type StripTotal } from '../ground/area-totals.ts';
import { amountWriter } from '../problem/script.ts';
import type { CheckFinding, CheckSpec, CheckSubject } from './check.ts';

/** `2300 + 368 = 2668` */
function sumLine(
  strips: readonly StripTotal[],
  sum: Exact,
  text: (amount: Exact) => string,
): string {
  const parts =
    strips.length > 8
      ? `${strips.length} totals`
      : [...strips]
          .reverse()
          .map(({ worth }) => text(worth))
          .map((part) => (/ |^−/.test(part) ? `(${part})` : part))
          .join(' + ');
  return `${parts || '0'} = ${text(sum)}`;
}

/** The totals of the cells that a paper has, as they stand there. */
function ownTotals({ space, groups }: Trace): AreaTotals {
  const cells = new Map<string, Exact>();
  for (const { role, terms, worth } of groups) {
    const [index, ...others] = terms.indices();
    if (role !== 'product' || index === undefined || others.length > 0) continue;
    cells.set(space.parts(index).join(), worth);
  }
  return areaTotals(space, (i, j) => cells.get(`${i},${j}`) ?? Exact.ZERO)!;
}

/** Whether rows and columns each make the answer. */
export function bothMake(
  { rowSum, columnSum }: { readonly rowSum: Exact; readonly columnSum: Exact },
  answer: Exact,
): boolean {
  return rowSum.equals(answer) && columnSum.equals(answer);
}

function make(
  { comparison: { space, problem }, lane }: CheckSubject,
  answer: Exact,
  work: Trace = lane.trace,
): CheckFinding {
  const totals = lane.method.hasCells ? ownTotals(work) : areaTotals(space)!;
  const text = amountWriter(problem);
  const fits = bothMake(totals, answer);
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      `By rows: ${sumLine(totals.rows, totals.rowSum, text)}.`,
      `By columns: ${sumLine(totals.columns, totals.columnSum, text)}.`,
      fits
        ? `Both ways make the answer ${text(answer)}.`
        : `The paper says ${text(answer)}: not what both ways make.`,
    ],
  };
}

export const totalsCheck: CheckSpec = {
  id: 'totals',
  name: 'Rows against columns',
  catches: 'A slip in adding, for the cells are added once more in the other order.',
  misses:
    'A wrong cell that stands on the paper: it is in its row and in its column alike. Where a paper has no cells they are multiplied anew.',
  lacks: ({ comparison: { space } }) =>
    areaTotals(space) ? null : 'Only a product of two factors has rows and columns of cells.',
  make,
};
