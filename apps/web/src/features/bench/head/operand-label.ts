import { operandName, type ProblemKind } from '@levee/core';

/** One number of a computation of `count` numbers by its name: `first factor`, `divisor`, `addend 3`. */
export function operandLabel(kind: ProblemKind, k: number, count: number): string {
  const name = operandName(kind, k);
  if (kind === 'difference' || kind === 'quotient' || kind === 'root') return name;
  return count === 2 ? `${k === 0 ? 'first' : 'second'} ${name}` : `${name} ${k + 1}`;
}
