import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import type { Problem } from '../problem/problem.ts';
import { amountWriter, scriptOf } from '../problem/script.ts';
import type { CheckFinding, CheckSpec } from './check.ts';

/** Which way a number moves when it is multiplied by a factor or shared by a divisor. */
export interface Direction {
  /** The number that is changed, and the one that changes it. */
  readonly of: Exact;
  readonly by: Exact;
  /** Where the answer lies from it: -1 below, 0 at it, 1 above. */
  readonly way: -1 | 0 | 1;
}

/**
 * What can be foreseen before working: a factor below one takes only a part, so that the product is less
 * than the other factor; a divisor below one fits more often than the dividend has ones. A product says
 * so of each of its first two factors and all others together. Empty for everything else.
 */
export function directions(problem: Problem): readonly Direction[] {
  const { kind, operands } = problem;
  if (scriptOf(problem) === 'terms') return [];
  const worths = operands.map(numeralValue);
  if (kind === 'quotient') {
    const [of, by] = worths as [Exact, Exact];
    return [{ of, by, way: of.isZero ? 0 : Exact.ONE.compare(by) }];
  }
  if (kind !== 'product') return [];
  return worths.map((of, k) => {
    const others = worths.filter((_, j) => j !== k);
    const by = others.reduce((product, other) => product.times(other));
    return { of, by, way: of.isZero ? 0 : by.compare(Exact.ONE) };
  });
}

const WAYS = { '-1': 'less than', '0': 'the same as', '1': 'more than' } as const;

/** One sentence for a direction: `0.7 is less than 1, so 0.7 × 31.5 is less than 31.5.` */
export function directionText({ of, by, way }: Direction, problem: Problem): string {
  const { kind } = problem;
  const text = amountWriter(problem);
  if (of.isZero) return `There is nothing to begin with, so the answer is 0.`;
  const side = WAYS[`${by.compare(Exact.ONE)}`].replace('the same as', 'just');
  const rule = `${text(by)} is ${side} 1`;
  const whole = kind === 'product' ? `${text(by)} × ${text(of)}` : `${text(of)} ÷ ${text(by)}`;
  return `${rule}, so ${whole} is ${WAYS[`${way}`]} ${text(of)}.`;
}

function make(problem: Problem, answer: Exact): CheckFinding {
  const found = directions(problem);
  const fits = found.every(({ of, way }) => answer.compare(of) === way);
  const lines = found.map((direction) => directionText(direction, problem));
  const verdict = `The paper says ${amountWriter(problem)(answer)}: ${fits ? 'that fits' : 'that cannot be'}.`;
  return { outcome: fits ? 'agrees' : 'disagrees', lines: [...lines, verdict] };
}

export const directionCheck: CheckSpec = {
  id: 'direction',
  name: 'Direction',
  catches:
    'An answer on the wrong side of a factor or of the dividend, as a point too far left or right.',
  misses: 'Everything that leaves the answer on the right side.',
  lacks: ({ comparison: { problem } }) =>
    directions(problem).length > 0
      ? null
      : scriptOf(problem) === 'terms'
        ? 'Letters may stand for anything, so that no side of a factor is foreseen.'
        : 'Only products and quotients have a direction.',
  make: ({ comparison }, answer) => make(comparison.problem, answer),
};
