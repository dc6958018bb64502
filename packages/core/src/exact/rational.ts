/** A fraction in lowest terms with a positive denominator. Build one only with {@link rational}. */
export interface Rational {
  readonly numerator: bigint;
  readonly denominator: bigint;
}

const SMALL = BigInt(Number.MAX_SAFE_INTEGER);

/**
 * Greatest common divisor of two integers, never negative; gcd(0, 0) is 0. Euclid's algorithm, in machine
 * numbers as soon as both are small enough for them to be exact.
 */
export function gcd(a: bigint, b: bigint): bigint {
  let x = a < 0n ? -a : a;
  let y = b < 0n ? -b : b;
  while (y !== 0n) {
    if (x <= SMALL && y <= SMALL) return smallGcd(Number(x), Number(y));
    [x, y] = [y, x % y];
  }
  return x;
}

function smallGcd(x: number, y: number): bigint {
  while (y !== 0) [x, y] = [y, x % y];
  return BigInt(x);
}

/** The fraction in lowest terms. Throws RangeError on a zero denominator. */
export function rational(numerator: bigint, denominator = 1n): Rational {
  if (denominator === 0n) throw new RangeError(`rational: denominator 0 under ${numerator}`);
  if (denominator < 0n) return rational(-numerator, -denominator);
  const divisor = denominator === 1n ? 1n : gcd(numerator, denominator);
  if (divisor === 1n) return { numerator, denominator };
  return { numerator: numerator / divisor, denominator: denominator / divisor };
}

/** Reduced by what the denominators share before it grows (Knuth, The Art of Computer Programming 2, 4.5.1). */
export function addRational(a: Rational, b: Rational): Rational {
  const [one, other] = [a.denominator, b.denominator];
  if (one === other) return rational(a.numerator + b.numerator, one);
  const shared = sharedFactor(one, other);
  const sum = a.numerator * (other / shared) + b.numerator * (one / shared);
  if (shared === 1n) return { numerator: sum, denominator: one * other };
  const rest = gcd(sum, shared);
  return { numerator: sum / rest, denominator: (one / shared) * (other / rest) };
}

/** Least common multiple of two positive integers. */
export function lcm(one: bigint, other: bigint): bigint {
  return one === other ? one : (one / sharedFactor(one, other)) * other;
}

/** Greatest common divisor of two positive integers of which one is often a multiple of the other. */
function sharedFactor(one: bigint, other: bigint): bigint {
  if (one === 1n || other === 1n) return 1n;
  if (one % other === 0n) return other;
  return other % one === 0n ? one : gcd(one, other);
}

/** Each numerator is reduced against the other denominator, so that nothing large is reduced. */
export function multiplyRational(a: Rational, b: Rational): Rational {
  if (a.denominator === 1n && b.denominator === 1n) {
    return { numerator: a.numerator * b.numerator, denominator: 1n };
  }
  const one = rational(a.numerator, b.denominator);
  const other = rational(b.numerator, a.denominator);
  return {
    numerator: one.numerator * other.numerator,
    denominator: one.denominator * other.denominator,
  };
}

/** `7`, `-18` or `3/4`. */
export function rationalText({ numerator, denominator }: Rational): string {
  return denominator === 1n ? `${numerator}` : `${numerator}/${denominator}`;
}
