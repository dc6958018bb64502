import { Exact } from '../../exact/exact.ts';
import { fractionFigures } from '../../exact/fraction-figures.ts';
import { numeralValue } from '../../exact/numeral.ts';
import type { Lane } from '../comparison.ts';
import { amountOf, sumOf, type Expression, type Move } from '../expressions.ts';
import { dealtOrder, NOTHING_TOLD, withoutStandstill, type Telling } from './telling.ts';

/** The lines of a paper on which all of the answer stands as one fraction: as it was made, and in lowest terms. */
function wholeLines(lane: Lane, total: Exact, ids: readonly string[]): readonly Move[] {
  const lines = lane.trace.steps.flatMap(({ law, gives }) => {
    const made = gives.flatMap(({ worth, glyph }) => {
      const figures = worth.equals(total) ? fractionFigures(glyph) : null;
      return figures?.whole === null ? [{ law, glyph, figures }] : [];
    });
    return made.slice(0, 1);
  });
  return lines.map(({ law, glyph, figures: { minus, bottom } }, k): Move => {
    const isLowest = bottom === total.denominator && !minus;
    const expression = amountOf(total, ids, isLowest ? undefined : glyph);
    return { law: k === 0 ? 'evaluate' : law, expression };
  });
}

/** The agreement of a product or quotient of fractions: its terms, each in parts of one size, and what they make. */
export const fractionTold: Telling = ({ space, problem }, lane, total) => {
  if (total.isZero) return NOTHING_TOLD;
  const order = dealtOrder(lane);
  const ids = order.map((term) => space.id(term));
  const products = ids.map((term): Expression => ({ kind: 'product', term }));
  // Parts of the size that all denominators together make.
  const bottom = problem.operands.reduce(
    (so, { fraction }) => so * (fraction ? numeralValue(fraction.bottom).numerator : 1n),
    1n,
  );
  const worked = order.map((term) => {
    const worth = space.worth(term);
    const count = worth.times(Exact.of(bottom)).numerator;
    const isPart = order.length > 1 && bottom > 1n;
    return amountOf(worth, [space.id(term)], isPart ? `${count}/${bottom}` : undefined);
  });
  const moves = withoutStandstill([
    { law: 'distribute', expression: sumOf(products) },
    ...(order.length > 1 ? [{ law: 'evaluate' as const, expression: sumOf(worked) }] : []),
    ...wholeLines(lane, total, ids),
    { law: 'scale-both', expression: amountOf(total, ids) },
  ]);
  return { moves, bracketing: sumOf(products), brief: false };
};
