import { Exact } from '../exact/exact.ts';
import { slipCount, type Cause } from './cause.ts';
import type { Search } from './search.ts';

/** How much a search for so many slips explains anyway. */
export interface Evidence {
  /** How many different wrong answers it reaches on these numbers. */
  readonly reaches: number;
  /**
   * Of the wrong whole numbers with as many figures as the answer, the share that it reaches, rounded to four places; null
   * where answers cannot be counted so.
   */
  readonly near: number | null;
}

/** The answers that two slips reach are told by what each is off by; they are not proved one by one. */
export function evidenceOf(search: Search, cause: Cause): Evidence {
  const isPair = slipCount(cause) > 1 && !cause.habit;
  const reached = isPair ? search.reachedByPairs : new Set(search.reached);
  return { reaches: reached.size, near: near(search, cause.answer, reached) };
}

function near(search: Search, answer: Exact, reached: ReadonlySet<string>): number | null {
  if (!isCounted(answer)) return null;
  const { base } = search.problem;
  const figures = answer.numerator.toString(base).length;
  const [least, most] = [BigInt(base) ** BigInt(figures - 1), BigInt(base) ** BigInt(figures)];
  const inSize = (amount: Exact) =>
    isCounted(amount) && (figures === 1 || amount.numerator >= least) && amount.numerator < most;
  const all = Number(figures === 1 ? most : most - least) - (inSize(search.right) ? 1 : 0);
  const count = [...reached].filter((text) => inSize(Exact.parse(text))).length;
  return Math.round((count / all) * 10_000) / 10_000;
}

function isCounted(amount: Exact): boolean {
  return amount.isWhole && !amount.isNegative;
}
