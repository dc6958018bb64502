import { Exact } from '../../exact/exact.ts';
import { decimalsNeeded } from '../../exact/numeral.ts';
import { factorsOf, isSame, without } from '../../line/factors.ts';
import { isNumber, isPlain } from '../../line/kinds.ts';
import {
  type Factor,
  flat,
  fractionOf,
  type Node,
  numberOf,
  productNode,
  type Term,
  termValue,
  valueOfFactors,
} from '../../line/node.ts';
import { arePlacesOf } from '../../line/places.ts';
import { FITS, type Fit } from '../move-spec.ts';
import { lastPlace } from '../regrouping.ts';
import type { Used } from '../used.ts';

/**
 * How a product falls into parts by cutting one of its factors, never a divisor: `58 = 60 − 2`, or nothing to tell where
 * the factor is a sum already. Of several ways the one by places, then one by a round number. Null where the parts are
 * not that.
 */
export function cutOf(product: Node, parts: readonly Term[], base: number): Fit | null {
  const factors = factorsOf(product);
  if (factors.length < 2) return null;
  const cuts: Cut[] = [];
  for (const [index, factor] of factors.entries()) {
    if (factor.under) continue;
    const rest = factors.filter((_, k) => k !== index);
    if (factor.node.kind === 'sum') {
      if (alongSum(factor.node.terms, rest, parts)) return FITS;
    } else cuts.push(...alongNumber(factor.node, rest, parts, base));
  }
  cuts.sort((a, b) => a.rank - b.rank);
  return cuts[0] ?? null;
}

interface Cut {
  readonly used: Used;
  /** 0 by places, 1 with a number that ends in zeros, 2 for all else. */
  readonly rank: 0 | 1 | 2;
}

/** Whether each term of the bracket times the rest is one of the parts. */
function alongSum(
  bracket: readonly Term[],
  rest: readonly Factor[],
  parts: readonly Term[],
): boolean {
  const by = valueOfFactors(rest);
  const due = flat(bracket).map((term) => termValue(term).times(by));
  return isSame(due, parts.map(termValue));
}

/** Every part is the rest times a part of the number. */
function alongNumber(
  number: Node,
  rest: readonly Factor[],
  parts: readonly Term[],
  base: number,
): readonly Cut[] {
  if (!isPlain(number)) return [];
  const pieces = parts.map(({ minus, node }) => {
    const piece = pieceOf(node, number, rest, base);
    return piece && { minus, node: piece };
  });
  if (pieces.includes(null)) return [];
  const cut = pieces as readonly Term[];
  const amounts = cut.map((term) => termValue(term).rational!);
  const isRound = amounts.some((amount) => (lastPlace(amount.absolute(), base) ?? 0) > 0);
  const whole = number.value.rational!;
  const rank = arePlacesOf(whole, amounts, base) ? 0 : isRound ? 1 : 2;
  return [{ used: { kind: 'cut', of: number, parts: cut }, rank }];
}

/** The part of the number that stands beside the rest, or that a worked out product comes from. */
function pieceOf(part: Node, number: Node, rest: readonly Factor[], base: number): Node | null {
  const left = without(factorsOf(part), rest);
  if (left) return left.length === 0 ? numberOf(Exact.ONE, base) : productNode(left);
  if (!isNumber(part)) return null;
  const by = valueOfFactors(rest);
  const piece = by.isZero ? null : part.value.dividedBy(by)?.rational;
  if (!piece || !isAsFine(piece, number.value.rational!)) return null;
  // A product that is written must be of the rest, worked out or not.
  const isWritten = !isPlain(part) && !factorsOf(part).some(({ node }) => node.value.equals(by));
  if (isWritten) return null;
  const isFraction = number.kind !== 'number' && !piece.isWhole && !piece.isNegative;
  return isFraction ? fractionOf(piece.numerator, piece.denominator) : numberOf(piece, base);
}

/** Whether a part is no finer than the number that it is a part of: whole for a whole. */
function isAsFine(part: Exact, whole: Exact): boolean {
  if (whole.isWhole) return part.isWhole;
  const [own, other] = [decimalsNeeded(part, 10), decimalsNeeded(whole, 10)];
  if (own !== null && other !== null) return own <= other;
  return whole.denominator % part.denominator === 0n;
}
