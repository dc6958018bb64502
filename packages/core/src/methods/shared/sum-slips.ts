import { where } from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method.ts';

/** Slips in what is written of a column's total, and what is carried, in the order in which their chances are named. */
const OF_TOTAL = [
  'carry-the-ones',
  'carry-always-one',
  'carry-where-none',
  'carry-over-blank-lost',
] as const;
export type TotalSlip = (typeof OF_TOTAL)[number] | '';

export const TOTAL_SLIPS: readonly SlipSpec[] = [
  ...OF_TOTAL,
  'carries-as-eleven',
  'blank-column-left-out',
].map(slipOf);

/** A column's total as it is to be written. */
export interface ColumnTotal {
  readonly total: number;
  readonly place: number;
  /** Whether no column follows, so that the total is written whole. */
  readonly last: boolean;
  /** How many figures and carries make it. */
  readonly parts: number;
}

/** Names the chances of a column's total; gives the slip that is made. */
export function totalSlip(scribe: Scribe, column: ColumnTotal): TotalSlip {
  const at = where('place', column.place);
  return (
    OF_TOTAL.filter((id) => scribe.slip(id, may(id, column, scribe.base), { at })).at(-1) ?? ''
  );
}

function may(id: TotalSlip, { total, last, parts }: ColumnTotal, base: number): boolean {
  const [ones, tens] = [total % base, Math.floor(total / base)];
  switch (id) {
    case 'carry-the-ones':
      return !last && tens > 0 && tens < base && ones !== tens;
    case 'carry-always-one':
      return !last && tens > 1;
    case 'carry-where-none':
      return !last && tens === 0 && parts > 1;
    case 'carry-over-blank-lost':
      return last && tens > 0;
    case '':
      return false;
  }
}

/** What stays in the column, and what is carried; of a last column all of it stays. */
export function writtenTotal(
  { total, last }: ColumnTotal,
  slip: TotalSlip,
  base: number,
): { readonly stays: number; readonly keep: number } {
  const [ones, tens] = [total % base, Math.floor(total / base)];
  switch (slip) {
    case 'carry-the-ones':
      return { stays: tens, keep: ones };
    case 'carry-always-one':
    case 'carry-where-none':
      return { stays: ones, keep: 1 };
    case 'carry-over-blank-lost':
      return { stays: ones, keep: 0 };
    case '':
      return last ? { stays: total, keep: 0 } : { stays: ones, keep: tens };
  }
}
