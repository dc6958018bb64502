import { Exact } from './exact.ts';

/**
 * How a number is written: its digits, the base they are in, and where the point stands. Digits are
 * kept by place, ones (or the last decimal place) first, so `digits[0]` is the rightmost figure.
 * There is always at least one digit and no unneeded leading zero before the point.
 */
export interface Numeral {
  /** Each from 0 to base − 1; index 0 is the rightmost figure. */
  readonly digits: readonly number[];
  /** From 2 to 16. */
  readonly base: number;
  /** How many digits stand after the point; 0 for a whole number. */
  readonly decimals: number;
}

export const MIN_BASE = 2;
export const MAX_BASE = 16;

const FIGURES = '0123456789ABCDEF';

/** The figure for a digit: `figure(11)` is `B`. */
export function figure(digit: number): string {
  const glyph = FIGURES[digit];
  if (glyph === undefined) throw new RangeError(`figure: ${digit} is not a digit`);
  return glyph;
}

/**
 * Reads figures with at most one point, in the given base. Throws RangeError for a figure the base
 * does not have; {@link ../problem/parse.ts} reports such figures to people before it gets here.
 */
export function numeral(text: string, base = 10): Numeral {
  if (!Number.isInteger(base) || base < MIN_BASE || base > MAX_BASE) {
    throw new RangeError(`numeral: base ${base} is not from ${MIN_BASE} to ${MAX_BASE}`);
  }
  const [whole = '', fraction = ''] = text.toUpperCase().split('.');
  const digits = [...(whole.replace(/^0+/, '') || '0'), ...fraction].reverse().map((glyph) => {
    const digit = FIGURES.indexOf(glyph);
    if (digit < 0 || digit >= base) throw new RangeError(`numeral: "${glyph}" in base ${base}`);
    return digit;
  });
  return { digits, base, decimals: fraction.length };
}

/** The whole number written in the given base. Throws RangeError when it is negative. */
export function numeralOf(value: bigint, base = 10): Numeral {
  if (value < 0n) throw new RangeError(`numeralOf: ${value} is negative`);
  return numeral(value.toString(base), base);
}

/** As people write it, without the base: `205`, `3.06`, `1AF`. */
export function numeralText({ digits, decimals }: Numeral): string {
  const figures = digits.map(figure).reverse().join('');
  if (decimals === 0) return figures;
  const split = figures.length - decimals;
  return `${figures.slice(0, split)}.${figures.slice(split)}`;
}

/** The digit `place` figures from the right; 0 beyond the left end. */
export function digitAt(number: Numeral, place: number): number {
  return number.digits[place] ?? 0;
}

const POWERS = new Map<number, Exact[]>();

/** `base` to the power `place`; places below zero give fractions. Powers are kept once made. */
export function placeValue(base: number, place: number): Exact {
  if (place < 0) return Exact.ONE.dividedBy(placeValue(base, -place));
  let powers = POWERS.get(base);
  if (!powers) POWERS.set(base, (powers = [Exact.ONE]));
  for (let i = powers.length; i <= place; i++) {
    powers.push(powers[i - 1]!.times(Exact.of(base)));
  }
  return powers[place]!;
}

/** What the digit at a place amounts to: the 5 of 58 is worth 50. */
export function digitWorth(number: Numeral, place: number): Exact {
  return worthAt(digitAt(number, place), number.base, place - number.decimals);
}

const WORTHS = new Map<number, Exact[]>();

/** What a count of some place amounts to: 12 tens are 120. Worths of single figures are kept once made. */
export function worthAt(count: number, base: number, place: number): Exact {
  if (count === 0) return Exact.ZERO;
  if (count >= base || place < 0) return Exact.of(count).times(placeValue(base, place));
  let worths = WORTHS.get(base);
  if (!worths) WORTHS.set(base, (worths = []));
  return (worths[place * base + count] ??= Exact.of(count).times(placeValue(base, place)));
}

/** The number's exact value. */
export function numeralValue(number: Numeral): Exact {
  const base = Exact.of(number.base);
  let total = Exact.ZERO;
  for (let i = number.digits.length - 1; i >= 0; i--) {
    total = total.times(base).plus(Exact.of(number.digits[i]!));
  }
  return number.decimals === 0 ? total : total.dividedBy(placeValue(number.base, number.decimals));
}

/** A whole amount written out in a base: worth 48 in base 16 is `30`. */
export function wholeText(amount: Exact, base: number): string {
  if (!amount.isWhole) throw new RangeError(`wholeText: ${amount} is not a whole number`);
  return amount.numerator.toString(base).toUpperCase();
}
