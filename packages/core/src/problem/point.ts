import { pointRule } from './kinds.ts';
import { Exact } from '../exact/exact.ts';
import { numeralValue, placeValue, pointedText } from '../exact/numeral.ts';
import { estimateOf, leadingPlace } from './estimate.ts';
import type { Problem } from './problem.ts';
import { scaleOf } from './scale.ts';

/** The point of a product placed in both ways. */
export interface PlacedPoint {
  /** The figures of the whole product. */
  readonly figures: string;
  /** How many figures of each factor stand after its point; together they are those of the product. */
  readonly counts: readonly number[];
  readonly counted: number;
  /** The estimate that is held against it, and how many figures it would put after the point. */
  readonly estimate: Exact;
  readonly estimated: number;
  /** What each of the two makes of the figures. */
  readonly byCounting: string;
  readonly byEstimate: string;
  readonly agree: boolean;
}

/**
 * Places the point of a product of decimals by counting and by an estimate; the factors rounded to their
 * leading place when none is given. Null for everything else.
 */
export function placedPoint(problem: Problem, estimate?: Exact): PlacedPoint | null {
  const scale = scaleOf(problem);
  if (!scale || pointRule(problem.kind) !== 'counted') return null;
  const { base, operands } = problem;
  const whole = scale.whole.operands.map(numeralValue).reduce((made, n) => made.times(n)).numerator;
  const about = estimate ?? estimateOf(problem.kind, operands.map(leadingPlace));
  const counted = scale.decimals;
  // Nothing has no size: any place of the point is as near as the counted one.
  const estimated = whole === 0n ? counted : nearestPoint(whole, about, base);
  const text = (decimals: number) => pointedText(whole, decimals, base);
  return {
    figures: text(0),
    counts: scale.operands,
    counted,
    estimate: about,
    estimated,
    byCounting: text(counted),
    byEstimate: text(estimated),
    agree: counted === estimated,
  };
}

/** How many figures must stand after the point so that the number comes nearest to an estimate in ratio. */
export function nearestPoint(whole: bigint, estimate: Exact, base: number): number {
  if (whole === 0n || estimate.isZero) return 0;
  const about = estimate.absolute();
  const off = (decimals: number) => {
    const ratio = Exact.of(whole).times(placeValue(base, -decimals)).dividedBy(about);
    return ratio.compare(Exact.ONE) < 0 ? Exact.ONE.dividedBy(ratio) : ratio;
  };
  let best = 0;
  while (off(best + 1).compare(off(best)) < 0) best++;
  return best;
}
