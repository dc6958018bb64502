import { where } from '../../account/chance.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import type { Exact } from '../../exact/exact.ts';
import { numberText, numeralValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method-spec.ts';

/** Slips in telling what is left, in the order in which their chances are named. */
const IDS = ['remainder-dropped', 'rest-in-scaled-units', 'rest-over-dividend'] as const;
export type RestSlip = (typeof IDS)[number];

export const REST_SLIPS: readonly SlipSpec[] = IDS.map(slipOf);

/** What is left of a division: as it truly is, and in the numbers that were worked. */
export interface Left {
  readonly rest: Exact;
  readonly scaled: Exact;
}

/** The slip that is made in telling what is left, with what is written of it; null for none. */
export function restSlip(
  scribe: Scribe,
  problem: Problem,
  left: Left,
): { readonly slip: RestSlip; readonly writes: readonly Writing[] } | null {
  const [dividend, divisor] = problem.operands.map(numeralValue) as [Exact, Exact];
  const may: Readonly<Record<RestSlip, boolean>> = {
    'remainder-dropped': true,
    'rest-in-scaled-units': !left.rest.equals(left.scaled),
    'rest-over-dividend': !dividend.equals(divisor) && !dividend.isZero,
  };
  const at = where('answer', 0);
  const [slip] = IDS.filter((id) => scribe.slip(id, may[id], { at }));
  return slip ? { slip, writes: written(slip, { ...left, dividend, divisor }, scribe.base) } : null;
}

function written(
  slip: RestSlip,
  { rest, scaled, dividend, divisor }: Left & Readonly<Record<'dividend' | 'divisor', Exact>>,
  base: number,
): readonly Writing[] {
  const text = (amount: Exact) => numberText(amount, base);
  const spot = { area: 'left', row: 0, column: 0 };
  switch (slip) {
    case 'remainder-dropped':
      return [];
    case 'rest-in-scaled-units': {
      const worth = scaled.dividedBy(divisor);
      return [{ role: 'rest', count: 0, place: 0, glyph: `r ${text(scaled)}`, worth, spot }];
    }
    case 'rest-over-dividend': {
      const glyph = `${text(rest)}/${text(dividend)}`;
      return [{ role: 'answer', count: 0, place: 0, glyph, worth: rest.dividedBy(dividend), spot }];
    }
  }
}
