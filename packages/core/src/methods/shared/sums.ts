import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Part } from '../../account/cut.ts';
import {
  digitWorth,
  numeralValue,
  placeValue,
  wholeText,
  type Numeral,
} from '../../exact/numeral.ts';
import { Exact } from '../../exact/exact.ts';
import type { Acceptance } from '../method.ts';

/** Accepts sums, of any number of addends or of two only. */
export function acceptsSum(most = Infinity) {
  return (problem: Problem): Acceptance => {
    if (problem.kind !== 'sum') return kindRefused(problem);
    const other = figuresRefused(problem);
    if (other) return other;
    const operands = problem.operands.length;
    return operands <= most
      ? { ok: true }
      : { ok: false, reason: { code: 'two-operands-only', operands } };
  };
}

/** Accepts differences; negative ones only where the method can honestly work them. */
export function acceptsDifference(negative: boolean) {
  return (problem: Problem): Acceptance => {
    if (problem.kind !== 'difference') return kindRefused(problem);
    const other = figuresRefused(problem);
    if (other) return other;
    const [minuend, subtrahend] = problem.operands.map(numeralValue);
    return negative || minuend!.compare(subtrahend!) >= 0
      ? { ok: true }
      : { ok: false, reason: { code: 'smaller-minus-larger' } };
  };
}

/** Why a method that works figures in places refuses numbers that are not written so; null where they are. */
export function figuresRefused(problem: Problem): Acceptance | null {
  switch (scriptOf(problem)) {
    case 'figures':
      return null;
    case 'fractions':
      return { ok: false, reason: { code: 'has-fractions' } };
    case 'terms':
      return { ok: false, reason: { code: 'has-letters' } };
  }
}

export function kindRefused({ kind }: Problem): Acceptance {
  return { ok: false, reason: { code: 'kind-not-worked', kind } };
}

/** A number that is not cut at all. */
export function wholeCut(number: Numeral): readonly Part[] {
  return [partOf(numeralValue(number), number.base)];
}

/** A part of some worth, written whole. */
export function partOf(worth: Exact, base: number, place?: number): Part {
  return { worth, text: wholeText(worth, base), place };
}

/** The places of a number whose digit is not zero, largest first. */
function filledPlaces({ digits }: Numeral): readonly number[] {
  return digits.flatMap((digit, place) => (digit > 0 ? [place] : [])).reverse();
}

/** The parts of a number at its places, largest first, without those that are zero. */
export function placeParts(number: Numeral): readonly { worth: Exact; place: number }[] {
  return filledPlaces(number).map((place) => ({ worth: digitWorth(number, place), place }));
}

/** The most places that any of these numbers has. */
export function mostPlaces(numbers: readonly Numeral[]): number {
  return Math.max(...numbers.map(({ digits }) => digits.length));
}

/** What is left when a whole amount is divided by a place's unit; never negative. */
export function remainder(amount: Exact, base: number, place: number): Exact {
  const unit = placeValue(base, place).numerator;
  return Exact.of(((amount.numerator % unit) + unit) % unit);
}

/** How far it is up to the next multiple of a place's unit; zero on one. */
export function upTo(amount: Exact, base: number, place: number): Exact {
  const over = remainder(amount, base, place);
  return over.isZero ? over : placeValue(base, place).minus(over);
}

/**
 * The change that makes a number round: up or down to the nearest multiple of the highest place that
 * is no farther away than a quarter of that place's unit, or else to the nearest ten; zero for a number
 * that is round already or has one figure only. Halves go up.
 */
export function roundingChange(number: Numeral): Exact {
  if (number.digits.filter((digit) => digit > 0).length <= 1 && number.digits.length > 1) {
    return Exact.ZERO;
  }
  const amount = numeralValue(number);
  for (let place = number.digits.length; place >= 1; place--) {
    const change = toNearest(amount, number.base, place);
    const four = change.absolute().times(Exact.of(4));
    if (four.compare(placeValue(number.base, place)) <= 0 && !amount.plus(change).isZero)
      return change;
  }
  return number.digits.length > 1 ? toNearest(amount, number.base, 1) : Exact.ZERO;
}

/** The change to the nearest multiple of a place's unit, halves up. */
export function toNearest(amount: Exact, base: number, place: number): Exact {
  const over = remainder(amount, base, place);
  const up = upTo(amount, base, place);
  return over.compare(up) < 0 ? over.negate() : up;
}

export function isPositive(amount: Exact): boolean {
  return amount.numerator > 0n;
}
