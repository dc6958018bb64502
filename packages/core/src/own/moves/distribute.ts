import { Exact } from '../../exact/exact.ts';
import { decimalsNeeded } from '../../exact/numeral.ts';
import { Surd } from '../../exact/surd.ts';
import {
  factorKey,
  flat,
  fractionOf,
  numberOf,
  productNode,
  termValue,
  valueOfFactors,
  type Factor,
  type Node,
  type PowerNode,
  type Term,
  turned,
} from '../node.ts';
import { nodeText, termsText } from '../node-text.ts';
import { move, type Recogniser } from '../move.ts';
import { lastPlace } from '../../laws/regrouping.ts';
import { arePlacesOf, placesOf } from './apart.ts';
import { isNumber, isPlain } from './working.ts';

/** A product, or a share, of a sum becomes the products, or shares, of its parts; worked out at once or not. */
export const distributed: Recogniser = (old, made, { base }) => {
  const [only, ...more] = old;
  if (!only || more.length > 0 || made.length < 2) return [];
  const parts = only.minus ? turned(made) : made;
  const cut = cutAlong(withoutPower(only.node), parts, base);
  return cut === null ? [] : [[move(['distribute', 'distribute'], old, made, cut || null)]];
};

/** Products with a factor in common become that factor times a sum. */
export const factoredOut: Recogniser = (old, made, { base }) => {
  const [only, ...more] = made;
  if (!only || more.length > 0 || old.length < 2) return [];
  const parts = only.minus ? turned(old) : old;
  // What is put together must be seen in the products; numbers that only happen to share a factor must show it.
  const isSeen = hasSum(only.node) || (parts.some(isProductOfNumbers) && isNumber(only.node));
  const cut = isSeen ? cutAlong(withoutPower(only.node), parts, base) : null;
  return cut === null ? [] : [[move(['distribute', 'factor-out'], old, made, cut || null)]];
};

function isProductOfNumbers({ node }: Term): boolean {
  return node.kind === 'product' && isNumber(node);
}

function hasSum(node: Node): boolean {
  return node.kind === 'product' && node.factors.some((factor) => factor.node.kind === 'sum');
}

/** The factors of a product or share; a fraction is its top over its bottom. */
export function factorsOf(node: Node): readonly Factor[] {
  if (node.kind === 'product') return node.factors;
  if (node.kind === 'fraction') {
    return [
      { under: false, node: node.top },
      { under: true, node: node.bottom },
    ];
  }
  return [{ under: false, node }];
}

/**
 * How a product falls into parts by cutting one of its factors, never a divisor: `58 = 60 − 2`, or an empty text where
 * the factor is a sum already. Of several ways the one by places, then one by a round number. Null where the parts are
 * not that.
 */
function cutAlong(product: Node, parts: readonly Term[], base: number): string | null {
  const factors = factorsOf(product);
  if (factors.length < 2) return null;
  const cuts: Cut[] = [];
  for (const [index, factor] of factors.entries()) {
    if (factor.under) continue;
    const rest = factors.filter((_, k) => k !== index);
    if (factor.node.kind === 'sum') {
      if (alongSum(factor.node.terms, rest, parts)) return '';
    } else cuts.push(...alongNumber(factor.node, rest, parts, base));
  }
  cuts.sort((a, b) => a.rank - b.rank);
  return cuts[0]?.text ?? null;
}

interface Cut {
  readonly text: string;
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

export function isSame(due: readonly Surd[], made: readonly Surd[]): boolean {
  const keys = (values: readonly Surd[]) => values.map(String).sort().join(' ');
  return due.length === made.length && keys(due) === keys(made);
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
  return [{ text: `${nodeText(number)} = ${termsText(cut)}`, rank }];
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

/** The factors without some of them; null where one of these is not there. */
export function without(
  factors: readonly Factor[],
  some: readonly Factor[],
): readonly Factor[] | null {
  const left = [...factors];
  for (const factor of some) {
    const at = left.findIndex((own) => factorKey(own) === factorKey(factor));
    if (at < 0) return null;
    left.splice(at, 1);
  }
  return left;
}

/** Every part of one factor with every part of the others, worked out at once or not. */
export const eachWithEach: Recogniser = (old, made, { base }) => {
  const [only, ...more] = old;
  if (!only || more.length > 0) return [];
  const cuts = eachCuts(only.node, only.minus ? turned(made) : made, base);
  return cuts ? [[move(['distribute', 'each-with-each'], old, made)]] : [];
};

/** How the factors are cut so that each part with each part is one of the terms; null where they are not. */
export function eachCuts(
  node: Node,
  made: readonly Term[],
  base: number,
): readonly (readonly Surd[])[] | null {
  const factors = repeated(node);
  if (made.length < 4 || factors.length < 2 || factors.some(({ under }) => under)) return null;
  const wanted = made.map(termValue);
  const numbers = numbersIn(made);
  const choices = factors.map((factor) => cutsOf(factor.node, numbers, base));
  for (const cuts of combinations(choices, made.length)) {
    if (cuts.filter((cut) => cut.length > 1).length < 2) continue;
    const products = cuts.reduce((all, cut) => all.flatMap((a) => cut.map((b) => a.times(b))));
    if (isSame(products, wanted)) return cuts;
  }
  return null;
}

/** A square or a cube as the product that it is. */
function withoutPower(node: Node): Node {
  return node.kind === 'power' ? productNode(repeated(node)) : node;
}

/** Most factors that powers are written out to, a square, a cube or a bracket to some power. */
const MOST_REPEATED = 12;

/** Factors, a square, a cube or a power of a bracket as its base so many times; as it stands where that is too much. */
export function repeated(node: Node): readonly Factor[] {
  const isOnlyPower = node.kind === 'power' && node.exponent <= 3;
  const factors = isOnlyPower ? timesOver(node) : factorsOf(node).flatMap(bracketRepeated);
  return factors.length > MOST_REPEATED ? factorsOf(node) : factors;
}

function timesOver({ of, exponent }: PowerNode): readonly Factor[] {
  return Array.from({ length: exponent }, () => ({ under: false, node: of })).flatMap(
    bracketRepeated,
  );
}

/** A factor that is a power of a bracket, or of such a power, as that bracket so many times. */
function bracketRepeated(factor: Factor): readonly Factor[] {
  const { node, under } = factor;
  if (node.kind !== 'power' || under || node.exponent > MOST_REPEATED) return [factor];
  return node.of.kind === 'sum' || node.of.kind === 'power' ? timesOver(node) : [factor];
}

function numbersIn(terms: readonly Term[]): readonly Exact[] {
  const all = terms.flatMap(({ node }) =>
    factorsOf(node).flatMap(({ node: factor }) =>
      factor.kind === 'number' ? [factor.amount] : [],
    ),
  );
  return [...new Map(all.map((amount) => [amount.toString(), amount])).values()];
}

/** The ways a factor can be cut: as its bracket says; a number whole, by places, or by two numbers that stand there. */
function cutsOf(node: Node, numbers: readonly Exact[], base: number): readonly (readonly Surd[])[] {
  if (node.kind === 'sum') return [flat(node.terms).map(termValue)];
  const whole = [node.value];
  if (node.kind === 'mixed') return [whole, [node.whole.value, node.part.value]];
  if (node.kind !== 'number') return [whole];
  const places = placesOf(node.amount, base)?.map((amount) => Surd.of(amount)) ?? whole;
  const pairs = numbers
    .filter((part) => numbers.some((other) => areParts(part, other, node.amount)))
    .map((part) => [Surd.of(part), Surd.of(node.amount.minus(part))]);
  return [whole, places, ...pairs];
}

function areParts(part: Exact, other: Exact, whole: Exact): boolean {
  return other.equals(whole.minus(part)) || other.equals(part.minus(whole));
}

/** How many ways of cutting all factors are looked at. */
const MOST_COMBINED = 500;

/** One option of each choice, so that their lengths multiply to a count. */
function combinations<T>(
  choices: readonly (readonly (readonly T[])[])[],
  count: number,
): readonly (readonly (readonly T[])[])[] {
  const [first, ...rest] = choices;
  if (!first) return count === 1 ? [[]] : [];
  return first
    .filter((option) => count % option.length === 0)
    .flatMap((option) =>
      combinations(rest, count / option.length).map((others) => [option, ...others]),
    )
    .slice(0, MOST_COMBINED);
}
