import type { Exact } from '../exact/exact.ts';
import type { Numeral } from '../exact/numeral.ts';
import type { Problem } from '../problem/problem.ts';

/** The figures of a numeral multiplied as integers, sharing nothing with the core's arithmetic. */
export function integerOf({ digits, base }: Numeral): bigint {
  return digits.reduceRight((total, digit) => total * BigInt(base) + BigInt(digit), 0n);
}

/** A fraction by plain integers, not reduced. */
export type Fraction = readonly [top: bigint, bottom: bigint];

/** What a problem comes to, by plain integer arithmetic on tops and bottoms. */
export function expectedValue({ kind, operands }: Problem): Fraction {
  const [first, ...rest] = operands.map((operand): Fraction => {
    const [top, bottom] = operand.fraction
      ? [integerOf(operand.fraction.top), integerOf(operand.fraction.bottom)]
      : [0n, 1n];
    const unit = BigInt(operand.base) ** BigInt(operand.decimals);
    return [integerOf(operand) * bottom + top * unit, unit * bottom];
  });
  return rest.reduce<Fraction>(([a, b], [c, d]) => {
    switch (kind) {
      case 'product':
        return [a * c, b * d];
      case 'quotient':
        return [a * d, b * c];
      case 'sum':
        return [a * d + c * b, b * d];
      case 'difference':
        return [a * d - c * b, b * d];
      case 'root':
      case 'expression':
        throw new RangeError(`expectedValue: a ${kind} has one number`);
    }
  }, first!);
}

/** Whether an amount is a fraction, by cross products. */
export function isFraction(amount: Exact, [top, bottom]: Fraction): boolean {
  return amount.numerator * bottom === top * amount.denominator;
}
