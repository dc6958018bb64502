import { type TermSpace } from '../account/terms.ts';
import { choices, closed, ProductSpace, PieceSpace } from '../account/spaces.ts';
import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, numberText } from '../exact/numeral.ts';

/** One strip of a side of the rectangle. Sizes are shares of the whole side, from 0 to 1. */
export interface Strip {
  readonly part: number;
  /** What the strip measures along its side; empty for a share whose figures have no end. */
  readonly text: string;
  readonly from: number;
  readonly to: number;
  /** Whether it is drawn wider than it is, so that it can be seen. */
  readonly isWidened: boolean;
}

/** The region of one term. */
export interface Region {
  readonly term: number;
  readonly text: string;
  readonly worth: string;
  /** What the region holds: the product of a cell, the piece of a dividend. */
  readonly area: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What the two sides of the rectangle are. */
export type AreaSides =
  'two factors' | 'last factor and the product of the others' | 'divisor and quotient';

/**
 * The picture that all methods of a product or quotient share: a rectangle cut along both sides. Of a
 * quotient the area and the side down are known; the side across is found, piece by piece.
 */
export interface AreaGround {
  readonly kind: 'area';
  readonly sides: AreaSides;
  /** Strips from the top and from the left, largest first. */
  readonly down: readonly Strip[];
  readonly across: readonly Strip[];
  readonly regions: readonly Region[];
  /** False when small strips are drawn wider than they are, or all alike, so that they can be seen. */
  readonly toScale: boolean;
  /** How long the side down is to the side across; null where they have no size. */
  readonly ratio: number | null;
}

/** Smallest share a strip is drawn with. */
const LEAST = 0.14;

/** The most regions that can still be told apart. */
const MOST_REGIONS = 600;

/** A piece of a side, smallest first, and what it adds to the coordinates of a term. */
interface Piece {
  readonly text: string;
  readonly worth: Exact;
  readonly at: readonly number[];
}

interface Cut {
  readonly sides: AreaSides;
  readonly down: readonly Piece[];
  readonly across: readonly Piece[];
  readonly term: (down: Piece, across: Piece) => number;
}

/**
 * The rectangle of a product or quotient; null for sums and where it has too many regions to be seen.
 * @param write how a side that is found is written; in figures that end, or not at all, when absent.
 */
export function areaGround(
  space: TermSpace,
  base: number,
  write?: (amount: Exact) => string,
): AreaGround | null {
  const cut = cutOf(space, base, write);
  if (!cut) return null;
  const down = strips(cut.down);
  const across = strips(cut.across);
  if (down.strips.length * across.strips.length > MOST_REGIONS) return null;
  const regions = down.strips.flatMap((row) =>
    across.strips.map((column): Region => {
      const [upright, flat] = [cut.down[row.part]!, cut.across[column.part]!];
      const term = cut.term(upright, flat);
      return {
        term,
        text: space.text(term),
        worth: space.worth(term).toString(),
        area: upright.worth.times(flat.worth).toString(),
        x: column.from,
        y: row.from,
        width: column.to - column.from,
        height: row.to - row.from,
      };
    }),
  );
  const toScale = down.toScale && across.toScale;
  const { sides } = cut;
  const ratio = ratioOf(cut);
  return { kind: 'area', sides, down: down.strips, across: across.strips, regions, toScale, ratio };
}

function ratioOf({ down, across }: Cut): number | null {
  if (isLettered([...down, ...across])) return null;
  const [high, wide] = [down, across].map((pieces) =>
    Exact.sum(pieces.map(({ worth }) => worth)),
  ) as [Exact, Exact];
  return high.isZero || wide.isZero ? null : trueShare(high, wide);
}

function cutOf(
  space: TermSpace,
  base: number,
  write: ((amount: Exact) => string) | undefined,
): Cut | null {
  const { cuts } = space;
  const pieces = cuts.map((parts) =>
    parts.map(({ text, worth }, k): Piece => ({ text, worth, at: [k] })),
  );
  if (space instanceof PieceSpace) {
    const across = cuts[0]!.map((_, k): Piece => {
      const worth = space.worth(k);
      const ends = decimalsNeeded(worth, base) !== null;
      const text = ends ? numberText(worth, base) : '';
      return { text: write ? write(worth) : text, worth, at: [k] };
    });
    return {
      sides: 'divisor and quotient',
      down: pieces[1]!,
      across,
      term: (_, { at }) => space.index(at),
    };
  }
  if (!(space instanceof ProductSpace)) return null;
  if (cuts.length === 2) {
    const [down, across] = pieces as [Piece[], Piece[]];
    return { sides: 'two factors', down, across, term: (a, b) => space.index([...a.at, ...b.at]) };
  }
  const others = pieces.slice(0, -1);
  const across = choices(others.map((parts) => parts.map((_, k) => k))).map((at) =>
    productOf(others, at),
  );
  return {
    sides: 'last factor and the product of the others',
    down: pieces.at(-1)!,
    across: isLettered(across) ? across : across.sort((a, b) => a.worth.compare(b.worth)),
    term: (a, b) => space.index([...b.at, ...a.at]),
  };
}

/** A part of each of several factors, as one piece of a side. */
function productOf(factors: readonly (readonly Piece[])[], at: readonly number[]): Piece {
  const parts = at.map((part, k) => factors[k]![part]!);
  const worth = parts.reduce((product, part) => product.times(part.worth), Exact.ONE);
  const text = parts.map((part, k) => (k === 0 ? part.text : closed(part.text))).join('×');
  return { text, worth, at };
}

/** Whether letters are among the pieces, which then have no size to be drawn by. */
function isLettered(pieces: readonly Piece[]): boolean {
  return pieces.some(({ worth }) => !worth.isConstant);
}

function strips(pieces: readonly Piece[]): { strips: readonly Strip[]; toScale: boolean } {
  const shown = pieces
    .map((piece, index) => ({ piece, index }))
    .filter(({ piece }) => !piece.worth.isZero)
    .reverse();
  const side = Exact.sum(pieces.map(({ worth }) => worth));
  const least = Math.min(LEAST, 0.9 / shown.length);
  const equal = pieces.some(({ worth }) => !worth.isConstant || worth.isNegative);
  const sizes = shown.map(({ piece }) =>
    equal ? 1 / shown.length : Math.max(least, trueShare(piece.worth, side)),
  );
  const whole = sizes.reduce((sum, size) => sum + size, 0);
  let at = 0;
  const made = shown.map(({ piece, index }, k): Strip => {
    const from = at;
    at += sizes[k]! / whole;
    const isWidened = !equal && trueShare(piece.worth, side) < least;
    return { part: index, text: piece.text, from, to: k === shown.length - 1 ? 1 : at, isWidened };
  });
  return { strips: made, toScale: !equal && Math.abs(whole - 1) < 1e-5 };
}

/** A part's share of its side, to six figures: for drawing only, never for amounts. */
function trueShare(part: Exact, side: Exact): number {
  if (side.isZero) return 0;
  const { numerator, denominator } = part.dividedBy(side);
  return Number((numerator * 1_000_000n) / denominator) / 1_000_000;
}
