import type { Comparison } from '../compare/comparison.ts';
import { Exact } from '../exact/exact.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { amountWriter, scriptOf } from '../problem/script.ts';
import { sortOf } from '../problem/sorts/sorts.ts';
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

const rectangle = ({ space, problem }: Comparison) =>
  areaGround(space, problem.base, sortOf(problem).isInPlaces ? undefined : amountWriter(problem));

/** Which picture a kind of problem has; a new kind adds its line here. */
const GROUNDS: Record<ProblemKind, (comparison: Comparison) => Ground | null> = {
  product: rectangle,
  quotient: rectangle,
  root: squareGround,
  sum: lengthsOrKinds,
  difference: lengthsOrKinds,
  expression: oneLength,
};

/** The shared picture of a comparison; null where its numbers give none. */
export function groundOf(comparison: Comparison): Ground | null {
  return GROUNDS[comparison.problem.kind](comparison);
}

/** Lengths on a line, or the kinds of terms where there are letters. */
function lengthsOrKinds(comparison: Comparison): Ground {
  const { space, problem } = comparison;
  return scriptOf(problem) === 'terms' ? kindsGround(space) : lengths(comparison);
}

function lengths({ problem, lanes }: Comparison): LineGround {
  const { low, high } = lineExtent(lanes.map(({ trace }) => trace));
  const isBar = scriptOf(problem) === 'fractions';
  return { kind: 'line', low, high: isBar ? nextWhole(high) : high };
}

/** What no method works is one length, in which its terms have theirs; none where there are letters, or nothing is long. */
function oneLength(comparison: Comparison): LineGround | null {
  const { space } = comparison;
  const isNumber = space.cuts.every((parts) => parts.every(({ worth }) => worth.isConstant));
  const ground = isNumber ? lengths(comparison) : null;
  return ground?.low.equals(ground.high) ? null : ground;
}

/** The bar of fractions goes to the end of the whole that it is in. */
function nextWhole(amount: Exact): Exact {
  const whole = Exact.of(amount.numerator / amount.denominator);
  return whole.compare(amount) < 0 ? whole.plus(Exact.ONE) : whole;
}
