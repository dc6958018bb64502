import { Surd } from '../../exact/surd.ts';
import { factorsOf } from '../../line/factors.ts';
import { isPlain } from '../../line/kinds.ts';
import { flat, type Term, termValue } from '../../line/node.ts';
import { type Asked, operandsOf } from '../read/asked.ts';
import type { Side } from '../read/read-line.ts';

/** A line that is true by itself, with what it may give to a total. */
export interface SideLine {
  readonly n: number;
  /** What it makes. */
  readonly result: Surd;
  /** The part that is added or taken away, from one number to the next. */
  readonly hop: Surd | null;
  /** Where the hop begins. */
  readonly from: Surd | null;
  /** The factors of a product of two, of which one may be the number that was chosen. */
  readonly factors: readonly Surd[];
}

/** What a true line `left = right` offers. */
export function sideLineOf(n: number, left: Side, right: Side): SideLine {
  const [a, b, ...more] = left.terms;
  const isHop = a && b && more.length === 0 && isPlain(b.node) && isPlain(a.node);
  const factors = left.terms.length === 1 ? factorsOf(a!.node) : [];
  const isProduct = factors.length === 2 && factors.every(({ under }) => !under);
  return {
    n,
    result: right.value,
    hop: isHop ? termValue(b) : null,
    from: isHop ? termValue(a) : null,
    factors: isProduct ? factors.map(({ node }) => node.value) : [],
  };
}

/**
 * The side lines that make an amount, by structure and never by equal value alone: the hops of lines that go on from
 * each other between the numbers of the problem, the chosen factors of products of the divisor, or what the lines make.
 * The longest run of neighbours that fits, the latest of several; null where they do not make it.
 */
export function joined(
  lines: readonly SideLine[],
  amount: Surd,
  asked: Asked,
): readonly SideLine[] | null {
  for (const offers of offersOf(lines, asked)) {
    const told = lines.filter((_, k) => offers[k] !== null);
    const chosen = runTo(
      offers.flatMap((offer) => offer ?? []),
      amount,
    );
    if (chosen) return told.slice(chosen.from, chosen.to);
  }
  return null;
}

/** What each line gives, structure by structure. */
function offersOf(lines: readonly SideLine[], asked: Asked): readonly (readonly (Surd | null)[])[] {
  return [
    hopsOf(lines, asked),
    onwardOf(lines, asked),
    chunksOf(lines, asked),
    takenAway(lines, asked),
    lines.map(({ result }) => result),
  ];
}

/** The side lines whose numbers an expression adds or takes away, one line for each of its terms; null where it does not. */
export function addedBy(
  lines: readonly SideLine[],
  terms: readonly Term[],
  asked: Asked,
): readonly SideLine[] | null {
  const parts = flat(terms);
  if (parts.length < 2 || !parts.every(({ node }) => isPlain(node))) return null;
  for (const offers of offersOf(lines, asked)) {
    const used = new Set<number>();
    for (const { node } of parts) {
      const at = offers.findLastIndex((offer, k) => !used.has(k) && offer?.equals(node.value));
      if (at >= 0) used.add(at);
    }
    if (used.size === parts.length) return lines.filter((_, k) => used.has(k));
  }
  return null;
}

/** The longest run of neighbours that makes an amount. */
function runTo(values: readonly Surd[], amount: Surd): { from: number; to: number } | null {
  for (let length = values.length; length > 0; length--) {
    for (let from = values.length - length; from >= 0; from--) {
      let sum = Surd.ZERO;
      for (let k = from; k < from + length; k++) sum = sum.plus(values[k]!);
      if (sum.equals(amount)) return { from, to: from + length };
    }
  }
  return null;
}

/** The hops of lines of which each begins where the one before came to, from one number of the problem to the other. */
function hopsOf(lines: readonly SideLine[], asked: Asked): readonly (Surd | null)[] {
  const ends = operandsOf(asked);
  const none = lines.map(() => null);
  const own = lines.filter(({ hop }) => hop !== null);
  const [first] = own;
  const last = own.at(-1);
  if (!first || !last || ends.length !== 2) return none;
  const goesOn = own.every(({ from }, k) => k === 0 || from!.equals(own[k - 1]!.result));
  const isBetween =
    ends.some((end) => end.equals(first.from!)) && ends.some((end) => end.equals(last.result));
  if (!goesOn || !isBetween || first.from!.equals(last.result)) return none;
  const isDown = own.every(({ hop }) => hop!.rational?.isNegative);
  return lines.map(({ hop }) => (hop === null ? null : isDown ? hop.negate() : hop));
}

/** From a number of a sum or difference on, each line from where the one before came to, up to what is asked. */
function onwardOf(lines: readonly SideLine[], asked: Asked): readonly (Surd | null)[] {
  const none = lines.map(() => null);
  const kind = asked.problem?.kind;
  const own = lines.filter(({ hop }) => hop !== null);
  const [first] = own;
  if (!first || (kind !== 'sum' && kind !== 'difference')) return none;
  const operands = operandsOf(asked);
  const starts = kind === 'sum' ? operands : operands.slice(0, 1);
  const goesOn = own.every(({ from }, k) => k === 0 || from!.equals(own[k - 1]!.result));
  const isStart = starts.some((start) => start.equals(first.from!));
  if (!goesOn || !isStart || !own.at(-1)!.result.equals(asked.value)) return none;
  return lines.map(({ hop, result }) => (hop === null ? null : hop === first.hop ? result : hop));
}

/** The other factors of products with the divisor, or with one number that all of them share. */
function chunksOf(lines: readonly SideLine[], asked: Asked): readonly (Surd | null)[] {
  const [, divisor] = operandsOf(asked);
  const isQuotient = asked.problem?.kind === 'quotient' && divisor !== undefined;
  if (!isQuotient) return lines.map(() => null);
  return lines.map(({ factors: [a, b] }) => {
    if (!a || !b) return null;
    if (a.equals(divisor)) return b;
    return b.equals(divisor) ? a : null;
  });
}

/** Taken away from the dividend down to a rest: how many times the divisor each line took. */
function takenAway(lines: readonly SideLine[], asked: Asked): readonly (Surd | null)[] {
  const [dividend, divisor] = operandsOf(asked);
  const none = lines.map(() => null);
  const own = lines.filter(({ hop }) => hop?.rational?.isNegative);
  if (asked.problem?.kind !== 'quotient' || !divisor || own.length === 0) return none;
  const goesOn = own.every(({ from }, k) => from!.equals(k === 0 ? dividend! : own[k - 1]!.result));
  return goesOn ? lines.map(({ hop }) => hop?.negate().dividedBy(divisor) ?? null) : none;
}

/** Whether a statement has the numbers of the problem at its ends and nothing else but what is looked for. */
export function isInverse(left: readonly Term[], right: readonly Term[], asked: Asked): boolean {
  const ends = operandsOf(asked).map(String);
  const numbers = [...left, ...right].flatMap(({ node }) =>
    factorsOf(node).map((factor) => factor.node.value.toString()),
  );
  const due = asked.value.toString();
  const others = [...numbers];
  for (const end of ends) {
    const at = others.indexOf(end);
    if (at < 0) return false;
    others.splice(at, 1);
  }
  return ends.length === 2 && others.length === 1 && others[0] === due;
}
