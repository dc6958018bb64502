import { Exact } from '../exact/exact.ts';
import { mixedText, numeralValue } from '../exact/numeral.ts';
import { problemValue, type Problem } from './problem.ts';
import { scriptOf } from './script.ts';

/** What the numbers stand for. */
export interface Context {
  /** The unit of the answer, such as `bags`; empty when there is none. */
  readonly unit: string;
  /** Whether the unit is counted in wholes and cannot be split. */
  readonly counted: boolean;
}

/** Where a computation and what its numbers stand for do not go together. */
export type ContextWarning =
  | { readonly code: 'more-taken-than-there'; readonly there: Exact; readonly taken: Exact }
  | { readonly code: 'not-whole'; readonly amount: Exact }
  | { readonly code: 'left-over'; readonly made: Exact; readonly left: Exact };

/**
 * Everything that makes no sense for these things; nothing for a bare computation. The numbers of a sum
 * or difference have the unit of its answer, factors and the numbers of a quotient have their own.
 */
export function contextWarnings(
  problem: Problem,
  { unit, counted }: Context,
): readonly ContextWarning[] {
  if (unit === '' || !counted) return [];
  const { kind } = problem;
  // Letters may stand for anything, and a side is not of the unit of its square.
  if (scriptOf(problem) === 'terms' || kind === 'root') return [];
  const value = problemValue(problem);
  const operands = problem.operands.map(numeralValue);
  const [first, second] = operands as [Exact, Exact];
  if (kind === 'quotient') {
    const made = Exact.of(value.numerator / value.denominator);
    const left = first.minus(made.times(second));
    return left.isZero ? [] : [{ code: 'left-over', made, left }];
  }
  const amounts = kind === 'product' ? [value] : [...operands, value];
  const split = amounts.find((amount) => !amount.isWhole);
  const warnings: ContextWarning[] = split ? [{ code: 'not-whole', amount: split }] : [];
  if (value.compare(Exact.ZERO) < 0) {
    warnings.push({ code: 'more-taken-than-there', there: first, taken: second });
  }
  return warnings;
}

/** One sentence for a warning, with amounts in figures of a base. */
export function contextWarningText(warning: ContextWarning, unit: string, base: number): string {
  const text = (amount: Exact) => mixedText(amount, base);
  switch (warning.code) {
    case 'more-taken-than-there':
      return `Only ${text(warning.there)} ${unit} are there, so ${text(warning.taken)} cannot be taken away: counted things have no negative number.`;
    case 'not-whole':
      return `${text(warning.amount)} ${unit} would have to be split, and they cannot be.`;
    case 'left-over':
      return `They cannot be split: ${text(warning.made)} ${unit} can be made, and ${text(warning.left)} of the dividend is left over.`;
  }
}
