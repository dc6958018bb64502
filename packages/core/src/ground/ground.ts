import type { Comparison } from '../compare/compare.ts';
import { Exact } from '../exact/exact.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { scriptOf } from '../problem/script.ts';
import { areaGround, type AreaGround } from './area.ts';
import { kindsGround, type KindsGround } from './kinds.ts';
import { lineExtent } from './line.ts';
import { squareGround, type SquareGround } from './square.ts';

/** The line of a sum or difference, from its least to its greatest amount. */
export interface LineGround {
  readonly kind: 'line';
  readonly low: Exact;
  readonly high: Exact;
}

/** The picture that all methods of a problem share. */
export type Ground = AreaGround | SquareGround | KindsGround | LineGround;

const rectangle = ({ space, problem }: Comparison) => areaGround(space, problem.base);

/** Which picture a kind of problem has; a new kind adds its line here. */
const GROUNDS: Record<ProblemKind, (comparison: Comparison) => Ground | null> = {
  product: rectangle,
  quotient: rectangle,
  root: squareGround,
  sum: lengthsOrKinds,
  difference: lengthsOrKinds,
  expression: () => null,
};

/** The shared picture of a comparison; null where its numbers give none. */
export function groundOf(comparison: Comparison): Ground | null {
  return GROUNDS[comparison.problem.kind](comparison);
}

/** Lengths on a line, or the kinds of terms where there are letters. */
function lengthsOrKinds({ space, problem, lanes }: Comparison): Ground {
  const script = scriptOf(problem);
  if (script === 'terms') return kindsGround(space);
  const { low, high } = lineExtent(lanes.map(({ trace }) => trace));
  return { kind: 'line', low, high: script === 'fractions' ? nextWhole(high) : high };
}

/** The bar of fractions goes to the end of the whole that it is in. */
function nextWhole(amount: Exact): Exact {
  const whole = Exact.of(amount.numerator / amount.denominator);
  return whole.compare(amount) < 0 ? whole.plus(Exact.ONE) : whole;
}
