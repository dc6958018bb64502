import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, placeValue } from '../exact/numeral.ts';
import { type Node, numberOf, type Term } from './node.ts';
import { plus } from './terms.ts';

/** Whether parts are the figures of a number at their places, neighbouring figures perhaps together: 2668 = 2600 + 68. */
export function arePlacesOf(whole: Exact, parts: readonly Exact[], base: number): boolean {
  const places = placesOf(whole, base);
  if (!places || places.length < parts.length) return false;
  if (!parts.every(({ isConstant }) => isConstant)) return false;
  const sorted = [...parts].sort((a, b) => b.compare(a));
  let at = 0;
  for (const part of sorted) {
    let sum = Exact.ZERO;
    while (at < places.length && sum.compare(part) < 0) sum = sum.plus(places[at++]!);
    if (!sum.equals(part)) return false;
  }
  return at === places.length;
}

/** The worths of the figures of a number, largest first, zeros left out; null for what is no number of figures that end. */
export function placesOf(whole: Exact, base: number): readonly Exact[] | null {
  if (!whole.isConstant || whole.isNegative) return null;
  const decimals = decimalsNeeded(whole, base);
  if (decimals === null) return null;
  const figures = whole.times(placeValue(base, decimals)).numerator.toString(base);
  return [...figures].flatMap((glyph, index) => {
    const digit = parseInt(glyph, base);
    const place = figures.length - 1 - index - decimals;
    return digit === 0 ? [] : [placeValue(base, place).times(Exact.of(digit))];
  });
}

/** A number as the sum of its places, a mixed number as its whole and its part; null for what has one place or none. */
export function placesCut(node: Node, base: number): readonly Term[] | null {
  if (node.kind === 'mixed') return [plus(node.whole), plus(node.part)];
  const places = node.kind === 'number' ? placesOf(node.amount, base) : null;
  if (!places || places.length < 2) return null;
  return places.map((amount) => plus(numberOf(amount, base)));
}

/** Whether a whole number of two figures and more is all the highest figure of its base: 99, 999. */
export function isAllNines(amount: Exact, base: number): boolean {
  return (
    amount.isWhole &&
    amount.compare(Exact.of(base)) > 0 &&
    [...amount.numerator.toString(base)].every((glyph) => parseInt(glyph, base) === base - 1)
  );
}
