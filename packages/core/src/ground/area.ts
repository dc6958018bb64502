import type { Part } from '../account/cut.ts';
import { ProductSpace, type TermSpace } from '../account/terms.ts';

/** One strip of a side of the rectangle. Sizes are shares of the whole side, from 0 to 1. */
export interface Strip {
  readonly part: number;
  readonly text: string;
  readonly from: number;
  readonly to: number;
}

/** The region of one term. */
export interface Region {
  readonly term: number;
  readonly text: string;
  readonly worth: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The picture that all methods of a product share: a rectangle cut along both sides. */
export interface AreaGround {
  readonly kind: 'area';
  /** Strips of the first operand from the top, of the second from the left, largest first. */
  readonly down: readonly Strip[];
  readonly across: readonly Strip[];
  readonly regions: readonly Region[];
  /** False when small strips are drawn wider than they are so that they can be seen. */
  readonly toScale: boolean;
}

/** Smallest share a strip is drawn with. */
const LEAST = 0.14;

/** The rectangle of a product of two factors, or null for other numbers of factors. */
export function areaGround(space: TermSpace): AreaGround | null {
  const [first, second] = space.cuts;
  if (!(space instanceof ProductSpace)) return null;
  if (!first || !second || space.cuts.length !== 2) return null;
  const down = strips(first);
  const across = strips(second);
  const regions = down.strips.flatMap((row) =>
    across.strips.map((column): Region => {
      const term = space.index([row.part, column.part]);
      return {
        term,
        text: space.text(term),
        worth: space.worth(term).toString(),
        x: column.from,
        y: row.from,
        width: column.to - column.from,
        height: row.to - row.from,
      };
    }),
  );
  const toScale = down.toScale && across.toScale;
  return { kind: 'area', down: down.strips, across: across.strips, regions, toScale };
}

function strips(parts: readonly Part[]): { strips: readonly Strip[]; toScale: boolean } {
  const shown = parts
    .map((part, index) => ({ part, index }))
    .filter(({ part }) => !part.worth.isZero)
    .reverse();
  const least = Math.min(LEAST, 0.9 / shown.length);
  const sizes = shown.map(({ part }) => Math.max(least, trueShare(part, parts)));
  const whole = sizes.reduce((sum, size) => sum + size, 0);
  let at = 0;
  const made = shown.map(({ part, index }, k): Strip => {
    const from = at;
    at += sizes[k]! / whole;
    return { part: index, text: part.text, from, to: k === shown.length - 1 ? 1 : at };
  });
  return { strips: made, toScale: Math.abs(whole - 1) < 1e-9 };
}

/** A part's share of its operand, to six figures: for drawing only, never for amounts. */
function trueShare(part: Part, parts: readonly Part[]): number {
  const whole = parts.reduce((sum, { worth }) => sum + worth.numerator, 0n);
  return whole === 0n ? 0 : Number((part.worth.numerator * 1_000_000n) / whole) / 1_000_000;
}
