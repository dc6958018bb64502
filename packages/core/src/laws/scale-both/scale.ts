import { Exact } from '../../exact/exact.ts';
import { isNumber } from '../../line/kinds.ts';
import {
  type Factor,
  factorKey,
  isOne,
  numberOf,
  productNode,
  type Term,
} from '../../line/node.ts';
import { one, times } from '../../line/terms.ts';
import { type Change, type Fault, firstFault, type LawFrame, oneForOne } from '../law.ts';
import { type Aim, defineMove, type Written } from '../move-spec.ts';
import { isTakenApart } from '../reorder/taken-apart.ts';
import { valueOf } from '../written.ts';

/** Both numbers of every share are multiplied by one factor. */
export const SCALE = defineMove({
  id: 'scale',
  law: 'scale-both',
  statement: 'Both numbers of a quotient are scaled alike.',
  words: { brief: 'scaled alike', says: 'both numbers scaled alike' },
  check: scaleAll,
  ofFactors: (old, made) =>
    isScaled(old, made) || isScaled(made, old) || areSharesWritten(old, made),
  write: scaledShares,
});

function scaleAll(change: Change, frame: LawFrame): Fault {
  const { kind, operands, inFigures, by } = frame;
  return firstFault(oneForOne(change), () => {
    if (inFigures) return frame.script === 'terms' ? 'letters are not scaled' : null;
    if (kind !== 'quotient') return 'it is not a quotient';
    const divisor = operands[1]!;
    const factors = new Set<string>();
    for (const { worth, written } of change.gives) {
      const [top, bottom] =
        written?.kind === 'quotient' ? [written.dividend, written.divisor].map(valueOf) : [];
      if (!top || !bottom || bottom.isZero) return 'a share is not written as one';
      const factor = bottom.dividedBy(divisor);
      if (!top.equals(worth.times(bottom))) return `${top} ÷ ${bottom} is not the share`;
      factors.add(factor.toString());
    }
    if (factors.size !== 1 || factors.has('1')) return 'not all are scaled by one factor';
    return by === null || factors.has(by.toString()) ? null : `they are not scaled by ${by}`;
  });
}

/** The ways in which a quotient, and so a fraction, stays when its numbers are scaled; looked for one way round. */
function isScaled(old: readonly Factor[], made: readonly Factor[]): boolean {
  return (
    isShareGrown(old, made) ||
    isScaledShare(old, made) ||
    isUnitShare(old, made) ||
    isGrownAndShared(old, made)
  );
}

/** a ÷ b as ka ÷ kb; p/q ÷ r/q as p ÷ r is one of them. */
function isScaledShare(old: readonly Factor[], made: readonly Factor[]): boolean {
  if (old.length !== 2 || made.length !== 2) return false;
  const isShare = (factors: readonly Factor[]) => factors.filter(({ under }) => under).length === 1;
  return isShare(old) && isShare(made) && [...old, ...made].every(({ node }) => isNumber(node));
}

/** ÷ 25 as × 4 ÷ 100: dividend and divisor are both four times as much. */
function isShareGrown(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  if (!only?.under || more.length > 0 || made.length !== 2) return false;
  return (
    made.filter(({ under }) => under).length === 1 &&
    [...old, ...made].every(({ node }) => node.kind === 'number')
  );
}

/** Divided by p/q, multiplied by q/p: a ÷ 1/n as a · n, a ÷ b as a · 1/b. */
function isUnitShare(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  const [other, ...others] = made;
  if (!only?.under || !other || other.under || more.length + others.length > 0) return false;
  return [only.node, other.node].some(({ kind }) => kind === 'fraction');
}

/** A fraction as its top that is multiplied and its bottom that is divided by: 3/4 · 24 as 24 ÷ 4 · 3. */
function areSharesWritten(old: readonly Factor[], made: readonly Factor[]): boolean {
  const keys = (factors: readonly Factor[]) =>
    factors
      .flatMap(writtenOut)
      .filter(({ node }) => !isOne(node))
      .map(factorKey)
      .sort()
      .join(' ');
  return keys(old) === keys(made);
}

function writtenOut({ under, node }: Factor): readonly Factor[] {
  if (node.kind !== 'fraction') return [{ under, node }];
  return [
    { under, node: node.top },
    { under: !under, node: node.bottom },
  ];
}

/** a · b as 10a · 10b ÷ 100, and a as ka ÷ k. */
function isGrownAndShared(old: readonly Factor[], made: readonly Factor[]): boolean {
  const shares = made.filter(({ under }) => under);
  const grown = made.filter(({ under }) => !under);
  if (shares.length !== 1 || grown.length !== old.length || old.some(({ under }) => under))
    return false;
  if (grown.length === 1) return old[0]!.node.kind === 'number' && !isTakenApart(old, made);
  return grown.every(({ node }, k) => {
    const by = isNumber(old[k]!.node) && node.value.dividedBy(old[k]!.node.value)?.rational;
    return by && by.isWhole;
  });
}

/** A quotient with a divisor that is aimed at. */
function scaledShares(term: Term, { base, factors: numbers }: Aim): readonly Written[] {
  const [top, bottom, ...more] = term.node.kind === 'product' ? term.node.factors : [];
  if (!top || !bottom?.under || top.under || more.length > 0) return [];
  return numbers.flatMap((part): readonly Written[] => {
    const by = part.dividedBy(bottom.node.value.rational ?? Exact.ONE);
    const scaled = top.node.value.rational?.times(by);
    if (!scaled?.isConstant || by.equals(Exact.ONE) || by.isNegative || by.isZero) return [];
    const factors = [times(numberOf(scaled, base)), { under: true, node: numberOf(part, base) }];
    return [{ variant: `scaled ${part}`, terms: one(term, productNode(factors)) }];
  });
}
