import fc from 'fast-check';
import { addRational, gcd, lcm, multiplyRational, rational, rationalText } from './rational.ts';

/** Small ones, ones about the end of what machine numbers hold exactly, and large ones. */
const whole = fc.oneof(
  fc.bigInt(-1000n, 1000n),
  fc.bigInt(2n ** 53n - 40n, 2n ** 53n + 40n),
  fc.bigInt(-(10n ** 50n), 10n ** 50n),
);
const positive = whole.map((value) => (value < 0n ? -value : value) + 1n);
const fraction = fc.tuple(whole, positive).map(([top, bottom]) => rational(top, bottom));

const size = (value: bigint) => (value < 0n ? -value : value);

describe('the greatest common divisor', () => {
  it('divides both, and what is left of them shares nothing', () => {
    fc.assert(
      fc.property(whole, positive, (a, b) => {
        const shared = gcd(a, b);
        expect(shared > 0n).toBe(true);
        expect([a % shared, b % shared]).toEqual([0n, 0n]);
        expect(gcd(a / shared, b / shared)).toBe(1n);
      }),
    );
  });

  it('takes out every factor that was put into both, whatever the signs', () => {
    fc.assert(
      fc.property(whole, whole, positive, (a, b, by) => {
        expect(gcd(a * by, b * by)).toBe(gcd(a, b) * by);
        expect(gcd(-a, b)).toBe(gcd(b, a));
      }),
    );
  });

  it('of nothing and a number is the number', () => {
    expect([gcd(0n, 0n), gcd(0n, -7n), gcd(7n, 0n)]).toEqual([0n, 7n, 7n]);
  });
});

describe('the least common multiple', () => {
  it('is a multiple of both, and with the greatest common divisor makes their product', () => {
    fc.assert(
      fc.property(positive, positive, (a, b) => {
        const shared = lcm(a, b);
        expect([shared % a, shared % b]).toEqual([0n, 0n]);
        expect(shared * gcd(a, b)).toBe(a * b);
      }),
    );
  });

  it('is the larger where it is a multiple of the smaller', () => {
    expect([lcm(6n, 12n), lcm(12n, 6n), lcm(12n, 12n), lcm(1n, 5n)]).toEqual([12n, 12n, 12n, 5n]);
  });
});

describe('a fraction', () => {
  it('is in lowest terms with a positive denominator, and has one text', () => {
    fc.assert(
      fc.property(whole, positive, (top, bottom) => {
        const made = rational(top, -bottom);
        expect(made.denominator > 0n).toBe(true);
        expect(gcd(made.numerator, made.denominator)).toBe(1n);
        expect(made.numerator * bottom).toBe(-top * made.denominator);
      }),
    );
    const texts = [rational(6n, -8n), rational(-9n, -3n), rational(0n, -5n)].map(rationalText);
    expect(texts).toEqual(['-3/4', '3', '0']);
    expect(() => rational(1n, 0n)).toThrow('rational: denominator 0 under 1');
  });

  it('is added and multiplied as over the product of the denominators', () => {
    fc.assert(
      fc.property(fraction, fraction, (a, b) => {
        const bottom = a.denominator * b.denominator;
        const sum = a.numerator * b.denominator + b.numerator * a.denominator;
        expect(addRational(a, b)).toEqual(rational(sum, bottom));
        expect(multiplyRational(a, b)).toEqual(rational(a.numerator * b.numerator, bottom));
      }),
    );
  });

  it('comes to nothing with its opposite and to one with its inverse', () => {
    fc.assert(
      fc.property(fraction, (a) => {
        const opposite = { ...a, numerator: -a.numerator };
        expect(addRational(a, opposite)).toEqual({ numerator: 0n, denominator: 1n });
        fc.pre(a.numerator !== 0n);
        const sign = a.numerator < 0n ? -1n : 1n;
        const inverse = { numerator: sign * a.denominator, denominator: size(a.numerator) };
        expect(rationalText(multiplyRational(a, inverse))).toBe('1');
      }),
    );
  });
});
