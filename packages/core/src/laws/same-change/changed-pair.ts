import { Exact } from '../../exact/exact.ts';
import { placeValue } from '../../exact/numeral.ts';
import { numberOf, type Term } from '../../line/node.ts';
import { isAllNines } from '../../line/places.ts';
import type { Page } from '../move-spec.ts';
import type { Used } from '../used.ts';
import { lastPlace } from '../regrouping.ts';

/**
 * By how much two numbers change so that their sum, or their difference, stays; null where they do not. It is seen only
 * where the change makes a number easier or puts in one that stands there already: by some change any two sums go together.
 */
export function changeBetween(
  old: readonly Term[],
  made: readonly Term[],
  page: Page,
): { readonly isDifference: boolean; readonly by: Used } | null {
  const [one, two, ...more] = old;
  const [first, second, ...others] = made;
  if (!one || !two || !first || !second || more.length + others.length > 0) return null;
  const [a, b] = [numberIn(one), numberIn(two)];
  if (!a || !b) return null;
  const isDifference = one.minus !== two.minus;
  const isTurned = isDifference && first.minus !== one.minus;
  const pairings = [
    ...(isTurned ? [] : [[first, second] as const]),
    ...(isDifference && !isTurned ? [] : [[second, first] as const]),
  ];
  for (const [c, d] of pairings) {
    if (c.minus !== one.minus || d.minus !== two.minus) continue;
    const [x, y] = [numberIn(c), numberIn(d)];
    if (!x || !y || x.equals(a) || y.equals(b)) continue;
    const isWritten = made.some(({ node }) => node.kind === 'sum');
    if (!isWritten && !isEasier([a, b], [x, y], page)) continue;
    return { isDifference, by: { kind: 'by', by: numberOf(x.minus(a).absolute(), page.base) } };
  }
  return null;
}

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

/** A whole number of one figure. */
function isOneFigure(amount: Exact, base: number): boolean {
  return amount.isWhole && amount.compare(Exact.of(base)) < 0;
}
