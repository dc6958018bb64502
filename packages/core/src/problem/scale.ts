import { pointRule } from './kinds.ts';
import type { Exact } from '../exact/exact.ts';
import { padded, placeValue, withoutPoint } from '../exact/numeral.ts';
import { makeProblem, type Problem } from './problem.ts';

/** How a problem with decimals is worked in whole numbers: 3.6 × 20.5 as 36 × 205, counted in hundredths. */
export interface Scale {
  /** The same figures as whole numbers. */
  readonly whole: Problem;
  /** How many figures of the whole answer stand after the point. */
  readonly decimals: number;
  /** How many figures of each whole operand stand after the point. */
  readonly operands: readonly number[];
  /** What one of the whole answer is worth. */
  readonly unit: Exact;
}

/**
 * The scale of a problem; null when its numbers are whole. Addends and the numbers of a difference are
 * given the same number of figures after the point, so that like places meet, and keep the zeros before
 * it; factors keep their own, and
 * their counts are added. Quotients have none: they scale both numbers as a step of the work; roots pair
 * their figures from the point.
 */
export function scaleOf(problem: Problem): Scale | null {
  const { kind, operands, base } = problem;
  const counts = operands.map(({ decimals }) => decimals);
  const most = Math.max(...counts);
  const rule = pointRule(kind);
  if (most === 0 || rule === 'own') return null;
  if (rule === 'counted') {
    const decimals = counts.reduce((sum, count) => sum + count);
    const whole = makeProblem(kind, operands.map(withoutPoint));
    return { whole, decimals, operands: counts, unit: placeValue(base, -decimals) };
  }
  const aligned = operands.map((operand) => ({ ...padded(operand, most), decimals: 0 }));
  const whole = makeProblem(kind, aligned);
  return { whole, decimals: most, operands: counts.map(() => most), unit: placeValue(base, -most) };
}
