import { type Exact } from '../../exact/exact.ts';
import { type Surd } from '../../exact/surd.ts';
import { type Asked, operandsOf } from '../read/asked.ts';
import type { Hop, Side } from '../read/read-line.ts';
import { type JudgedSign, type Verdict, worst } from './judged.ts';
import { type RatioPair, pairOf } from './pairs.ts';
import { firstPartWorth } from './run-on.ts';
import { isInverse } from './side-lines.ts';

/** What is said of a line that stands by itself. */
export interface Stated {
  readonly verdict: Verdict;
  readonly off: Surd;
  readonly signs: readonly JudgedSign[];
  readonly statements: readonly string[];
}

/** `40 × 50 = 2000`, or several signs in a row, of which some may mean “and then”: `40 + 6 = 46 − 2 = 44`. */
export function judgeStatement(sides: readonly Side[], at: readonly number[]): Stated {
  const signs: JudgedSign[] = [];
  const statements: string[] = [];
  for (let k = 1; k < sides.length; k++) {
    const [left, right] = [sides[k - 1]!, sides[k]!];
    const off = right.value.minus(left.value);
    const first = off.isZero ? null : firstPartWorth(right.terms, left.value);
    signs.push({
      at: at[k - 1]!,
      verdict: off.isZero ? 'side' : first !== null ? 'run-on' : 'unequal',
      off,
    });
    if (first !== null) statements.push(`${left.text} = ${first}`);
  }
  if (statements.length > 0) statements.push(`${sides.at(-2)!.text} = ${sides.at(-1)!.text}`);
  const verdict = worst(signs.map((sign) => sign.verdict));
  const { off } = signs.find((sign) => sign.verdict === verdict)!;
  return { verdict, off: off!, signs: signs.length > 1 ? signs : [], statements };
}

/** Whether a true statement has the numbers of the problem and what is looked for, and nothing else: 387 + 255 = 642. */
export function findsPart(sides: readonly Side[], asked: Asked): boolean {
  const [left, right, ...more] = sides;
  return more.length === 0 && right !== undefined && isInverse(left!.terms, right.terms, asked);
}

/** What jumps come to, and by how much the first wrong one is off. */
export interface Landed {
  readonly off: Surd;
  /** The size of all hops between the numbers of a difference; where they land, for all else. */
  readonly value: Surd;
  /** Whether they go from one number of a difference to the other. */
  readonly isBetween: boolean;
}

export function judgeHops(start: Side, hops: readonly Hop[], asked: Asked): Landed {
  let at = start.value;
  let off = at.minus(at);
  for (const { size, landing } of hops) {
    if (size && off.isZero) off = landing.value.minus(at.plus(size.value));
    at = landing.value;
  }
  const ends = asked.problem?.kind === 'difference' ? operandsOf(asked).map(String) : [];
  const [first, last] = [String(start.value), String(at)];
  const isBetween = first !== last && ends.includes(first) && ends.includes(last);
  if (!isBetween) return { off, value: at, isBetween };
  const size = at.minus(start.value);
  const isTurned = size.rational!.isNegative !== asked.value.rational!.isNegative;
  return { off, value: isTurned ? size.negate() : size, isBetween };
}

/** What is said of the pairs of one line. */
export interface Paired {
  /** By how much the first wrong one is off; null where all are in the ratio. */
  readonly off: Surd | null;
  /** Those that are in the ratio, with where they come from. */
  readonly pairs: readonly RatioPair[];
  /** The one that answers the problem; null where none does. */
  readonly answer: RatioPair | null;
}

/** Pairs in the ratio of the problem, after those that are known. */
export function judgePairs(
  n: number,
  rows: readonly (readonly [Side, Side])[],
  { asked, known }: { readonly asked: Asked; readonly known: readonly RatioPair[] },
): Paired {
  const kind = asked.problem?.kind;
  const [a, b] = operandsOf(asked);
  if (!a || !b || (kind !== 'quotient' && kind !== 'product'))
    return { off: null, pairs: [], answer: null };
  const ratios = kind === 'quotient' ? [b] : [a, b];
  const pairs: RatioPair[] = [];
  let off: Surd | null = null;
  let answer: RatioPair | null = null;
  for (const row of rows) {
    const [left, right] = row;
    const offs = ratios.map((by) => right.value.minus(left.value.times(by)));
    const at = offs.findIndex((own) => own.isZero);
    if (at < 0) off ??= nearest(offs, ratios, [...known, ...pairs]);
    if (at < 0 || !ratios[at]!.rational || !left.value.rational) continue;
    const pair = pairOf(n, row, { ratio: ratios[at]!.rational, known: [...known, ...pairs] });
    pairs.push(pair);
    const both = [left.value, right.value];
    const isAnswer = both.some((value) => value.equals(asked.value));
    const isEnd = both.some((value) => value.equals(a) || (kind === 'product' && value.equals(b)));
    if (off === null && isAnswer && isEnd) answer ??= pair;
  }
  return { off, pairs, answer };
}

/** How far a pair is from the ratio that the pairs before it have; of the first pair from the nearer one. */
function nearest(
  offs: readonly Surd[],
  ratios: readonly Surd[],
  known: readonly RatioPair[],
): Surd {
  const last = known.at(-1)?.ratio;
  const same = ratios.findIndex((ratio) => last && ratio.rational?.equals(last));
  if (same >= 0) return offs[same]!;
  const size = (off: Surd) => off.rational?.absolute() ?? null;
  return offs.reduce((near, off) => {
    const [a, b] = [size(near), size(off)];
    return a && b && b.compare(a) < 0 ? off : near;
  });
}

/** From where to where each jump goes. */
export function spansOf(
  start: Side,
  hops: readonly Hop[],
): readonly { readonly from: Exact; readonly to: Exact }[] {
  return hops.map(({ landing }, k) => ({
    from: (hops[k - 1]?.landing ?? start).value.rational!,
    to: landing.value.rational!,
  }));
}
