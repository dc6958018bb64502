import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, numberText, numeralValue, placeValue } from '../exact/numeral.ts';
import type { Problem } from '../problem/problem.ts';
import { rootOf } from '../account/root.ts';
import type { Trace } from '../account/account.ts';
import { scriptOf, type Script } from '../problem/script.ts';
import type { CheckFinding, CheckSpec } from './check.ts';

/**
 * What is left when the base minus one is cast out of a number's figures again and again. Every place of
 * the base is one more than a multiple of the base minus one, so the point and the places do not matter.
 */
export function castOut(amount: Exact, base: number): bigint {
  const decimals = decimalsNeeded(amount, base);
  if (decimals === null) throw new RangeError(`castOut: the figures of ${amount} have no end`);
  const count = amount.times(placeValue(base, decimals)).numerator;
  const by = BigInt(base - 1);
  return ((count % by) + by) % by;
}

/** A quotient as the two whole numbers that are checked: how often the divisor fits, and what is left. */
function parts(answer: Exact, problem: Problem): { quotient: Exact; rest: Exact } {
  if (decimalsNeeded(answer, problem.base) !== null) return { quotient: answer, rest: Exact.ZERO };
  const quotient = Exact.of(answer.numerator / answer.denominator);
  const divisor = numeralValue(problem.operands[1]!);
  return { quotient, rest: answer.minus(quotient).times(divisor) };
}

function make(problem: Problem, answer: Exact): CheckFinding {
  const { base, kind, operands } = problem;
  const by = BigInt(base - 1);
  const worths = operands.map(numeralValue);
  const roots = worths.map((worth) => castOut(worth, base));
  const digit = (value: bigint) => numberText(Exact.of(((value % by) + by) % by), base);
  const kept = worths.map((worth, k) => `${numberText(worth, base)} leaves ${digit(roots[k]!)}`);
  const short = kept.length > 6 ? [...kept.slice(0, 5), '…'] : kept;
  const [first = 0n, second = 0n] = roots;
  const line = `With ${numberText(Exact.of(by), base)} cast out ${short.join(', ')}.`;
  if (kind === 'quotient') {
    const { quotient, rest } = parts(answer, problem);
    const made = castOut(quotient, base) * second + castOut(rest, base);
    const fits = (made - first) % by === 0n;
    return {
      outcome: fits ? 'agrees' : 'disagrees',
      lines: [
        line,
        `Quotient ${numberText(quotient, base)} × divisor + remainder ${numberText(rest, base)} leaves ${digit(made)}, the dividend ${digit(first)}: ${fits ? 'the same' : 'not the same'}.`,
      ],
    };
  }
  const made = roots.slice(1).reduce((so, root) => {
    if (kind === 'product') return so * root;
    return kind === 'sum' ? so + root : so - root;
  }, first);
  const own = castOut(answer, base);
  const fits = (made - own) % by === 0n;
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      line,
      `Together that leaves ${digit(made)}; the answer ${numberText(answer, base)} leaves ${digit(own)}: ${fits ? 'the same' : 'not the same'}.`,
    ],
  };
}

/** The square of a root and what is left, against the number. */
function ofRoot(work: Trace): CheckFinding {
  const { base } = work.problem;
  const by = BigInt(base - 1);
  const { root, under, left } = rootOf(work);
  const [side, inside, rest, number] = [root, under, left, work.total].map((one) =>
    castOut(one, base),
  ) as [bigint, bigint, bigint, bigint];
  const made = (side * side * inside + rest) % by;
  const fits = made === number;
  const digit = (value: bigint) => numberText(Exact.of(value), base);
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      `With ${digit(by)} cast out the root leaves ${digit(side)}, what is left ${digit(rest)}.`,
      `Squared and put together that leaves ${digit(made)}, the number ${digit(number)}: ${fits ? 'the same' : 'not the same'}.`,
    ],
  };
}

const NO_FIGURES: Record<Script, string> = {
  figures: '',
  fractions: 'Fractions have no figures in places that could be cast out.',
  terms: 'Letters have no figures that could be cast out.',
};

export const castingOutCheck: CheckSpec = {
  id: 'casting-out',
  name: 'Casting out the base minus one',
  catches:
    'Slips that change the sum of the figures, as most do; in base ten it is casting out nines.',
  misses:
    'Figures that changed places, a zero or a point too many, and errors of just nine or its multiples.',
  lacks: ({ comparison: { problem } }) =>
    scriptOf(problem) !== 'figures'
      ? NO_FIGURES[scriptOf(problem)]
      : problem.base === 2
        ? 'In base two there is nothing to cast out: every number leaves 0.'
        : null,
  make: ({ comparison: { problem }, lane }, answer, work = lane.trace) =>
    problem.kind === 'root' ? ofRoot(work) : make(problem, answer),
};
