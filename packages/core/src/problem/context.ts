import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { problemValue, type Problem } from './problem.ts';

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
  | { readonly code: 'not-whole'; readonly amount: Exact };

/** Everything that makes no sense for these things; nothing for a bare computation. */
export function contextWarnings(
  problem: Problem,
  { unit, counted }: Context,
): readonly ContextWarning[] {
  if (unit === '' || !counted) return [];
  const amounts = [...problem.operands.map(numeralValue), problemValue(problem)];
  const split = amounts.find((amount) => !amount.isWhole);
  const warnings: ContextWarning[] = split ? [{ code: 'not-whole', amount: split }] : [];
  const value = problemValue(problem);
  if (value.isConstant && value.compare(Exact.ZERO) < 0) {
    const [there, taken] = amounts;
    warnings.push({ code: 'more-taken-than-there', there: there!, taken: taken! });
  }
  return warnings;
}

/** One sentence for a warning. */
export function contextWarningText(warning: ContextWarning, unit: string): string {
  switch (warning.code) {
    case 'more-taken-than-there':
      return `Only ${warning.there} ${unit} are there, so ${warning.taken} cannot be taken away: counted things have no negative number.`;
    case 'not-whole':
      return `${warning.amount} ${unit} would have to be split, and they cannot be.`;
  }
}
