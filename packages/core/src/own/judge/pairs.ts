import { Exact } from '../../exact/exact.ts';
import type { Side } from '../read/read-line.ts';

/** A pair of a ratio table that is in the ratio of the problem. */
export interface RatioPair {
  /** The line that it stands on. */
  readonly n: number;
  readonly left: Exact;
  readonly right: Exact;
  /** As it was typed, `10 | 70`. */
  readonly text: string;
  /** What one on the left is on the right. */
  readonly ratio: Exact;
  readonly origin: PairOrigin;
}

/** How a pair comes from those before it, by their places in the table. */
export type PairOrigin =
  /** It is in the ratio of the problem, and comes from no other. */
  | { readonly kind: 'ratio' }
  /** So many times another one; one over a whole number where it is divided. */
  | { readonly kind: 'times'; readonly of: number; readonly by: Exact }
  /** Others added, or taken away. */
  | { readonly kind: 'together'; readonly parts: readonly PairPart[] };

export interface PairPart {
  readonly of: number;
  readonly isTaken: boolean;
}

/** Only so many pairs before are looked at, the last ones. */
const MOST_KNOWN = 10;
/** At most so many are put together; of a long table only two. */
const MOST_PARTS = 5;
const LONG_TABLE = 60;
/** Factors that are seen at once, and their inverses. */
const SEEN_AT_ONCE = [2n, 10n, 5n, 100n, 1000n].map((factor) => Exact.of(factor));

/** A pair with where it comes from. */
export function pairOf(
  n: number,
  [left, right]: readonly [Side, Side],
  { ratio, known }: { readonly ratio: Exact; readonly known: readonly RatioPair[] },
): RatioPair {
  const [a, b] = [left.value.rational!, right.value.rational!];
  const text = `${left.text} | ${right.text}`;
  const same = known.filter((own) => own.ratio.equals(ratio));
  return { n, left: a, right: b, text, ratio, origin: originOf(a, same, known) };
}

/** The simplest way to a pair: doubled and the like, two put together, several, any number of times. */
function originOf(
  left: Exact,
  same: readonly RatioPair[],
  known: readonly RatioPair[],
): PairOrigin {
  const last = same.slice(-MOST_KNOWN);
  const place = (pair: RatioPair) => known.indexOf(pair);
  const scaled = (isSeen: (by: Exact) => boolean): PairOrigin | null => {
    const from = last.findLast((own) => !own.left.isZero && isSeen(left.dividedBy(own.left)));
    return from ? { kind: 'times', of: place(from), by: left.dividedBy(from.left) } : null;
  };
  const isEasy = (by: Exact) =>
    SEEN_AT_ONCE.some((factor) => factor.equals(by) || Exact.ONE.dividedBy(factor).equals(by));
  const isWhole = (by: Exact) =>
    !by.isZero && !by.equals(Exact.ONE) && (by.isWhole || Exact.ONE.dividedBy(by).isWhole);
  const parts = () =>
    added(left, last, known.length > LONG_TABLE ? 2 : MOST_PARTS)?.map((own) => ({
      of: place(own),
      isTaken: false,
    })) ?? lessened(left, last)?.map((own, k) => ({ of: place(own), isTaken: k > 0 }));
  const easy = scaled(isEasy);
  if (easy) return easy;
  const together = parts();
  if (together) return { kind: 'together', parts: together };
  return scaled(isWhole) ?? { kind: 'ratio' };
}

/** The fewest pairs that make a number together, each once; the latest of several. */
function added(
  left: Exact,
  pairs: readonly RatioPair[],
  most: number,
): readonly RatioPair[] | null {
  for (let count = 2; count <= Math.min(most, pairs.length); count++) {
    const found = makingUp(left, pairs, count);
    if (found) return found;
  }
  return null;
}

/** So many pairs that make a number together, looked for from the last one on. */
function makingUp(
  left: Exact,
  pairs: readonly RatioPair[],
  count: number,
): readonly RatioPair[] | null {
  if (count === 0) return left.isZero ? [] : null;
  for (let k = pairs.length - 1; k >= count - 1; k--) {
    const own = pairs[k]!;
    const rest = makingUp(left.minus(own.left), pairs.slice(0, k), count - 1);
    if (rest) return [...rest, own];
  }
  return null;
}

/** One pair less another. */
function lessened(
  left: Exact,
  pairs: readonly RatioPair[],
): readonly [RatioPair, RatioPair] | null {
  for (const whole of [...pairs].reverse()) {
    const part = pairs.findLast((own) => whole.left.minus(own.left).equals(left));
    if (part) return [whole, part];
  }
  return null;
}

/** Where a pair comes from, with the pairs that it comes from as they were typed. */
export type OriginTold =
  | { readonly kind: 'ratio' }
  | { readonly kind: 'times'; readonly of: string; readonly by: Exact }
  | {
      readonly kind: 'together';
      readonly parts: readonly { readonly of: string; readonly isTaken: boolean }[];
    };

/** @param known all pairs of the paper, in their order. */
export function originTold({ origin }: RatioPair, known: readonly RatioPair[]): OriginTold {
  const textOf = (at: number) => known[at]!.text;
  switch (origin.kind) {
    case 'ratio':
      return origin;
    case 'times':
      return { ...origin, of: textOf(origin.of) };
    case 'together': {
      const parts = origin.parts.map(({ of, isTaken }) => ({ of: textOf(of), isTaken }));
      return { kind: 'together', parts };
    }
  }
}
