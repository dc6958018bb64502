import { Exact } from './exact.ts';
import { wholeRoot } from './whole-root.ts';

interface SurdPart {
  /** Whole, above zero, without a square factor that was found; 1 for the part without a root. */
  readonly radicand: bigint;
  readonly by: Exact;
}

/**
 * An exact amount with square roots of whole numbers in it: `6√2`, `3+√5`. What has no root in it is its
 * {@link rational} part alone. Values never change; equal values have equal texts, as far as square factors up to
 * {@link LARGEST_TRIAL} go, and whole squares of any size.
 */
export class Surd {
  static readonly ZERO = new Surd([]);

  private constructor(private readonly parts: readonly SurdPart[]) {}

  static of(exact: Exact): Surd {
    return exact.isZero ? Surd.ZERO : new Surd([{ radicand: 1n, by: exact }]);
  }

  /** The square root of a number that is not below zero; null for letters, roots and what is below zero. */
  static root(of: Surd): Surd | null {
    const exact = of.rational;
    if (!exact?.isConstant || exact.isNegative) return null;
    if (exact.isZero) return Surd.ZERO;
    const { outside, inside } = squareFactors(exact.numerator * exact.denominator);
    return new Surd([{ radicand: inside, by: Exact.of(outside, exact.denominator) }]);
  }

  /** The amount as one without roots; null where a root is left. */
  get rational(): Exact | null {
    const [first, ...more] = this.parts;
    if (!first) return Exact.ZERO;
    return first.radicand === 1n && more.length === 0 ? first.by : null;
  }

  /** The one root that it is, as a number before it and a whole number under it; null for a sum of several. */
  get asRoot(): { readonly out: Exact; readonly under: Exact } | null {
    const [only, ...more] = this.parts;
    if (more.length > 0) return null;
    return only
      ? { out: only.by, under: Exact.of(only.radicand) }
      : { out: Exact.ZERO, under: Exact.ONE };
  }

  get isZero(): boolean {
    return this.parts.length === 0;
  }

  plus(other: Surd): Surd {
    const [a, b] = [this.rational, other.rational];
    if (a && b) return Surd.of(a.plus(b));
    return Surd.gathered([...this.parts, ...other.parts]);
  }

  negate(): Surd {
    return new Surd(this.parts.map(({ radicand, by }) => ({ radicand, by: by.negate() })));
  }

  minus(other: Surd): Surd {
    return this.plus(other.negate());
  }

  times(other: Surd): Surd {
    const [a, b] = [this.rational, other.rational];
    if (a && b) return Surd.of(a.times(b));
    const made = this.parts.flatMap((a) =>
      other.parts.map((b) => {
        const { outside, inside } = squareFactors(a.radicand * b.radicand);
        return { radicand: inside, by: a.by.times(b.by).times(Exact.of(outside)) };
      }),
    );
    return Surd.gathered(made);
  }

  /** Null for a divisor that is zero, has letters, or is a sum with roots in it. */
  dividedBy(divisor: Surd): Surd | null {
    const [only, ...more] = divisor.parts;
    if (!only?.by.isConstant || more.length > 0) return null;
    // One over k√m is √m over k·m.
    const over = only.by.times(Exact.of(only.radicand));
    return this.times(new Surd([{ radicand: only.radicand, by: Exact.ONE.dividedBy(over) }]));
  }

  power(exponent: number): Surd {
    let value = Surd.of(Exact.ONE);
    for (let i = 0; i < exponent; i++) value = value.times(this);
    return value;
  }

  equals(other: Surd): boolean {
    return (
      this.parts.length === other.parts.length &&
      this.parts.every(
        ({ radicand, by }, k) =>
          radicand === other.parts[k]!.radicand && by.equals(other.parts[k]!.by),
      )
    );
  }

  /** `6√2`, `3+√5`, `-√2`, `1/2√3`; without roots as an exact amount writes itself. */
  toString(): string {
    if (this.parts.length === 0) return '0';
    return this.parts.map(partText).join('+').replace(/\+-/g, '-');
  }

  toJSON(): string {
    return this.toString();
  }

  private static gathered(parts: readonly SurdPart[]): Surd {
    const by = new Map<bigint, Exact>();
    for (const part of parts) {
      by.set(part.radicand, (by.get(part.radicand) ?? Exact.ZERO).plus(part.by));
    }
    const left = [...by].filter(([, amount]) => !amount.isZero);
    left.sort(([a], [b]) => (a < b ? -1 : 1));
    return new Surd(left.map(([radicand, amount]) => ({ radicand, by: amount })));
  }
}

function partText({ radicand, by }: SurdPart): string {
  if (radicand === 1n) return by.toString();
  const root = `√${radicand}`;
  if (by.equals(Exact.ONE)) return root;
  if (by.equals(Exact.ONE.negate())) return `-${root}`;
  return by.isConstant ? `${by}${root}` : `(${by})${root}`;
}

/** Square factors are looked for up to the first number; of numbers from the size on, which take long, up to the second. */
const LARGEST_TRIAL = 100_000n;
const LONG = 10n ** 16n;
const LONG_TRIAL = 1_000n;

/** A whole number above zero as the square of one number times another, which is as small as was found. */
function squareFactors(of: bigint): { readonly outside: bigint; readonly inside: bigint } {
  const whole = wholeRoot(of);
  if (whole * whole === of) return { outside: whole, inside: 1n };
  const most = of < LONG ? LARGEST_TRIAL : LONG_TRIAL;
  let [outside, inside, rest] = [1n, 1n, of];
  for (let p = 2n; p * p <= rest && p <= most; p++) {
    while (rest % (p * p) === 0n) [outside, rest] = [outside * p, rest / (p * p)];
    if (rest % p === 0n) [inside, rest] = [inside * p, rest / p];
  }
  const last = wholeRoot(rest);
  return last * last === rest
    ? { outside: outside * last, inside }
    : { outside, inside: inside * rest };
}
