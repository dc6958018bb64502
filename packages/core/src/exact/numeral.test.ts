import fc from 'fast-check';
import { integerOf, wholeNumeral } from '../testing/arbitraries.ts';
import { Exact } from './exact.ts';
import {
  digitWorth,
  numeral,
  numeralOf,
  numeralText,
  numeralValue,
  placeValue,
  wholeText,
} from './numeral.ts';

const anyNumeral = fc.integer({ min: 2, max: 16 }).chain((base) => wholeNumeral(base, 12));

describe('numeral', () => {
  it('is worth the sum of its digits in their places', () => {
    fc.assert(
      fc.property(anyNumeral, (number) => {
        const worths = number.digits.map((_, place) => digitWorth(number, place));
        expect(Exact.sum(worths).numerator).toBe(integerOf(number));
        expect(numeralValue(number).numerator).toBe(integerOf(number));
      }),
    );
  });

  it('writes and reads in every base', () => {
    fc.assert(
      fc.property(anyNumeral, (number) => {
        expect(numeral(numeralText(number), number.base)).toEqual(number);
        expect(numeralOf(integerOf(number), number.base)).toEqual(number);
        expect(wholeText(numeralValue(number), number.base)).toBe(numeralText(number));
      }),
    );
  });

  it('drops needless zeros in front and keeps those after the point', () => {
    expect(numeralText(numeral('0046'))).toBe('46');
    expect(numeralText(numeral('000'))).toBe('0');
    expect(numeralText(numeral('03.060'))).toBe('3.060');
    expect(digitWorth(numeral('3.06'), 0).toString()).toBe('3/50');
    expect(numeralValue(numeral('20.5')).toString()).toBe('41/2');
    expect(placeValue(10, -2).toString()).toBe('1/100');
  });

  it('refuses figures and bases that do not exist', () => {
    expect(() => numeral('12', 2)).toThrow(RangeError);
    expect(() => numeral('1', 17)).toThrow(RangeError);
    expect(() => numeralOf(-1n)).toThrow(RangeError);
    expect(() => wholeText(Exact.of(1, 2), 10)).toThrow(RangeError);
  });
});
