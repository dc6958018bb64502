import { factorsOf } from '../../line/factors.ts';
import type { Node, Term } from '../../line/node.ts';
import type { Expression } from '../../problem/expression.ts';
import {
  type Change,
  type Fault,
  firstFault,
  type LawFrame,
  oneForOne,
  writtenFactors,
} from '../law.ts';
import { defineMove, FITS } from '../move-spec.ts';
import { valueOf } from '../written.ts';

/** A number is written as factors, then equal ones in pairs as a square. */
export const PAIR_FACTORS = defineMove({
  id: 'pair-factors',
  law: 'pair-factors',
  statement: 'A number is written as factors, equal ones in pairs.',
  words: { brief: 'pairs of factors', says: 'equal factors under a root in pairs' },
  check: pairFactors,
  recognise: (old, made) => (areRootsPaired(old, made) ? FITS : null),
});

function pairFactors(change: Change, frame: LawFrame): Fault {
  const [take] = change.takes;
  const [give] = change.gives;
  return firstFault(oneForOne(change), () => {
    if (frame.kind !== 'root') return 'there is no root';
    if (frame.inFigures) return null;
    if (change.takes.length !== 1 || !give?.written) return 'it is not one number as factors';
    if (!valueOf(give.written)?.equals(give.worth)) return 'the factors do not make it';
    if (take!.written && writtenFactors(take!.written).some(isSquareOfASum)) {
      return 'a square of a sum is no pair of factors';
    }
    if (!take!.written) return writtenFactors(give.written).length > 0 ? null : 'it has no factors';
    const [before, after] = [take!.written, give.written].map((of) =>
      factorsUnpaired(of)
        .filter((factor) => factor !== '1')
        .sort()
        .join(),
    );
    return before === after ? null : 'the factors are not the same';
  });
}

function isSquareOfASum(of: Expression): boolean {
  return of.kind === 'power' && of.of.kind === 'sum';
}

/** All factors in a row, each of a square twice. */
function factorsUnpaired(of: Expression): string[] {
  return writtenFactors(of).flatMap((factor) => {
    if (factor.kind !== 'power') return [String(valueOf(factor))];
    const once = writtenFactors(factor.of).map((one) => String(valueOf(one)));
    return [...once, ...once];
  });
}

/** Two equal factors under a root are one before it; a root of a product is the product of the roots. */
function areRootsPaired(old: readonly Term[], made: readonly Term[]): boolean {
  const [a, ...more] = old;
  const [b, ...others] = made;
  if (!a || !b || more.length + others.length > 0 || a.minus !== b.minus) return false;
  const isRoots = [a.node, b.node].every(isOfRoots) && (hasRoot(a.node) || hasRoot(b.node));
  const isOut = b.node.kind === 'number' && a.node.value.rational !== null;
  return isRoots && !isOut && a.node.key !== b.node.key;
}

function hasRoot(node: Node): boolean {
  return factorsOf(node).some((factor) => factor.node.kind === 'root');
}

/** Numbers and roots of numbers, powers and products of them, multiplied. */
function isOfRoots(node: Node): boolean {
  return factorsOf(node).every(({ node: factor }) => {
    if (factor.kind === 'number') return true;
    if (factor.kind === 'power') return factor.of.kind === 'number';
    return factor.kind === 'root' && isOfRoots(factor.of);
  });
}
