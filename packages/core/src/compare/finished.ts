import { writtenFactors, type Amount, type LawFrame } from '../laws/law.ts';
import { denominatorOf } from '../laws/written.ts';
import { isFraction } from '../problem/expression.ts';
import { termShape } from '../problem/kinds.ts';
import type { Line } from './certificate/lines.ts';

/**
 * The last line is finished: one amount that is worked out and reduced; terms that are all unlike; or a square of
 * one number, perhaps with a factor that stays under the root, and what is left over. What is wrong; null where it holds.
 */
export function endFault(
  { leaves }: Line,
  laws: Pick<LawFrame, 'kind' | 'script'>,
  unreduced = false,
): string | null {
  if (unreduced) {
    const isLeft = leaves.length === 1 && laws.script === 'fractions' && isUnreduced(leaves[0]!);
    return isLeft ? null : 'the last line is no fraction that can be reduced';
  }
  const isDone =
    laws.kind === 'root'
      ? isRoot(leaves)
      : laws.script === 'terms'
        ? areUnlike(leaves)
        : leaves.length === 1 && (isReduced(leaves[0]!) || isLoneTerm(leaves[0]!, laws.kind));
  return isDone ? null : 'the sum is not finished';
}

/** The terms of sums and differences are amounts, so that one alone is worked out where it is in lowest terms. */
function isLoneTerm(leaf: Amount, kind: LawFrame['kind']): boolean {
  return termShape(kind) === 'parts' && leaf.owed && denominatorOf(leaf) === leaf.worth.denominator;
}

/** Worked out, and in lowest terms where it is written as a fraction. */
function isReduced(amount: Amount): boolean {
  const { owed, written, worth } = amount;
  const of = written?.kind === 'negative' ? written.of : written;
  const isLowest = of !== null && isFraction(of) && denominatorOf(amount) === worth.denominator;
  return !owed && (written === null || isLowest);
}

/** Worked out, and written as a fraction that is not in lowest terms. */
function isUnreduced(amount: Amount): boolean {
  const { owed, written, worth } = amount;
  const of = written?.kind === 'negative' ? written.of : written;
  const isParts = of !== null && (isFraction(of) || of.kind === 'mixed');
  return !owed && isParts && denominatorOf(amount) !== worth.denominator;
}

function isRoot(leaves: readonly Amount[]): boolean {
  const [square, rest, ...more] = leaves;
  if (!square || more.length > 0 || (rest && !isReduced(rest))) return false;
  const factors = square.written ? writtenFactors(square.written) : [];
  const powers = factors.filter(({ kind }) => kind === 'power');
  const numbers = factors.filter(({ kind }) => kind === 'number');
  const isSimple =
    powers.length <= 1 &&
    numbers.length <= 1 &&
    powers.length + numbers.length === factors.length &&
    powers.every((factor) => factor.kind === 'power' && factor.of.kind === 'number');
  return isSimple && (square.written !== null || square.worth.isZero || !square.owed);
}

function areUnlike(leaves: readonly Amount[]): boolean {
  const letters = leaves.flatMap(({ worth }) => worth.parts().map((part) => part.letters));
  const isOneEach = leaves.length === 1 || letters.length === leaves.length;
  return isOneEach && new Set(letters).size === letters.length;
}
