import { Exact } from '../exact/exact.ts';
import type { TermSpace } from '../account/terms.ts';

/** One term as a block, as tall as its number is large. */
export interface KindBlock {
  readonly term: number;
  readonly text: string;
  readonly worth: Exact;
  /** From where to where it reaches, above zero for what counts for the sum and below for what counts against it. */
  readonly from: Exact;
  readonly to: Exact;
}

/** All terms of one kind over and under a common line. */
export interface KindColumn {
  /** `x^2`; empty for numbers. */
  readonly letters: string;
  readonly blocks: readonly KindBlock[];
  /** What they come to together: how far the blocks above reach over those below. */
  readonly sum: Exact;
}

/** The picture that all methods of a sum of terms share: a column for every kind of term. */
export interface KindsGround {
  readonly kind: 'kinds';
  readonly columns: readonly KindColumn[];
  /** The tallest stack above the line and below it. */
  readonly above: Exact;
  readonly below: Exact;
}

/** Terms stacked kind by kind, highest power first; those that count against the sum hang below the line. */
export function kindsGround(space: TermSpace): KindsGround {
  const indices = Array.from({ length: space.size }, (_, index) => index);
  const terms = indices.map((term) => ({ term, worth: space.worth(term) }));
  const letters = [...new Set(terms.map(({ worth }) => worth.letters))];
  const order = Exact.sum(letters.map((one) => Exact.parse(one === '' ? '1' : one)))
    .parts()
    .map((one) => one.letters);
  const columns = order.map((kind): KindColumn => {
    let [above, below] = [Exact.ZERO, Exact.ZERO];
    const blocks = terms
      .filter(({ worth }) => worth.letters === kind)
      .map(({ term, worth }): KindBlock => {
        const count = worth.coefficient;
        const isAgainst = count.isNegative;
        const from = isAgainst ? below : above;
        const to = from.plus(count);
        if (isAgainst) below = to;
        else above = to;
        return { term, text: space.text(term), worth, from, to };
      });
    return { letters: kind, blocks, sum: above.plus(below) };
  });
  const tops = columns.flatMap(({ blocks }) => blocks.map(({ to }) => to));
  const largest = (list: readonly Exact[], sign: 1 | -1) =>
    list.reduce((most, one) => (one.compare(most) === sign ? one : most), Exact.ZERO);
  return { kind: 'kinds', columns, above: largest(tops, 1), below: largest(tops, -1) };
}
