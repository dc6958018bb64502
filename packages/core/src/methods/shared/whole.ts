import { type Beyond } from '../../account/beyond.ts';
import type { Entry, Hop, Role, Spot, Trace } from '../../account/account.ts';
import type { Writing } from '../../account/scribe.ts';
import type { Exact } from '../../exact/exact.ts';
import { numberText, wholeText } from '../../exact/numeral.ts';

export interface WholeExtras {
  readonly medium?: 'paper' | 'head';
  readonly hop?: Hop;
  readonly from?: readonly Entry[];
  /** Figures to show when they are not those of the worth. */
  readonly glyph?: string;
  /** What it holds beyond the edge of the problem. */
  readonly beyond?: Beyond;
}

/** A number written whole, whatever place its figures stand in. */
export function wholeWriting(
  role: Role,
  worth: Exact,
  spot: Spot,
  base: number,
  extras: WholeExtras = {},
): Writing {
  return { role, count: 0, place: 0, glyph: wholeText(worth, base), worth, spot, ...extras };
}

/** `+3` or `−45`: a change with its sign. */
export function signed(worth: Exact, base: number): string {
  return worth.isNegative ? numberText(worth, base) : `+${numberText(worth, base)}`;
}

/** A change of the paper's whole numbers beside them, as what it truly is: `+0.05`. */
export function changeNote(change: Exact, { problem, scale }: Trace): string {
  return signed(scale ? change.times(scale.unit) : change, problem.base);
}

/** The figures of a count in their places, and one mark for all the zeros that hold them there. */
export function countedWritings(
  role: Role,
  count: number,
  zeros: number,
  { area, row }: { readonly area: string; readonly row: number },
  base: number,
): readonly Writing[] {
  const spot = (column: number) => ({ area, row, column });
  const figures = [...count.toString(base)].reverse().map((figure, k): Writing => ({
    role,
    count: parseInt(figure, base),
    place: zeros + k,
    spot: spot(zeros + k),
  }));
  if (zeros === 0) return figures;
  return [
    ...figures,
    { role: 'placeholder', count: 0, place: 0, glyph: '0'.repeat(zeros), spot: spot(0) },
  ];
}

/** The zeros before a number that is below one, as far as its ones; nothing where its figures reach them. */
export function zerosInFront(
  writings: readonly Writing[],
  leastPlaces: number,
  { area, row }: { readonly area: string; readonly row: number },
): readonly Writing[] {
  const reached = Math.max(-1, ...writings.map(({ place }) => place)) + 1;
  const glyph = '0'.repeat(Math.max(0, leastPlaces - reached));
  if (glyph === '' || writings.length === 0) return [];
  return [
    { role: 'placeholder', count: 0, place: reached, glyph, spot: { area, row, column: reached } },
  ];
}
