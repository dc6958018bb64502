import type { School } from '../../account/account.ts';
import { Exact } from '../../exact/exact.ts';
import { numberText, numeralFor, numeralValue, placeValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import type { HopVerdict } from '../method.ts';
import {
  leftAgain,
  planDivision,
  planFigures,
  type DivisionPlan,
  type LeftAgain,
} from './division-plan.ts';

/** Judges chunks of her own in order: whether each fits what is left, and is fine enough. */
export function judgeChunks(
  problem: Problem,
  chunks: readonly Exact[],
  school: School,
): readonly HopVerdict[] {
  const { operands, base } = problem;
  const finest = placeValue(base, planDivision(problem, school).last);
  const [dividend, divisor] = operands.map(numeralValue) as [Exact, Exact];
  let left = dividend;
  let so = Exact.ZERO;
  return chunks.map((by): HopVerdict => {
    if (by.numerator <= 0n) return { ok: false, fault: 'A chunk is more than nothing.' };
    if (!by.dividedBy(finest).isWhole) {
      return {
        ok: false,
        fault: `The quotient goes down to ${numberText(finest, base)} here; ${numberText(by, base)} is finer.`,
      };
    }
    const product = by.times(divisor);
    if (product.compare(left) > 0) {
      return {
        ok: false,
        fault: `${numberText(by, base)} × ${numberText(divisor, base)} is ${numberText(product, base)}, and only ${numberText(left, base)} is left.`,
      };
    }
    left = left.minus(product);
    so = so.plus(by);
    return { ok: true, lands: so, left };
  });
}

/** Chunks with what each leaves, in the scaled numbers. */
export interface ChunkPlan {
  readonly plan: DivisionPlan;
  readonly dividend: Exact;
  readonly divisor: Exact;
  readonly chunks: readonly Exact[];
  readonly left: Exact;
  /** The last place that has a figure. */
  readonly last: number;
  /** What is left again, where figures repeat. */
  readonly again: LeftAgain | null;
}

/** Her own chunks first, then those of the school for what is left. */
export function planChunks(plan: DivisionPlan, own: readonly Exact[], school: School): ChunkPlan {
  const { base } = plan;
  const [dividend, divisor] = [plan.dividend, plan.divisor].map(numeralValue) as [Exact, Exact];
  const used = Exact.sum(own).times(divisor);
  const rest = planFigures(
    { ...plan, dividend: numeralFor(dividend.minus(used), base)! },
    plan.last,
  );
  const chunks = [...own];
  for (const { quotient, place } of rest.figures) {
    for (const count of countsOf(quotient, base, school)) {
      chunks.push(Exact.of(count).times(placeValue(base, place)));
    }
  }
  const left = dividend.minus(Exact.sum(chunks).times(divisor));
  const again = own.length === 0 ? leftAgain(rest) : null;
  const last = rest.figures.at(-1)!.place;
  return { plan, dividend, divisor, chunks, left, last, again };
}

/** A figure as one chunk, or as easy ones: halves of the base, twos and ones. */
function countsOf(quotient: number, base: number, school: School): readonly number[] {
  if (quotient === 0) return [];
  if (school['chunks'] === 'largest') return [quotient];
  const easy = [...new Set([Math.floor(base / 2), 2, 1])].filter((n) => n > 0);
  const counts: number[] = [];
  let rest = quotient;
  for (const count of easy.sort((a, b) => b - a)) {
    while (rest >= count) {
      counts.push(count);
      rest -= count;
    }
  }
  return counts;
}
