import { Exact } from '../exact/exact.ts';
import { digitWorth, numeralValue, placeValue, wholeText, type Numeral } from '../exact/numeral.ts';
import type { Problem } from './problem.ts';

/** A rounded operand that can be offered, with where it comes from. */
export interface RoundedOperand {
  readonly rule: 'leading place' | 'nearest ten' | 'as it is';
  readonly worth: Exact;
}

/** The leading figure rounded by the next one, halves up: 46 to 50, 450 to 500; 8 stays. */
export function leadingPlace(operand: Numeral): Exact {
  const place = operand.digits.length - 1;
  return roundedTo(operand, place);
}

/** The choices for an operand, without repeats; the first is the one to propose. */
export function roundings(operand: Numeral): readonly RoundedOperand[] {
  const all: RoundedOperand[] = [
    { rule: 'leading place', worth: leadingPlace(operand) },
    {
      rule: 'nearest ten',
      worth: operand.digits.length > 1 ? roundedTo(operand, 1) : numeralValue(operand),
    },
    { rule: 'as it is', worth: numeralValue(operand) },
  ];
  return all.filter(({ worth }, i) => all.findIndex((other) => other.worth.equals(worth)) === i);
}

function roundedTo(operand: Numeral, place: number): Exact {
  if (place === 0) return numeralValue(operand);
  const unit = placeValue(operand.base, place);
  const kept = Exact.sum(
    operand.digits.map((_, p) => (p >= place ? digitWorth(operand, p) : Exact.ZERO)),
  );
  const next = operand.digits[place - 1]! * 2 >= operand.base;
  return next ? kept.plus(unit) : kept;
}

/** The operands as the estimate of a product would round them, in the problem's base. */
export function proposedOperands({ operands, base }: Problem): readonly string[] {
  return operands.map((operand) => wholeText(leadingPlace(operand), base));
}

/** What rounded operands make. */
export function estimateOf(operands: readonly Exact[]): Exact {
  return operands.reduce((product, operand) => product.times(operand), Exact.ONE);
}
