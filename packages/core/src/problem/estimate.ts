import { Exact } from '../exact/exact.ts';
import {
  digitWorth,
  fractionText,
  numberText,
  numeralValue,
  placeValue,
  type Numeral,
} from '../exact/numeral.ts';
import type { ProblemKind } from './kinds.ts';
import { valueOfKind, type Problem } from './problem.ts';
import { wholeRoot } from '../exact/whole-root.ts';
import { exactRoot } from './evaluate.ts';
import { scriptOf } from './script.ts';

/** A rounded operand that can be offered, with where it comes from. */
export interface RoundedOperand {
  readonly rule:
    | 'leading place'
    | 'nearest ten'
    | 'nearest half'
    | 'nearest whole'
    | 'nearest square'
    | 'as it is';
  readonly worth: Exact;
}

/** The leading figure rounded by the next one, halves up: 46 to 50, 450 to 500, 0.36 to 0.4; 8 stays. */
export function leadingPlace(operand: Numeral): Exact {
  const leading = operand.digits.findLastIndex((digit) => digit > 0);
  return leading < 0 ? Exact.ZERO : roundedTo(operand, leading);
}

/** The choices for an operand, without repeats; the first is the one to propose. */
export function roundings(operand: Numeral, kind?: ProblemKind): readonly RoundedOperand[] {
  if (kind === 'root') {
    return [{ rule: 'nearest square', worth: nearestSquare(operand) }];
  }
  const { decimals, digits, fraction } = operand;
  const all: RoundedOperand[] = fraction
    ? [
        { rule: 'nearest half', worth: nearest(operand, Exact.of(1, 2)) },
        { rule: 'nearest whole', worth: nearest(operand, Exact.ONE) },
      ]
    : [{ rule: 'leading place', worth: leadingPlace(operand) }];
  if (digits.length - decimals > 1 && !fraction) {
    all.push({ rule: 'nearest ten', worth: roundedTo(operand, decimals + 1) });
  }
  if (decimals > 0) all.push({ rule: 'nearest whole', worth: roundedTo(operand, decimals) });
  all.push({ rule: 'as it is', worth: numeralValue(operand) });
  return all
    .filter(({ worth, rule }) => !worth.isZero || rule === 'as it is' || fraction)
    .filter(({ worth }, i, list) => list.findIndex((other) => other.worth.equals(worth)) === i);
}

/** The nearest multiple of a unit, halves up. */
function nearest(operand: Numeral, unit: Exact): Exact {
  const count = numeralValue(operand).dividedBy(unit).plus(Exact.of(1, 2));
  return Exact.of(count.numerator / count.denominator).times(unit);
}

/** Rounded to the figure with this index, counted from the right. */
function roundedTo(operand: Numeral, index: number): Exact {
  if (index === 0) return numeralValue(operand);
  const unit = placeValue(operand.base, index - operand.decimals);
  const kept = Exact.sum(
    operand.digits.map((_, p) => (p >= index ? digitWorth(operand, p) : Exact.ZERO)),
  );
  const next = operand.digits[index - 1]! * 2 >= operand.base;
  return next ? kept.plus(unit) : kept;
}

/**
 * The operands as an estimate would round them, in the problem's base. The dividend of a quotient
 * goes to the nearest easy multiple of the rounded divisor: 3185 ÷ 7 is about 2800 ÷ 7.
 */
export function proposedOperands(problem: Problem): readonly string[] {
  const { operands, base, kind } = problem;
  if (kind === 'root') return [numberText(nearestSquare(operands[0]), base)];
  if (scriptOf(problem) === 'fractions') {
    return operands.map((operand) => fractionText(nearest(operand, Exact.of(1, 2))));
  }
  const rounded = operands.map(leadingPlace);
  if (kind === 'quotient') rounded[0] = easyDividend(operands[0], rounded[1]!);
  return rounded.map((worth) => numberText(worth, base));
}

/** Whether rounding the operands for an estimate changes any of them; where it does not, there is none to be made. */
export function canBeRounded(problem: Problem): boolean {
  const { operands, base } = problem;
  if (problem.kind === 'expression') return false;
  const own = operands.map((operand) =>
    scriptOf(problem) === 'fractions'
      ? fractionText(numeralValue(operand))
      : numberText(numeralValue(operand), base),
  );
  return proposedOperands(problem).some((text, k) => text !== own[k]);
}

/** One figure times a place times the divisor, as near to the dividend as that comes. */
function easyDividend(dividend: Numeral, divisor: Exact): Exact {
  const { base } = dividend;
  const quotient = numeralValue(dividend).dividedBy(divisor);
  if (quotient.isZero) return quotient;
  let place = 0;
  while (quotient.compare(placeValue(base, place + 1)) >= 0) place++;
  while (quotient.compare(placeValue(base, place)) < 0) place--;
  const unit = placeValue(base, place);
  const count = quotient.dividedBy(unit).plus(Exact.of(1, 2));
  const whole = Exact.of(count.numerator / count.denominator);
  return whole.times(unit).times(divisor);
}

/**
 * What rounded operands make, put together as the kind of problem does it; of a number that is no square the
 * whole number just below its root.
 */
export function estimateOf(kind: ProblemKind, operands: readonly Exact[]): Exact {
  if (kind !== 'root') return valueOfKind(kind, operands);
  const [of = Exact.ZERO] = operands;
  if (of.isNegative) return Exact.ZERO;
  return exactRoot(of) ?? Exact.of(wholeRoot(of.numerator / of.denominator));
}

/** The square of a single figure in some place that is nearest to a number, so that its root is known by heart. */
function nearestSquare(radicand: Numeral): Exact {
  const { base } = radicand;
  const value = numeralValue(radicand);
  if (value.isZero) return value;
  let place = 0;
  while (value.compare(placeValue(base, 2 * place + 2)) >= 0) place++;
  while (value.compare(placeValue(base, 2 * place)) < 0) place--;
  const unit = placeValue(base, 2 * place);
  const squares = Array.from({ length: base }, (_, k) => Exact.of((k + 1) ** 2).times(unit));
  const off = (square: Exact) => {
    const by = square.minus(value);
    return by.absolute();
  };
  return squares.reduce((best, square) => (off(square).compare(off(best)) < 0 ? square : best));
}
