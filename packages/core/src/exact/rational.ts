/** A fraction in lowest terms with a positive denominator. Build one only with {@link rational}. */
export interface Rational {
  readonly numerator: bigint;
  readonly denominator: bigint;
}

/** Greatest common divisor of two integers, never negative; gcd(0, 0) is 0. */
export function gcd(a: bigint, b: bigint): bigint {
  let x = a < 0n ? -a : a;
  let y = b < 0n ? -b : b;
  while (y !== 0n) [x, y] = [y, x % y];
  return x;
}

/** The fraction in lowest terms. Throws RangeError on a zero denominator. */
export function rational(numerator: bigint, denominator = 1n): Rational {
  if (denominator === 0n) throw new RangeError(`rational: denominator 0 under ${numerator}`);
  if (denominator === 1n) return { numerator, denominator };
  const sign = denominator < 0n ? -1n : 1n;
  const divisor = gcd(numerator, denominator) * sign;
  return { numerator: numerator / divisor, denominator: denominator / divisor };
}

export function addRational(a: Rational, b: Rational): Rational {
  if (a.denominator === 1n && b.denominator === 1n) {
    return { numerator: a.numerator + b.numerator, denominator: 1n };
  }
  return rational(
    a.numerator * b.denominator + b.numerator * a.denominator,
    a.denominator * b.denominator,
  );
}

export function multiplyRational(a: Rational, b: Rational): Rational {
  if (a.denominator === 1n && b.denominator === 1n) {
    return { numerator: a.numerator * b.numerator, denominator: 1n };
  }
  return rational(a.numerator * b.numerator, a.denominator * b.denominator);
}

/** `7`, `-18` or `3/4`. */
export function rationalText({ numerator, denominator }: Rational): string {
  return denominator === 1n ? `${numerator}` : `${numerator}/${denominator}`;
}
