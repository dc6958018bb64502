import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import type { Problem } from './problem.ts';

/** What letters stand for, in the order in which they come: small primes, so that few things fall together. */
const VALUES = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37] as const;

/**
 * A number for each letter of a problem, in alphabetical order, so that no bracket comes to nothing; none for a
 * problem in figures.
 */
export function substitutionOf({ operands }: Problem): ReadonlyMap<string, Exact> {
  const names = operands.flatMap((operand) => (operand.terms ? numeralValue(operand).names : []));
  const letters = [...new Set(names)].sort();
  const from = (first: number) =>
    new Map(letters.map((letter, k) => [letter, Exact.of(VALUES[(k + first) % VALUES.length]!)]));
  const telling = VALUES.map((_, first) => from(first)).find((values) =>
    operands.every((operand) => !numeralValue(operand).at(values).isZero),
  );
  return telling ?? from(0);
}

/** `x = 2, y = 3`; empty where there are no letters. */
export function substitutionText(values: ReadonlyMap<string, Exact>): string {
  return [...values].map(([letter, value]) => `${letter} = ${value}`).join(', ');
}
