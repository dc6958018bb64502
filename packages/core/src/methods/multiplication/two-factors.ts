import type { Numeral } from '../../exact/numeral.ts';
import { numeralText } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Acceptance } from '../method.ts';
import { figuresRefused } from '../shared/sums.ts';

/** Accepts products; three and more factors are worked two at a time, stage by stage. */
export function acceptsProduct(problem: Problem): Acceptance {
  if (problem.kind !== 'product') {
    return { ok: false, reason: { code: 'kind-not-worked', kind: problem.kind } };
  }
  return figuresRefused(problem) ?? { ok: true };
}

export interface TwoFactors {
  readonly top: Numeral;
  readonly bottom: Numeral;
}

/** The factors of a problem that {@link acceptsProduct} let through. */
export function twoFactors(problem: Problem): TwoFactors {
  const [top, bottom] = problem.operands;
  if (!top || !bottom) throw new RangeError('twoFactors: the problem has fewer than two operands');
  return { top, bottom };
}

const PART_TEXTS = new WeakMap<Numeral, string[]>();

/** A part of a factor, in the factor's base: digit 5 in place 1 is `50`. Each text is made once. */
export function partText(number: Numeral, place: number): string {
  let texts = PART_TEXTS.get(number);
  if (!texts) PART_TEXTS.set(number, (texts = []));
  return (texts[place] ??= madePartText(number, place));
}

function madePartText(number: Numeral, place: number): string {
  const digit = (number.digits[place] ?? 0).toString(number.base).toUpperCase();
  return digit === '0' ? '0' : digit + '0'.repeat(place);
}

/** `46 × 50`: what a line of the working amounts to. */
export function lineText(top: Numeral, bottom: Numeral, place: number): string {
  return `${numeralText(top)} × ${partText(bottom, place)}`;
}

export type DigitPair = readonly [topPlace: number, bottomPlace: number];

/** The places of a factor that make its expanded form: those that are not zero, or the ones of 0. */
export function expandedPlaces({ digits }: Numeral, zeros: boolean): readonly number[] {
  const places = digits.flatMap((digit, place) => (digit !== 0 || zeros ? [place] : []));
  return places.length > 0 ? places : [0];
}
