import { type Exact } from '../exact/exact.ts';
import type { Node, Term } from './node.ts';

/** A number as one is told: in figures, as a fraction, as a mixed number, or below zero. */
export function isPlain(node: Node): boolean {
  return node.kind === 'number' || node.kind === 'fraction' || node.kind === 'mixed';
}

export function isResult(node: Node): boolean {
  return isPlain(node) || (node.kind === 'opposite' && isPlain(node.of));
}

/** Whether there are numbers alone, without letters; roots only where they come out. */
export function isNumeric(terms: readonly Term[]): boolean {
  return terms.every(({ node }) => isNumber(node));
}

export function isNumber(node: Node): boolean {
  switch (node.kind) {
    case 'letter':
      return false;
    case 'sum':
      return isNumeric(node.terms);
    case 'product':
      return node.factors.every((factor) => isNumber(factor.node));
    case 'power':
    case 'opposite':
      return isNumber(node.of);
    case 'root':
      return isNumber(node.of) && node.value.rational !== null;
    default:
      return true;
  }
}

/** A number times powers of letters, worked out or not: `3x`, `x·x`, `3x·2x`. */
export function isMonomial(node: Node): boolean {
  switch (node.kind) {
    case 'letter':
    case 'number':
    case 'fraction':
      return true;
    case 'power':
    case 'opposite':
      return isMonomial(node.of);
    case 'product':
      return node.factors.every(
        (factor) => isMonomial(factor.node) && !(factor.under && !isNumber(factor.node)),
      );
    default:
      return false;
  }
}

/** The denominator that a number is written with; that of its worth for what is not a number yet. */
export function bottomOf(node: Node): bigint {
  switch (node.kind) {
    case 'fraction':
      return node.bottom.amount.isWhole ? node.bottom.amount.numerator : 1n;
    case 'mixed':
      return bottomOf(node.part);
    case 'opposite':
      return bottomOf(node.of);
    case 'number':
      return 1n;
    default: {
      const value = node.value.rational;
      if (!value?.isConstant) return 1n;
      return isDecimal(value) ? 1n : value.denominator;
    }
  }
}

function isDecimal(value: Exact): boolean {
  let rest = value.denominator;
  for (const prime of [2n, 5n]) while (rest % prime === 0n) rest /= prime;
  return rest === 1n;
}

export function isWhole(node: Node): boolean {
  return node.kind === 'number' && node.amount.isWhole && !node.isPercent;
}

export function isOpposites(terms: readonly Term[]): boolean {
  const [a, b, ...more] = terms;
  return (
    more.length === 0 &&
    a !== undefined &&
    b !== undefined &&
    a.minus !== b.minus &&
    a.node.key === b.node.key
  );
}
