import { where } from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import { gcd } from '../../exact/rational.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method-spec.ts';
import { primesOf } from '../shared/primes.ts';
import { magnitude, worthOf, type Frac } from './fraction.ts';

/** Slips in renaming a fraction, in the order in which their chances are named. */
const RENAMING = [
  'bottom-only',
  'same-added-above-and-below',
  'by-other-factor',
  'top-by-bottom',
] as const;
export type RenamingSlip = (typeof RENAMING)[number];

/** Slips in bringing a result to lowest terms. */
const TIDYING = [
  'unreduced',
  'one-number-reduced',
  'unlike-factors-reduced',
  'figures-struck',
] as const;
export type TidyingSlip = (typeof TIDYING)[number];

export const RENAMING_SLIPS: readonly SlipSpec[] = RENAMING.map(slipOf);
export const TIDYING_SLIPS: readonly SlipSpec[] = TIDYING.map(slipOf);

/** A fraction that is to be renamed: its own factor, and that of the other one where there are two. */
export interface Renaming {
  readonly frac: Frac;
  readonly common: bigint;
  readonly by: bigint;
  readonly otherBy: bigint | null;
  readonly operand: number;
}

/** What a fraction is renamed to, and what stands beside it for the factor. */
export interface Renamed {
  readonly slip: RenamingSlip | '';
  readonly made: Frac;
  readonly beside: string;
}

/** What a fraction is renamed to: rightly, or as a slip has it, where that makes a difference. */
export function renamed(scribe: Scribe, of: Renaming, matters = true): Renamed {
  const right = renamedBy('', of);
  const made = RENAMING.filter((slip) => {
    const wrong = renamedBy(slip, of);
    const may =
      matters && wrong !== null && of.frac.top !== 0n && !sameWorth(wrong.made, right!.made);
    return scribe.slip(slip, may, { at: where('operand', of.operand) });
  });
  return renamedBy(made[0] ?? '', of)!;
}

function sameWorth(a: Frac, b: Frac): boolean {
  return worthOf(a).equals(worthOf(b));
}

/** What a slip makes of a fraction; null where it cannot be made. */
function renamedBy(
  slip: RenamingSlip | '',
  { frac: { top, bottom }, common, by, otherBy }: Renaming,
): Renamed | null {
  const over = (made: bigint, beside: string): Renamed => ({
    slip,
    made: { top: made, bottom: common },
    beside,
  });
  switch (slip) {
    case 'bottom-only':
      return over(top, `×${by} below`);
    case 'same-added-above-and-below':
      return over(top + common - bottom, `+${common - bottom}/+${common - bottom}`);
    case 'by-other-factor':
      return otherBy === null || otherBy === by ? null : over(top * otherBy, `×${otherBy}/×${by}`);
    case 'top-by-bottom':
      return bottom === by ? null : over(top * bottom, `×${bottom}/×${by}`);
    case '':
      return over(top * by, `×${by}/×${by}`);
  }
}

/** The slip that is made in bringing a fraction to lowest terms, with what it comes to; null for none. */
export function tidied(
  scribe: Scribe,
  frac: Frac,
): { readonly slip: TidyingSlip; readonly made: Frac } | null {
  const made = TIDYING.filter((slip) => {
    const wrong = tidiedBy(slip, frac);
    return scribe.slip(slip, wrong !== null, { at: where('answer', 0) });
  });
  const [slip] = made;
  const wrong = slip ? tidiedBy(slip, frac) : null;
  return slip && wrong ? { slip, made: wrong } : null;
}

/** What a slip leaves of a fraction; null where it cannot be made. */
function tidiedBy(slip: TidyingSlip, frac: Frac): Frac | null {
  const { top, bottom } = frac;
  const by = gcd(magnitude(top), bottom);
  if (top === 0n) return null;
  switch (slip) {
    case 'unreduced':
      return by > 1n ? frac : null;
    case 'one-number-reduced':
      return by > 1n ? { top: top / by, bottom } : null;
    case 'unlike-factors-reduced': {
      const other = primesOf(bottom).find(
        (prime) => by > 1n && prime !== by && bottom % prime === 0n,
      );
      return other ? { top: top / by, bottom: bottom / other } : null;
    }
    case 'figures-struck':
      return struck(frac);
  }
}

/** A figure that stands above and below is struck in both; null where none does or nothing would be changed. */
function struck(frac: Frac): Frac | null {
  const [above, below] = [`${magnitude(frac.top)}`, `${frac.bottom}`];
  if (above.length < 2 || below.length < 2) return null;
  const figure = [...above].find((one) => below.includes(one));
  if (figure === undefined) return null;
  const [top, bottom] = [above, below].map((text) => BigInt(text.replace(figure, ''))) as [
    bigint,
    bigint,
  ];
  if (bottom === 0n || top === 0n) return null;
  const made = { top: frac.top < 0n ? -top : top, bottom };
  return sameWorth(made, frac) ? null : made;
}
