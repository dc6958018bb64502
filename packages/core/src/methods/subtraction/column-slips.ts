import { where, type Feature } from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { Wording } from '../../phrases/phrasebook.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method.ts';

/** Slips of one column that is large enough for what is taken from it. */
const IDS = [
  'minus-zero-is-zero',
  'equal-stays',
  'blank-not-brought-down',
  'last-figure-again',
  'one-column-added',
] as const;
export type ColumnSlip = (typeof IDS)[number];

export const COLUMN_SLIPS: readonly SlipSpec[] = IDS.map(slipOf);

/** One column as it is worked. */
export interface Column {
  readonly place: number;
  readonly top: number;
  readonly bottom: number;
  /** Whether the subtrahend has no figure here. */
  readonly bare: boolean;
  /** What stands above here and in all places to the left. */
  readonly over: readonly number[];
  /** The figures of the subtrahend, ones first. */
  readonly subtrahend: readonly number[];
}

/** Names the chances of a column; gives the slip that is made, if any. */
export function columnSlip(
  scribe: Scribe,
  column: Column,
  features: readonly Feature[],
): ColumnSlip | null {
  const chance = { at: where('place', column.place), features };
  const ahead = Math.max(
    0,
    column.over.findIndex((count) => count > 0),
  );
  const made = IDS.filter((id) =>
    scribe.slip(id, may(id, column, scribe.base), id === ENDED ? { ...chance, ahead } : chance),
  );
  const end = where('place', column.subtrahend.length);
  if (column.bare && scribe.willSlip(ENDED, end)) return ENDED;
  return made[0] ?? null;
}

/** The work ends where the subtrahend ends: nothing is written from there on. */
const ENDED = 'blank-not-brought-down';

function may(id: ColumnSlip, column: Column, base: number): boolean {
  const { place, top, bottom, bare, over, subtrahend } = column;
  const lastLower = subtrahend.at(-1)!;
  switch (id) {
    case 'minus-zero-is-zero':
      return !bare && bottom === 0 && top > 0;
    case 'equal-stays':
      return !bare && top === bottom && top > 0;
    case 'blank-not-brought-down':
      return place === subtrahend.length && over.some((count) => count > 0);
    case 'last-figure-again':
      return bare && lastLower > 0 && top >= lastLower;
    case 'one-column-added':
      return bottom > 0 && top >= bottom && top + bottom < base;
  }
}

/** What is written in the column; null for nothing. */
export function slippedResult(
  slip: ColumnSlip,
  { top, bottom, subtrahend }: Column,
): number | null {
  switch (slip) {
    case 'minus-zero-is-zero':
      return 0;
    case 'equal-stays':
      return top;
    case 'blank-not-brought-down':
      return null;
    case 'last-figure-again':
      return top - subtrahend.at(-1)!;
    case 'one-column-added':
      return top + bottom;
  }
}

type SlippedValues = {
  readonly slip: string;
  readonly top: number;
  readonly bottom: number;
  readonly lastLower: number;
  readonly result: number;
  readonly place: number;
};

/** What is said of a column in which a learner slips. */
export const slippedColumn: Wording<SlippedValues> = {
  digit: ({ slip, top, bottom, lastLower, result }, say) => {
    const [upper, lower, last, rest] = [top, bottom, lastLower, result].map((one) =>
      say.number(one),
    );
    const texts: Readonly<Record<string, string>> = {
      'blank-not-brought-down': `Nothing stands below the ${upper}, and nothing is written.`,
      'last-figure-again': `Nothing stands below the ${upper}; the ${last} is taken once more: **${rest}**.`,
      'one-column-added': `${upper} and ${lower} are added: **${rest}**.`,
    };
    return texts[slip] ?? `${upper} − ${lower} is taken for **${rest}**.`;
  },
  value: ({ slip, top, bottom, lastLower, result, place }, say) => {
    const [upper, lower, last, rest] = [top, bottom, lastLower, result].map((one) =>
      say.count(one, place),
    );
    const texts: Readonly<Record<string, string>> = {
      'blank-not-brought-down': `From ${upper} nothing is taken, but they are not brought down.`,
      'last-figure-again': `From ${upper} nothing should be taken, yet ${last} are: **${rest}**.`,
      'one-column-added': `${upper} and ${lower} are put together instead of taken apart: **${rest}**.`,
    };
    return texts[slip] ?? `${say.opening(say.minus(upper!, lower!))} is taken for **${rest}**.`;
  },
};
