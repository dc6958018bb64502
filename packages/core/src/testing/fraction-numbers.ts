import fc from 'fast-check';
import { mixedNumeral, numeral, numeralValue, type Numeral } from '../exact/numeral.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';

/** A fraction, proper or not, with or without a whole number before it. */
export function mixedNumber(wholes: boolean): fc.Arbitrary<Numeral> {
  const part = fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 1, max: 24 }));
  const count = wholes ? fc.integer({ min: 0, max: 12 }) : fc.constant(0);
  return fc.tuple(count, part, fc.nat({ max: 9 })).map(([whole, [top, bottom], bare]) => {
    const number = numeral(String(whole));
    if (wholes && bare === 0) return number;
    return mixedNumeral(BigInt(whole), BigInt(top), BigInt(bottom));
  });
}

/** Small fractions and mixed numbers, now and then a whole number, at least one of them a fraction. */
function factorPairs(): fc.Arbitrary<readonly [Numeral, Numeral]> {
  const part = fc.tuple(fc.integer({ min: 0, max: 15 }), fc.integer({ min: 1, max: 12 }));
  const number = fc
    .tuple(fc.constantFrom(0, 0, 0, 1, 2, 5), part, fc.nat({ max: 6 }))
    .map(([whole, [top, bottom], bare]) =>
      bare === 0
        ? numeral(String(whole + 1))
        : mixedNumeral(BigInt(whole), BigInt(top), BigInt(bottom)),
    );
  return fc.tuple(number, number).filter((pair) => pair.some(({ fraction }) => fraction));
}

/** Products of two fractions or mixed numbers. */
export function fractionFactors(): fc.Arbitrary<Problem> {
  return factorPairs().map((pair) => makeProblem('product', pair));
}

/** Quotients of fractions or mixed numbers; nothing is divided by nothing. */
export function fractionShares(): fc.Arbitrary<Problem> {
  return factorPairs()
    .filter(([, divisor]) => !numeralValue(divisor).isZero)
    .map((pair) => makeProblem('quotient', pair));
}
