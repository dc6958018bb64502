import { Exact } from '../../exact/exact.ts';
import { placeValue } from '../../exact/numeral.ts';
import { lastPlace } from '../../laws/regrouping.ts';
import { numberOf, type Term } from '../node.ts';
import { nodeText } from '../node-text.ts';
import { move, type Page, type Recogniser } from '../move.ts';

/**
 * The same is put to both numbers of a difference, or one addend gives what the other takes. It is named only where
 * the change makes a number easier or puts in one that stands there already: by some change any two sums go together.
 */
export const changedAlike: Recogniser = (old, made, page) => {
  if (old.length !== 2 || made.length !== 2) return [];
  const [a, b] = old.map(numberIn);
  if (!a || !b) return [];
  const isDifference = old[0]!.minus !== old[1]!.minus;
  const pairings = isDifference
    ? [made[0]!.minus === old[0]!.minus ? made : [made[1]!, made[0]!]]
    : [made, [made[1]!, made[0]!]];
  for (const [c, d] of pairings) {
    if (c!.minus !== old[0]!.minus || d!.minus !== old[1]!.minus) continue;
    const [first, second] = [numberIn(c!), numberIn(d!)];
    if (!first || !second || first.equals(a) || second.equals(b)) continue;
    const isWritten = made.some(({ node }) => node.kind === 'sum');
    if (!isWritten && !isEasier([a, b], [first, second], page)) continue;
    const by = first.minus(a).absolute();
    const law = isDifference ? 'same-change' : 'give-and-take';
    return [[move(['same-change', law], old, made, nodeText(numberOf(by, page.base)))]];
  }
  return [];
};

/**
 * The same change with its first bracket left out: 642 − 387 as 642 + 13 − (387 + 13). What stays in both lines is gone
 * here, so that −387 becomes 13 − (387 + 13).
 */
export const changedInside: Recogniser = (old, made, page) => {
  const [taken, ...more] = old;
  if (!taken?.minus || more.length > 0 || made.length !== 2) return [];
  const bracket = made.find(({ minus, node }) => minus && node.kind === 'sum');
  const other = made.find((term) => term !== bracket);
  if (bracket?.node.kind !== 'sum' || !other || bracket.node.terms.length !== 2) return [];
  const [first, second] = bracket.node.terms;
  const isSame = (one: Term, two: Term) => one.minus === two.minus && one.node.key === two.node.key;
  const kept = { minus: false, node: taken.node };
  const isPut =
    (isSame(first!, kept) && isSame(second!, other)) ||
    (isSame(second!, kept) && isSame(first!, other));
  if (!isPut) return [];
  const by = other.node.value.rational;
  const told = by ? nodeText(numberOf(by, page.base)) : nodeText(other.node);
  return [[move(['same-change', 'same-change'], old, made, told)]];
};

/** The size of a number, or of a number with something put to it or taken from it in brackets; null for all else. */
function numberIn({ node }: Term): Exact | null {
  const value = node.value.rational;
  if (!value?.isConstant || value.isNegative) return null;
  if (node.kind === 'number' || node.kind === 'fraction' || node.kind === 'mixed') return value;
  const isPut = node.kind === 'sum' && node.terms.every((term) => term.node.kind !== 'sum');
  return isPut && node.terms.length === 2 ? value : null;
}

/** Rounder than before and near by, all nines, changed by one figure, or there already. */
function isEasier(
  before: readonly Exact[],
  after: readonly Exact[],
  { base, numbers }: Page,
): boolean {
  if (after.some((amount) => numbers.has(amount.toString()))) return true;
  return after.some((amount, k) => isEasierThan(amount, before[k]!, base));
}

function isEasierThan(after: Exact, before: Exact, base: number): boolean {
  const place = lastPlace(after, base);
  const own = lastPlace(before, base);
  if (place === null) return false;
  const by = after.minus(before).absolute();
  if (own === null) return after.isWhole && by.compare(Exact.ONE) < 0;
  if (after.isZero) return false;
  const isNear = by.compare(placeValue(base, place)) < 0;
  return (place > own && isNear) || isAllNines(after, base) || isOneFigure(by, base);
}

function isAllNines(amount: Exact, base: number): boolean {
  return (
    amount.isWhole &&
    amount.compare(Exact.of(base)) > 0 &&
    [...amount.numerator.toString(base)].every((glyph) => parseInt(glyph, base) === base - 1)
  );
}

/** A whole number of one figure. */
function isOneFigure(amount: Exact, base: number): boolean {
  return amount.isWhole && amount.compare(Exact.of(base)) < 0;
}
