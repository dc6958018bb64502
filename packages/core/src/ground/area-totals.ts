import { type TermSpace } from '../account/terms.ts';
import { ProductSpace } from '../account/spaces.ts';
import { Exact } from '../exact/exact.ts';

/** One strip of the rectangle added up: a part of one factor times the whole other factor. */
export interface StripTotal {
  readonly text: string;
  readonly worth: Exact;
}

/** The rectangle added both ways; the two sums are the same amount for every product. */
export interface AreaTotals {
  /** A total for every part of the second factor, smallest part first. */
  readonly rows: readonly StripTotal[];
  /** A total for every part of the first factor, smallest part first. */
  readonly columns: readonly StripTotal[];
  readonly rowSum: Exact;
  readonly columnSum: Exact;
}

/**
 * Row totals and column totals of the terms of two factors, each added from its own cells, or null
 * for other numbers of factors. Parts that are worth nothing have no strip. What stands in a cell is
 * what its two parts make, unless it is given.
 */
export function areaTotals(
  space: TermSpace,
  cell: (first: number, second: number) => Exact = (i, j) => space.worthOf([i, j]),
): AreaTotals | null {
  const [first, second] = space.cuts;
  if (!(space instanceof ProductSpace)) return null;
  if (!first || !second || space.cuts.length !== 2) return null;
  const columns = first.map(({ text }, i) => ({
    text,
    worth: Exact.sum(second.map((_, j) => cell(i, j))),
  }));
  const rows = second.map(({ text }, j) => ({
    text,
    worth: Exact.sum(first.map((_, i) => cell(i, j))),
  }));
  return {
    rows: rows.filter(({ worth }) => !worth.isZero),
    columns: columns.filter(({ worth }) => !worth.isZero),
    rowSum: Exact.sum(rows.map(({ worth }) => worth)),
    columnSum: Exact.sum(columns.map(({ worth }) => worth)),
  };
}
