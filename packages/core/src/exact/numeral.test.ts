import fc from 'fast-check';
import { wholeNumeral } from '../testing/arbitraries.ts';
import { integerOf } from '../testing/expected.ts';
import { Exact } from './exact.ts';
import {
  decimalsNeeded,
  digitWorth,
  mixedText,
  numberText,
  numeral,
  numeralFor,
  numeralOf,
  numeralText,
  numeralValue,
  padded,
  placeValue,
  pointedText,
  wholeText,
  withoutPoint,
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

  it('writes amounts of any kind in a base', () => {
    const texts = (amount: Exact, base: number) => [
      numberText(amount, base),
      mixedText(amount, base),
    ];
    expect(texts(Exact.of(369, 5), 10)).toEqual(['73.8', '73.8']);
    expect(texts(Exact.of(-1835, 24), 10)).toEqual(['−1835/24', '−76 11/24']);
    expect(texts(Exact.of(11, 24), 10)).toEqual(['11/24', '11/24']);
    expect(texts(Exact.of(1, 3), 12)).toEqual(['0.4', '0.4']);
    expect(texts(Exact.of(255), 16)).toEqual(['FF', 'FF']);
    expect(pointedText(-205n, 3, 10)).toBe('−0.205');
    expect(decimalsNeeded(Exact.of(1, 8), 10)).toBe(3);
    expect(decimalsNeeded(Exact.of(1, 10), 2)).toBeNull();
    expect(numeralText(padded(numeral('1.8'), 3))).toBe('1.800');
    expect(numeralText(withoutPoint(numeral('0.07')))).toBe('7');
    expect(numeralFor(Exact.of(1, 3), 10)).toBeNull();
    expect(numeralFor(Exact.of(-1), 10)).toBeNull();
  });

  it('reads back what it writes, point and all', () => {
    const amounts = fc.tuple(
      fc.bigInt({ min: 0n, max: 10n ** 12n }),
      fc.integer({ min: 0, max: 9 }),
    );
    fc.assert(
      fc.property(amounts, fc.integer({ min: 2, max: 16 }), ([count, places], base) => {
        const amount = Exact.of(count).times(placeValue(base, -places));
        expect(numeralValue(numeralFor(amount, base)!).equals(amount)).toBe(true);
        expect(decimalsNeeded(amount, base)).toBeLessThanOrEqual(places);
      }),
    );
  });

  it('refuses figures and bases that do not exist', () => {
    expect(() => numeral('12', 2)).toThrow(RangeError);
    expect(() => numeral('1', 17)).toThrow(RangeError);
    expect(() => numeralOf(-1n)).toThrow(RangeError);
    expect(() => wholeText(Exact.of(1, 2), 10)).toThrow(RangeError);
  });
});
