import type { Stands } from '../../account/line-mark.ts';
import { Exact } from '../../exact/exact.ts';
import { numberOf, productNode, type Term } from '../../line/node.ts';
import type { SpaceShape } from './grid.ts';
import type { Span } from './held.ts';
import {
  statementOf,
  type Aside,
  type At,
  type LineDraft,
  type Live,
  type Lived,
} from './laying.ts';

/**
 * Products of the divisor that make up the dividend, `7 × 100 = 700` and `7 × 36 = 252`: each finds the share of a piece of
 * the dividend, which is the factor that was chosen. One that is taken off again goes beyond the dividend before.
 */
export function chunkDrafts(
  { problem, laying, live }: At,
  asides: readonly Aside[],
  total: readonly Term[],
): Lived | null {
  const { shape } = laying;
  const [whole, ...more] = live;
  if (problem.kind !== 'quotient' || !shape || !whole || more.length > 0) return null;
  const chunks: readonly (Chunk | null)[] =
    takenAway(asides, shape.sizes[0]!) ?? asides.map((aside) => chunkOf(aside, shape.unit, total));
  if (chunks.includes(null)) return null;
  return shareDrafts({ problem, laying, live }, chunks as readonly Chunk[]);
}

/** A piece of the dividend with its share, and the line that tells of both. */
export interface Chunk {
  readonly n: number;
  /** Of the dividend; below zero where it is taken off again. */
  readonly size: Exact;
  readonly stands: Stands;
  /** Whether it is only passed in the head. */
  readonly isBetween?: boolean;
}

/** Pieces of a dividend, each shared on its line; null where they are not all of it. */
export function shareDrafts({ laying, live }: At, chunks: readonly Chunk[]): Lived | null {
  const shape = laying.shape!;
  const [whole] = live;
  const sizes = chunks.map(({ size }) => size);
  const isAll = Exact.sum(sizes).equals(shape.sizes[0]!);
  const helds = isAll ? laying.along(whole!, 0, sizes) : null;
  if (!helds) return null;
  const marks = chunks.map(({ n, size, stands }, k): Live => {
    const share = size.times(shape.unit);
    return {
      term: { minus: share.isNegative, node: numberOf(share.absolute(), shape.base) },
      held: helds[k]!,
      owed: null,
      column: 0,
      row: n,
      stands,
    };
  });
  const isInside = sizes.every((size) => !size.isNegative);
  const law = 'evaluate' as const;
  if (!isInside) {
    const isBetween = chunks.some((chunk) => chunk.isBetween);
    const all = { n: chunks[0]!.n, law, move: null, takes: [whole!], gives: marks, isBetween };
    return { drafts: [all], live: marks };
  }
  const drafts = marks.map((mark, k): LineDraft => {
    const between = mark.held[0]!.at[0]!;
    const owed = { operand: 0, between };
    const takes = [{ ...whole!, term: shareOf(between, shape), held: mark.held, owed }];
    const { n, isBetween = false } = chunks[k]!;
    return { n, law, move: null, takes, gives: [mark], isBetween };
  });
  return { drafts, live: marks };
}

/** Pieces that are taken away one after the other, `952 − 700 = 252` and on to nothing; null where they are not. */
function takenAway(asides: readonly Aside[], dividend: Exact): readonly Chunk[] | null {
  const chunks: Chunk[] = [];
  let at = dividend;
  for (const { n, left, right } of asides) {
    const [from, by, ...more] = left;
    const [start, size] = [from, by].map((term) => term?.node.value.rational);
    const goesOn = by?.minus && more.length === 0 && start?.equals(at) && size?.isConstant;
    if (!goesOn) return null;
    chunks.push({ n, size: size, stands: statementOf({ left, right }) });
    at = at.minus(size);
  }
  return chunks.length > 0 && at.isZero ? chunks : null;
}

/** What a statement tells of a piece of the dividend; null where it is no product of the divisor. */
function chunkOf({ n, left, right }: Aside, unit: Exact, total: readonly Term[]): Chunk | null {
  const [product, ...more] = left;
  const value = right[0]?.node.value.rational;
  const size = value?.isConstant ? value : null;
  if (!size || !product || more.length > 0) return null;
  const share = size.times(unit);
  if (!isChosenFactor(product, share, unit)) return null;
  const isTaken = total.some(({ minus, node }) => minus && node.value.rational?.equals(share));
  const stands = statementOf({ left, right });
  return { n, size: isTaken ? size.negate() : size, stands };
}

/** A piece of the dividend, shared by the divisor: `700 ÷ 7`. */
function shareOf({ from, to }: Span, { base, unit }: SpaceShape): Term {
  const [piece, divisor] = [to.minus(from), Exact.ONE.dividedBy(unit)];
  const factors = [
    { under: false, node: numberOf(piece, base) },
    { under: true, node: numberOf(divisor, base) },
  ];
  return { minus: false, node: productNode(factors) };
}

/** Whether a term is the divisor so many times. */
function isChosenFactor({ node }: Term, count: Exact | null, unit: Exact): boolean {
  if (node.kind !== 'product' || node.factors.length !== 2 || !count) return false;
  const values = node.factors.map((factor) => factor.node.value.rational);
  const isDivisor = values.some((value) => value?.equals(Exact.ONE.dividedBy(unit)));
  const isCount = values.some((value) => value?.equals(count));
  return isDivisor && isCount && node.factors.every(({ under }) => !under);
}
