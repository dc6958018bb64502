import type { Mark } from '../account/account.ts';
import { rootOf } from '../account/root.ts';
import { TermSet } from '../account/terms.ts';
import type { Comparison } from '../compare/comparison.ts';
import type { Lane } from '../compare/comparison.ts';
import { Exact } from '../exact/exact.ts';
import { numberText, placeValue } from '../exact/numeral.ts';

/** A rectangle inside the picture; all measures are shares of the whole side, from 0 to 1. */
export interface SquareBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What one digit of the root lays: a square, or two strips and a corner around what is there. */
export interface SquarePart {
  readonly terms: TermSet;
  readonly worth: Exact;
  /** `80 × 80`, `2 × 80 × 6 + 6 × 6`. */
  readonly text: string;
  readonly boxes: readonly SquareBox[];
}

/**
 * The picture that all methods of a root share: a square that grows by strips around it, and what is left of
 * the number beside it. Where the digits are not looked for, equal squares side by side.
 */
export interface SquareGround {
  readonly kind: 'square';
  readonly parts: readonly SquarePart[];
  /** The widths along a side, with where they lie. */
  readonly widths: readonly { readonly text: string; readonly from: number; readonly to: number }[];
  readonly left: { readonly terms: TermSet; readonly worth: Exact } | null;
  /** False when thin strips are drawn wider than they are so that they can be seen. */
  readonly toScale: boolean;
}

/** Smallest share a strip is drawn with. */
const LEAST = 0.12;
/** The most equal squares that are drawn beside each other. */
const MOST_SQUARES = 12n;

/** The square of a root's comparison; null where nothing can be drawn. */
export function squareGround(comparison: Comparison): SquareGround | null {
  const { lanes } = comparison;
  const growing = lanes
    .filter((lane) => stripsOf(lane).length > 0)
    .reduce<Lane | null>(
      (most, lane) => (most && stripsOf(most).length >= stripsOf(lane).length ? most : lane),
      null,
    );
  return growing ? grown(growing) : equalSquares(comparison);
}

function stripsOf({ amounts }: Lane) {
  return amounts.filter(({ group, terms }) => group.role === 'share' && !terms.isEmpty);
}

function grown(lane: Lane): SquareGround {
  const { base } = lane.trace.problem;
  const strips = stripsOf(lane);
  const widths = strips.map(({ group }) => {
    const { glyph, place } = lane.find(group.marks[0]!) as Mark;
    return Exact.of(BigInt(parseInt(glyph, base))).times(placeValue(base, place ?? 0));
  });
  const { edges, toScale } = edgesOf(widths);
  const text = (amount: Exact) => numberText(amount, base);
  let so = Exact.ZERO;
  const parts = strips.map(({ terms, group }, k): SquarePart => {
    const [from, to] = [edges[k]!, edges[k + 1]!];
    const width = widths[k]!;
    const w = text(width);
    const said = k === 0 ? `${w} × ${w}` : `2 × ${text(so)} × ${w} + ${w} × ${w}`;
    so = so.plus(width);
    return { terms, worth: group.worth, text: said, boxes: around(from, to) };
  });
  const rest = lane.amounts.find(({ group }) => group.role === 'rest');
  return {
    kind: 'square',
    parts,
    widths: widths.map((width, k) => ({ text: text(width), from: edges[k]!, to: edges[k + 1]! })),
    left: rest ? { terms: rest.terms, worth: rest.group.worth } : null,
    toScale,
  };
}

/** The first square, or the two strips and the corner that widen it from one side length to another. */
function around(from: number, to: number): readonly SquareBox[] {
  const width = to - from;
  if (from === 0) return [{ x: 0, y: 0, width, height: width }];
  return [
    { x: from, y: 0, width, height: from },
    { x: 0, y: from, width: from, height: width },
    { x: from, y: from, width, height: width },
  ];
}

function edgesOf(widths: readonly Exact[]): { edges: readonly number[]; toScale: boolean } {
  const side = Exact.sum(widths);
  const shares = widths.map((width) => {
    const { numerator, denominator } = width.dividedBy(side);
    return Number((numerator * 1_000_000n) / denominator) / 1_000_000;
  });
  const drawn = shares.map((share) => Math.max(LEAST, share));
  const whole = drawn.reduce((sum, share) => sum + share, 0);
  const edges = drawn.reduce<number[]>((all, share) => [...all, all.at(-1)! + share / whole], [0]);
  return { edges, toScale: Math.abs(whole - 1) < 1e-5 };
}

/** Of 72 two squares of 6 by 6 side by side. */
function equalSquares({ lanes, space }: Comparison): SquareGround | null {
  const { trace } = lanes[0]!;
  const { root, under } = rootOf(trace);
  const terms = TermSet.from(
    space,
    Array.from({ length: space.size }, (_, index) => index).filter(
      (index) => !space.worth(index).isZero,
    ),
  );
  if (terms.isEmpty || under.numerator > MOST_SQUARES || under.isZero) return null;
  const count = Number(under.numerator);
  const size = 1 / count;
  const side = numberText(root, trace.problem.base);
  const one = `${side} × ${side}`;
  return {
    kind: 'square',
    parts: [
      {
        terms,
        worth: trace.total,
        text: count === 1 ? one : `${count} × ${one}`,
        boxes: Array.from({ length: count }, (_, k) => ({
          x: k * size,
          y: 0,
          width: size,
          height: size,
        })),
      },
    ],
    widths: Array.from({ length: count }, (_, k) => ({
      text: side,
      from: k * size,
      to: (k + 1) * size,
    })),
    left: null,
    toScale: true,
  };
}
