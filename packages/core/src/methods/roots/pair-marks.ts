import type { Mark } from '../../account/account.ts';
import type { Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { placeValue } from '../../exact/numeral.ts';
import type { Trial } from './root-plan.ts';

/** Where figures stand: columns are places of the root, counted over pairs. */
export function spot(area: string, row: number, column: number): Mark['spot'] {
  return { area, row, column };
}

export function text(value: bigint, base: number): string {
  return value.toString(base).toUpperCase();
}

/** Two figures; the first pair of the number may be one alone. */
export function pairText(pair: bigint, base: number, isFirst: boolean): string {
  const figures = text(pair, base);
  return isFirst ? figures : figures.padStart(2, '0');
}

/** What a trial digit would take, beside the work. */
export function trialMark(
  one: Trial,
  row: number,
  place: number,
  there: bigint,
  base: number,
): Writing {
  const digit = one.digit.toString(base).toUpperCase();
  const factor = one.digit === 0 ? 0n : one.product / BigInt(one.digit);
  const sign = one.fits ? '≤' : '>';
  const glyph = `${text(factor, base)} × ${digit} = ${text(one.product, base)} ${sign} ${text(there, base)}`;
  return beside('trial', glyph, spot('trial', row, place));
}

/** A number at the side of the work, such as the doubled root. */
export function sideNumber(glyph: string, at: Mark['spot']): Writing {
  return beside('side number', glyph, at);
}

function beside(role: Mark['role'], glyph: string, at: Mark['spot']): Writing {
  return { role, count: 0, place: 0, glyph, worth: Exact.ZERO, from: [], spot: at };
}

/** A figure of the root read a place lower, where a zero behind it is left out. */
export function readLower(mark: Mark, base: number, row: number): Writing {
  const place = mark.place! - 1;
  return {
    role: 'answer',
    count: parseInt(mark.glyph, base),
    place,
    worth: mark.worth.dividedBy(placeValue(base, 2)),
    placed: true,
    terms: mark.terms,
    medium: 'head',
    spot: spot('pushed', row, place),
  };
}

/** What was left, read in a lower place; its figures stand on the paper already. */
export function leftAgain(glyph: string, worth: Exact, row: number, place: number): Writing {
  return {
    role: 'remainder',
    count: 0,
    place: 2 * place,
    glyph,
    worth,
    placed: true,
    medium: 'head',
    spot: spot('read', row, place),
  };
}
