import {
  addRational,
  lcm,
  multiplyRational,
  rational,
  rationalText,
  type Rational,
} from './rational.ts';

/** Letters with their exponents, in alphabetical order: `x^2y` is [['x', 2], ['y', 1]]. */
type Monomial = readonly (readonly [letter: string, exponent: number])[];

interface PolynomialTerm {
  readonly monomial: Monomial;
  readonly coefficient: Rational;
}

const NO_TERMS: readonly PolynomialTerm[] = [];

/**
 * An exact amount: a sparse polynomial in any number of letters with rational coefficients. Whole
 * numbers, decimals and fractions are its constants. Values never change; equal values have equal
 * texts. The constant part is kept apart so that arithmetic on plain numbers stays cheap.
 */
export class Exact {
  static readonly ZERO = new Exact(0n, 1n, NO_TERMS);
  static readonly ONE = new Exact(1n, 1n, NO_TERMS);

  private constructor(
    readonly numerator: bigint,
    readonly denominator: bigint,
    private readonly lettered: readonly PolynomialTerm[],
  ) {}

  /** A whole number, or a fraction in lowest terms. Throws RangeError on a zero denominator. */
  static of(numerator: bigint | number, denominator: bigint | number = 1n): Exact {
    const top = typeof numerator === 'bigint' ? numerator : BigInt(numerator);
    if (denominator === 1n) return new Exact(top, 1n, NO_TERMS);
    const { numerator: n, denominator: d } = rational(top, BigInt(denominator));
    return new Exact(n, d, NO_TERMS);
  }

  /** A single letter, `x`. Throws RangeError on anything that is not one lower-case letter. */
  static letter(name: string): Exact {
    if (!/^[a-z]$/.test(name)) throw new RangeError(`Exact.letter: "${name}" is not one letter`);
    return new Exact(0n, 1n, [{ monomial: [[name, 1]], coefficient: rational(1n) }]);
  }

  /** Letters multiplied, each with its exponent; those with the exponent 0 are left out. */
  static letters(exponents: ReadonlyMap<string, number>): Exact {
    const monomial = [...exponents].filter(([, exponent]) => exponent > 0);
    if (monomial.length === 0) return Exact.ONE;
    monomial.sort(([a], [b]) => (a < b ? -1 : 1));
    return new Exact(0n, 1n, [{ monomial, coefficient: rational(1n) }]);
  }

  /** Reads what {@link toString} writes: `40`, `-18`, `3/4`, `2x^2+6x`, `3/4xy`. */
  static parse(text: string): Exact {
    const pieces = text.replace(/(?!^)-/g, '+-').split('+');
    return Exact.sum(pieces.map(parseMonomial));
  }

  /** Reduced to lowest terms only at the end. */
  static sum(values: Iterable<Exact>): Exact {
    let [top, bottom, lettered] = [0n, 1n, NO_TERMS];
    for (const { numerator, denominator, lettered: more } of values) {
      lettered = addTerms(lettered, more);
      if (denominator === bottom) top += numerator;
      else {
        const common = lcm(bottom, denominator);
        top = top * (common / bottom) + numerator * (common / denominator);
        bottom = common;
      }
    }
    const constant = rational(top, bottom);
    return new Exact(constant.numerator, constant.denominator, lettered);
  }

  get isZero(): boolean {
    return this.numerator === 0n && this.lettered.length === 0;
  }

  get isConstant(): boolean {
    return this.lettered.length === 0;
  }

  get isWhole(): boolean {
    return this.denominator === 1n && this.isConstant;
  }

  /** Whether it is below zero; of an amount with letters, whether the number in it is. */
  get isNegative(): boolean {
    return this.numerator < 0n;
  }

  /** Its size, without its minus. */
  absolute(): Exact {
    return this.isNegative ? this.negate() : this;
  }

  plus(other: Exact): Exact {
    const lettered = addTerms(this.lettered, other.lettered);
    if (this.denominator === 1n && other.denominator === 1n) {
      return new Exact(this.numerator + other.numerator, 1n, lettered);
    }
    const constant = addRational(this, other);
    return new Exact(constant.numerator, constant.denominator, lettered);
  }

  negate(): Exact {
    if (this.isConstant) return new Exact(-this.numerator, this.denominator, NO_TERMS);
    const lettered = this.lettered.map(({ monomial, coefficient }) => ({
      monomial,
      coefficient: multiplyRational(coefficient, MINUS_ONE),
    }));
    return new Exact(-this.numerator, this.denominator, lettered);
  }

  minus(other: Exact): Exact {
    if (this.isWhole && other.isWhole) return Exact.of(this.numerator - other.numerator);
    return this.plus(other.negate());
  }

  times(other: Exact): Exact {
    if (this.isWhole && other.isWhole) {
      return new Exact(this.numerator * other.numerator, 1n, NO_TERMS);
    }
    if (this.isConstant && other.isConstant) {
      const { numerator, denominator } = multiplyRational(this, other);
      return new Exact(numerator, denominator, NO_TERMS);
    }
    const products = this.allTerms().flatMap((a) =>
      other.allTerms().map((b) => ({
        monomial: multiplyMonomials(a.monomial, b.monomial),
        coefficient: multiplyRational(a.coefficient, b.coefficient),
      })),
    );
    return Exact.fromTerms(products);
  }

  /** Division by a constant. Throws RangeError on zero or on a divisor with letters. */
  dividedBy(divisor: Exact): Exact {
    if (!divisor.isConstant || divisor.isZero) {
      throw new RangeError(`Exact.dividedBy: cannot divide by ${divisor}`);
    }
    return this.times(Exact.of(divisor.denominator, divisor.numerator));
  }

  equals(other: Exact): boolean {
    if (this === other) return true;
    if (this.numerator !== other.numerator || this.denominator !== other.denominator) return false;
    const [a, b] = [this.lettered, other.lettered];
    return a.length === b.length && a.every((term, k) => sameTerm(term, b[k]!));
  }

  /** -1, 0 or 1 as this constant is below, at or above the other. RangeError if there are letters. */
  compare(other: Exact): -1 | 0 | 1 {
    if (!this.isConstant || !other.isConstant) {
      throw new RangeError(`Exact.compare: ${this} and ${other} have no order`);
    }
    const isAlike = this.denominator === other.denominator;
    const left = isAlike ? this.numerator : this.numerator * other.denominator;
    const right = isAlike ? other.numerator : other.numerator * this.denominator;
    return left < right ? -1 : left > right ? 1 : 0;
  }

  /** Highest degree first, then the constant; every amount has exactly one such text. */
  toString(): string {
    if (this.lettered.length === 0) return rationalText(this);
    const pieces = this.lettered.map(termText);
    if (this.numerator !== 0n) pieces.push(rationalText(this));
    return pieces.join('+').replace(/\+-/g, '-');
  }

  /** Its terms, each an amount of its own, in the order in which they are written; none for zero. */
  parts(): readonly Exact[] {
    return this.allTerms().map((term) => Exact.fromTerms([term]));
  }

  /** The number before the letters of a single term; that of zero is zero. RangeError for several terms. */
  get coefficient(): Exact {
    const [only, ...more] = this.allTerms();
    if (more.length > 0) throw new RangeError(`Exact.coefficient: ${this} has several terms`);
    return only ? Exact.of(only.coefficient.numerator, only.coefficient.denominator) : Exact.ZERO;
  }

  /** The letters of a single term with their exponents, `x^2y`; empty for a number. */
  get letters(): string {
    const [only, ...more] = this.allTerms();
    if (more.length > 0) throw new RangeError(`Exact.letters: ${this} has several terms`);
    return only ? monomialText(only.monomial) : '';
  }

  /** The letters of a single term with their exponents, by the alphabet; none for a number. */
  get exponents(): readonly (readonly [letter: string, exponent: number])[] {
    const [only, ...more] = this.allTerms();
    if (more.length > 0) throw new RangeError(`Exact.exponents: ${this} has several terms`);
    return only?.monomial ?? [];
  }

  /** A single term without the number before it: `x^2` of `3x^2`, one of a number. */
  get lettersOnly(): Exact {
    const monomial = this.exponents;
    if (monomial.length === 0) return Exact.ONE;
    return new Exact(0n, 1n, [{ monomial, coefficient: rational(1n) }]);
  }

  /** The greatest sum of exponents of a term; 0 for a number. */
  get degree(): number {
    return Math.max(0, ...this.lettered.map(({ monomial }) => degree(monomial)));
  }

  /** Every letter that occurs, in alphabetical order. */
  get names(): readonly string[] {
    const names = this.lettered.flatMap(({ monomial }) => monomial.map(([letter]) => letter));
    return [...new Set(names)].sort();
  }

  /** What it comes to when letters stand for amounts; letters without one stay. */
  at(values: ReadonlyMap<string, Exact>): Exact {
    return Exact.sum(
      this.allTerms().map(({ monomial, coefficient }) =>
        monomial.reduce(
          (product, [letter, exponent]) => {
            const factor = values.get(letter) ?? Exact.letter(letter);
            return product.times(factor.power(exponent));
          },
          Exact.of(coefficient.numerator, coefficient.denominator),
        ),
      ),
    );
  }

  /** Multiplied by itself so many times; 1 for none. */
  power(exponent: number): Exact {
    let value = Exact.ONE;
    for (let i = 0; i < exponent; i++) value = value.times(this);
    return value;
  }

  /** Exact amounts are strings in every JSON document. */
  toJSON(): string {
    return this.toString();
  }

  /** Its terms one by one, highest power first, the constant last. */
  get monomials(): readonly Exact[] {
    return this.allTerms().map((term) => Exact.fromTerms([term]));
  }

  private allTerms(): readonly PolynomialTerm[] {
    if (this.numerator === 0n) return this.lettered;
    const constant = rational(this.numerator, this.denominator);
    return [...this.lettered, { monomial: [], coefficient: constant }];
  }

  private static fromTerms(terms: readonly PolynomialTerm[]): Exact {
    const constant = terms
      .filter((term) => term.monomial.length === 0)
      .reduce((total, term) => addRational(total, term.coefficient), rational(0n));
    const lettered = terms
      .filter((term) => term.monomial.length > 0)
      .reduce((sum, term) => addTerms(sum, [term]), NO_TERMS);
    return new Exact(constant.numerator, constant.denominator, lettered);
  }
}

const MINUS_ONE = rational(-1n);

function monomialText(monomial: Monomial): string {
  return monomial.map(([letter, power]) => (power === 1 ? letter : `${letter}^${power}`)).join('');
}

function degree(monomial: Monomial): number {
  return monomial.reduce((total, [, exponent]) => total + exponent, 0);
}

/** Descending degree, then descending powers of the first letter, then of the next: the order in which an amount is written. */
function compareMonomials(a: Monomial, b: Monomial): number {
  const byDegree = degree(b) - degree(a);
  if (byDegree !== 0) return byDegree;
  const k = a.findIndex(([letter, power], i) => b[i]?.[0] !== letter || b[i][1] !== power);
  if (k < 0) return 0;
  const [left, right] = [a[k]!, b[k]!];
  return left[0] === right[0] ? right[1] - left[1] : left[0] < right[0] ? -1 : 1;
}

function termText({ monomial, coefficient }: PolynomialTerm): string {
  const letters = monomialText(monomial);
  if (coefficient.denominator !== 1n) return `${rationalText(coefficient)}${letters}`;
  if (coefficient.numerator === 1n) return letters;
  return coefficient.numerator === -1n ? `-${letters}` : `${coefficient.numerator}${letters}`;
}

function sameTerm(a: PolynomialTerm, b: PolynomialTerm): boolean {
  return (
    compareMonomials(a.monomial, b.monomial) === 0 &&
    a.coefficient.numerator === b.coefficient.numerator &&
    a.coefficient.denominator === b.coefficient.denominator
  );
}

/** Two lists in the order of {@link compareMonomials} as one; terms that cancel are gone. */
function addTerms(
  a: readonly PolynomialTerm[],
  b: readonly PolynomialTerm[],
): readonly PolynomialTerm[] {
  if (b.length === 0) return a;
  if (a.length === 0) return b;
  const sum: PolynomialTerm[] = [];
  let [i, j] = [0, 0];
  while (i < a.length && j < b.length) {
    const [left, right] = [a[i]!, b[j]!];
    const order = compareMonomials(left.monomial, right.monomial);
    if (order === 0) {
      const coefficient = addRational(left.coefficient, right.coefficient);
      if (coefficient.numerator !== 0n) sum.push({ monomial: left.monomial, coefficient });
    } else sum.push(order < 0 ? left : right);
    if (order <= 0) i++;
    if (order >= 0) j++;
  }
  return [...sum, ...a.slice(i), ...b.slice(j)];
}

function multiplyMonomials(a: Monomial, b: Monomial): Monomial {
  const exponents = new Map(a);
  for (const [letter, power] of b) exponents.set(letter, (exponents.get(letter) ?? 0) + power);
  return [...exponents].sort(([x], [y]) => (x < y ? -1 : 1));
}

/** The highest exponent that is read: above what any computation here makes. */
const MOST_EXPONENT = 1000;

function exponentsIn(letters: string, text: string): ReadonlyMap<string, number> {
  const exponents = new Map<string, number>();
  for (const [, letter = '', power = '1'] of letters.matchAll(/([a-z])(?:\^(\d+))?/g)) {
    exponents.set(letter, (exponents.get(letter) ?? 0) + Number(power));
  }
  if ([...exponents.values()].some((exponent) => exponent > MOST_EXPONENT)) {
    throw new RangeError(`Exact.parse: "${text}" has an exponent above ${MOST_EXPONENT}`);
  }
  return exponents;
}

const MONOMIAL = /^(-?)(\d+)?(?:\/(\d+))?((?:[a-z](?:\^\d+)?)*)$/;

function parseMonomial(text: string): Exact {
  const match = MONOMIAL.exec(text);
  if (!match || text === '' || text === '-') {
    throw new RangeError(`Exact.parse: "${text}" is not an amount`);
  }
  const [, sign, top = '1', bottom = '1', letters = ''] = match;
  const coefficient = Exact.of(BigInt(`${sign}${top}`), BigInt(bottom));
  return coefficient.times(Exact.letters(exponentsIn(letters, text)));
}
