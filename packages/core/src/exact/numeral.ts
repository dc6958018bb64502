import { Exact } from './exact.ts';
import { gcd } from './rational.ts';
import { termsSource } from './terms-text.ts';

/** A part of a whole as it is written, not reduced, of two whole numbers. */
export interface FractionPart {
  readonly top: Numeral;
  readonly bottom: Numeral;
}

/**
 * How a number is written: its digits, the base they are in, and where the point stands, and a fraction
 * after them where it has one. Digits are
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
  /** The fraction of a mixed number, or of a fraction alone, whose digits then are a zero. */
  readonly fraction?: FractionPart;
  /** The terms of an expression with letters, as they are written; the digits then are a zero. */
  readonly terms?: TermList;
}

/** An expression with letters as it is written: its terms in order, neither gathered nor sorted. */
export interface TermList {
  /** Each a number times powers of letters; at least one. */
  readonly list: readonly Exact[];
  /** Whether it stands in a bracket behind a minus, which then counts for every term. */
  readonly taken: boolean;
  /** The letters of the problem, where all its fractions end and are written with a point. */
  readonly pointed?: string;
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
 * does not have; {@link ../problem/grammar.ts} reports such figures to people before it gets here.
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
export function numeralText({ digits, decimals, fraction, terms }: Numeral): string {
  if (terms) return termListText(terms);
  const figures = digits.map(figure).reverse().join('');
  if (fraction) {
    const part = `${numeralText(fraction.top)}/${numeralText(fraction.bottom)}`;
    return figures === '0' ? part : `${figures} ${part}`;
  }
  if (decimals === 0) return figures;
  const split = figures.length - decimals;
  return `${figures.slice(0, split)}.${figures.slice(split)}`;
}

/** Terms in the problem language, `x^2 - 3x + 10`, their fractions as they are written. */
export function termListText({ list, pointed }: Omit<TermList, 'taken'>): string {
  const text = termsSource(list);
  return pointed === undefined ? text : pointedTerms(text, pointed);
}

/** Fractions that end after the point, closed up with a letter of the problem: `0.5x` for `1/2 x`; others stay. */
export function pointedTerms(text: string, letters: string): string {
  const variable = new RegExp(`^[${letters || '.'}]+(?![a-z])`);
  return text.replace(/\d+\/\d+( ?)/g, (fraction, gap: string, at: number) => {
    const amount = Exact.parse(fraction.trim());
    if (decimalsNeeded(amount, 10) === null) return fraction;
    const isClosed = variable.test(text.slice(at + fraction.length));
    return numberText(amount, 10) + (isClosed ? '' : gap);
  });
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
  if (count < 0 || count >= base || place < 0)
    return Exact.of(count).times(placeValue(base, place));
  let worths = WORTHS.get(base);
  if (!worths) WORTHS.set(base, (worths = []));
  return (worths[place * base + count] ??= Exact.of(count).times(placeValue(base, place)));
}

const VALUES = new WeakMap<Numeral, Exact>();

/** The number's exact value; worked out once for each numeral. */
export function numeralValue(number: Numeral): Exact {
  let value = VALUES.get(number);
  if (!value) VALUES.set(number, (value = workedValue(number)));
  return value;
}

/** The exact value of a fraction alone. RangeError when its denominator is zero. */
export function partValue({ top, bottom }: FractionPart): Exact {
  return numeralValue(top).dividedBy(numeralValue(bottom));
}

/** A number with a fraction behind it; a zero before it is not written. */
export function mixedNumeral(whole: bigint, top: bigint, bottom: bigint): Numeral {
  return { ...numeralOf(whole), fraction: { top: numeralOf(top), bottom: numeralOf(bottom) } };
}

/** An expression with letters. RangeError for an empty list. */
export function termsNumeral(list: readonly Exact[], taken = false): Numeral {
  if (list.length === 0) throw new RangeError('termsNumeral: there is no term');
  return { ...numeralOf(0n), terms: { list, taken } };
}

/** Figures are gathered into numbers that still are exact before they become long ones. */
function workedValue({ digits, base, decimals, fraction, terms }: Numeral): Exact {
  const chunk = Math.floor(52 / Math.log2(base));
  const unit = BigInt(base) ** BigInt(chunk);
  let total = 0n;
  for (let end = digits.length; end > 0; end -= ((end - 1) % chunk) + 1) {
    let part = 0;
    for (let i = end - 1; i >= end - ((end - 1) % chunk) - 1; i--) part = part * base + digits[i]!;
    total = total * unit + BigInt(part);
  }
  if (terms) {
    const sum = Exact.sum(terms.list);
    return terms.taken ? sum.negate() : sum;
  }
  const value = Exact.of(total);
  if (fraction) return value.plus(partValue(fraction));
  return decimals === 0 ? value : value.dividedBy(placeValue(base, decimals));
}

/**
 * An amount written out in a base: whole numbers as figures, what ends after the point with a point,
 * anything else as a fraction. Worth 48 in base 16 is `30`; negative ones have a minus sign.
 */
export function numberText(amount: Exact, base: number): string {
  if (amount.isWhole) return plainFigures(amount.numerator, base);
  if (!amount.isConstant) return amount.toString();
  const decimals = decimalsNeeded(amount, base);
  if (decimals === null) {
    return `${plainFigures(amount.numerator, base)}/${plainFigures(amount.denominator, base)}`;
  }
  return pointedText(amount.times(placeValue(base, decimals)).numerator, decimals, base);
}

/** The same with what does not end told as a whole and a part: `76 11/24`. */
export function mixedText(amount: Exact, base: number): string {
  const { numerator, denominator } = amount;
  if (!amount.isConstant || decimalsNeeded(amount, base) !== null) return numberText(amount, base);
  const whole = numerator / denominator;
  if (whole === 0n) return numberText(amount, base);
  const part =
    numerator < 0n
      ? Exact.of(-numerator % denominator, denominator)
      : amount.minus(Exact.of(whole));
  return `${plainFigures(whole, base)} ${numberText(part, base)}`;
}

/** An amount as a whole and a part, whether its figures end or not: `5 1/6`, `1/2`, `−1 1/3`. */
export function fractionText(amount: Exact): string {
  const { numerator, denominator } = amount;
  const size = numerator < 0n ? -numerator : numerator;
  const [whole, top] = [size / denominator, size % denominator];
  const parts = [
    whole > 0n || top === 0n ? `${whole}` : '',
    top > 0n ? `${top}/${denominator}` : '',
  ];
  return (numerator < 0n ? '−' : '') + parts.filter(Boolean).join(' ');
}

/** How many figures after the point an amount needs in a base; null when it never ends. */
export function decimalsNeeded({ denominator }: Exact, base: number): number | null {
  let rest = denominator;
  for (let decimals = 0; ; decimals++) {
    if (rest === 1n) return decimals;
    const shared = gcd(rest, BigInt(base));
    if (shared === 1n) return null;
    rest /= shared;
  }
}

/** A whole count of the last place after the point: 205 with one figure after it is `20.5`. */
export function pointedText(count: bigint, decimals: number, base: number): string {
  const sign = count < 0n ? '−' : '';
  const figures = plainFigures(count < 0n ? -count : count, base).padStart(decimals + 1, '0');
  if (decimals === 0) return sign + figures;
  const split = figures.length - decimals;
  return `${sign}${figures.slice(0, split)}.${figures.slice(split)}`;
}

/** The amount as a numeral of a base, or null when it is negative or its figures never end. */
export function numeralFor(amount: Exact, base: number): Numeral | null {
  if (!amount.isConstant || amount.isNegative) return null;
  if (decimalsNeeded(amount, base) === null) return null;
  return numeral(numberText(amount, base), base);
}

/** The same number with more figures after the point, zeros put in at its end. */
export function padded(number: Numeral, decimals: number): Numeral {
  const zeros = Array<number>(Math.max(0, decimals - number.decimals)).fill(0);
  return {
    ...number,
    digits: [...zeros, ...number.digits],
    decimals: number.decimals + zeros.length,
  };
}

/** The figures of a number without its point: 20.5 becomes 205, and 0.07 becomes 7. */
export function withoutPoint({ digits, base }: Numeral): Numeral {
  const filled = digits.findLastIndex((digit) => digit > 0);
  return { digits: digits.slice(0, Math.max(1, filled + 1)), base, decimals: 0 };
}

function plainFigures(value: bigint, base: number): string {
  return value.toString(base).toUpperCase().replace('-', '−');
}

/** A whole amount written out in a base. RangeError for what is not whole; see {@link numberText}. */
export function wholeText(amount: Exact, base: number): string {
  if (!amount.isWhole) throw new RangeError(`wholeText: ${amount} is not a whole number`);
  return plainFigures(amount.numerator, base);
}
