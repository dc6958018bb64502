import type { Exact } from '../exact/exact.ts';
import { fractionText, mixedText } from '../exact/numeral.ts';
import { hasFractions, type Problem } from './problem.ts';

/** How amounts of a problem are written: as fractions where it has any, else in figures of its base. */
export function amountWriter(problem: Problem): (amount: Exact) => string {
  return hasFractions(problem) ? fractionText : (amount) => mixedText(amount, problem.base);
}
