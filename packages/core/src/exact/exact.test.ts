import fc from 'fast-check';
import { Exact } from './exact.ts';
import { gcd } from './rational.ts';

const constant = fc
  .tuple(fc.bigInt({ min: -(10n ** 30n), max: 10n ** 30n }), fc.bigInt({ min: 1n, max: 10n ** 6n }))
  .map(([n, d]) => Exact.of(n, d));
const polynomial = fc
  .array(fc.tuple(constant, fc.constantFrom('x', 'y', 'z'), fc.integer({ min: 0, max: 3 })), {
    maxLength: 4,
  })
  .map((terms) =>
    terms.reduce((sum, [c, letter, power]) => {
      let term = c;
      for (let i = 0; i < power; i++) term = term.times(Exact.letter(letter));
      return sum.plus(term);
    }, Exact.ZERO),
  );

function euclid(a: bigint, b: bigint): bigint {
  if (b === 0n) return a < 0n ? -a : a;
  return euclid(b, a % b);
}

describe('Exact', () => {
  it('keeps fractions in lowest terms with a positive denominator', () => {
    expect(Exact.of(6, -8).toString()).toBe('-3/4');
    expect(Exact.of(0, 5).toString()).toBe('0');
    expect(Exact.of(12n, 4n).toString()).toBe('3');
    expect(() => Exact.of(1, 0)).toThrow(RangeError);
  });

  it('writes polynomials highest degree first, ones left out', () => {
    const x = Exact.letter('x');
    const y = Exact.letter('y');
    const amount = x
      .times(x)
      .times(Exact.of(2))
      .plus(x.times(Exact.of(6)))
      .minus(Exact.of(3));
    expect(amount.toString()).toBe('2x^2+6x-3');
    expect(x.times(y).times(x).plus(Exact.ONE).toString()).toBe('x^2y+1');
    expect(x.minus(x).toString()).toBe('0');
    expect(x.negate().plus(Exact.of(3, 4).times(y)).toString()).toBe('-x+3/4y');
  });

  it('reads back exactly what it writes', () => {
    fc.assert(
      fc.property(polynomial, (amount) => {
        expect(Exact.parse(amount.toString()).toString()).toBe(amount.toString());
      }),
    );
  });

  it('is a commutative ring', () => {
    fc.assert(
      fc.property(polynomial, polynomial, polynomial, (a, b, c) => {
        expect(a.plus(b).equals(b.plus(a))).toBe(true);
        expect(a.times(b).equals(b.times(a))).toBe(true);
        expect(a.times(b.plus(c)).equals(a.times(b).plus(a.times(c)))).toBe(true);
        expect(a.plus(b).minus(b).equals(a)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('agrees with cross-multiplied integers on fractions', () => {
    fc.assert(
      fc.property(constant, constant, (a, b) => {
        const sum = a.plus(b);
        expect(sum.numerator * a.denominator * b.denominator).toBe(
          (a.numerator * b.denominator + b.numerator * a.denominator) * sum.denominator,
        );
        expect(a.compare(b)).toBe(-b.compare(a));
        if (!b.isZero) expect(a.dividedBy(b).times(b).equals(a)).toBe(true);
      }),
    );
  });

  it('is in lowest terms whatever makes it, however large', () => {
    const large = fc
      .tuple(fc.bigInt({ min: -(10n ** 40n), max: 10n ** 40n }), fc.bigInt(1n, 10n ** 40n))
      .map(([n, d]) => Exact.of(n, d));
    const either = fc.oneof(constant, large);
    fc.assert(
      fc.property(either, either, either, (a, b, c) => {
        const sum = Exact.sum([a, b, c, b.negate(), a.negate()]);
        expect(sum.equals(c)).toBe(true);
        for (const made of [a.plus(b), a.minus(b), a.times(b), Exact.sum([a, b, c])]) {
          expect(made.denominator > 0n).toBe(true);
          expect(euclid(made.numerator, made.denominator)).toBe(1n);
          expect(gcd(made.numerator, c.numerator)).toBe(euclid(made.numerator, c.numerator));
        }
        expect(Exact.sum([a, b, c]).equals(a.plus(b).plus(c))).toBe(true);
      }),
    );
  });

  it.each([
    ['xy^2 + x^3 + y^3 + x^2y', 'x^3+x^2y+xy^2+y^3'],
    ['c + ab + b + a^2 + 5', 'a^2+ab+b+c+5'],
    ['yz + xz + xy', 'xy+xz+yz'],
    ['x^10 + x^9y^2', 'x^9y^2+x^10'],
  ])('writes %s by degree, then by the powers of its letters: %s', (typed, written) => {
    expect(Exact.parse(typed.replaceAll(' ', '')).toString()).toBe(written);
  });

  it('refuses to order letters or divide by them', () => {
    const x = Exact.letter('x');
    expect(() => x.compare(Exact.ONE)).toThrow(RangeError);
    expect(() => Exact.ONE.dividedBy(x)).toThrow(RangeError);
    expect(() => Exact.ONE.dividedBy(Exact.ZERO)).toThrow(RangeError);
    expect(() => Exact.parse('2,5')).toThrow(RangeError);
    expect(() => Exact.letter('xy')).toThrow(RangeError);
  });

  it('is an exact string in JSON', () => {
    expect(JSON.stringify({ worth: Exact.of(10n ** 40n) })).toBe(`{"worth":"1${'0'.repeat(40)}"}`);
  });
});
