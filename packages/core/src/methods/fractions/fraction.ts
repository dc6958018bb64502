import { Exact } from '../../exact/exact.ts';

/** A fraction as it is written; the top carries the sign. */
export interface Frac {
  readonly top: bigint;
  readonly bottom: bigint;
}

export function fracText({ top, bottom }: Frac): string {
  return `${top < 0n ? '−' : ''}${magnitude(top)}/${bottom}`;
}

/** `1 5/6`, `5/6` or `2`: a whole with what is over it; a minus stands in front of all of it. */
export function mixedFracText(whole: bigint, { top, bottom }: Frac): string {
  const minus = whole < 0n || top < 0n ? '−' : '';
  const part = top === 0n ? '' : `${magnitude(top)}/${bottom}`;
  if (whole === 0n) return part === '' ? '0' : minus + part;
  return `${minus}${magnitude(whole)}${part === '' ? '' : ` ${part}`}`;
}

export function worthOf({ top, bottom }: Frac): Exact {
  return Exact.of(top, bottom);
}

export function magnitude(value: bigint): bigint {
  return value < 0n ? -value : value;
}

/** Every number that divides a number, smallest first. */
export function divisorsOf(value: bigint): readonly bigint[] {
  const small: bigint[] = [];
  const large: bigint[] = [];
  for (let by = 1n; by * by <= value; by++) {
    if (value % by !== 0n) continue;
    small.push(by);
    if (by * by !== value) large.unshift(value / by);
  }
  return [...small, ...large];
}

const UNITS = [
  ['', ''],
  ['one', 'first'],
  ['two', 'second'],
  ['three', 'third'],
  ['four', 'fourth'],
  ['five', 'fifth'],
  ['six', 'sixth'],
  ['seven', 'seventh'],
  ['eight', 'eighth'],
  ['nine', 'ninth'],
  ['ten', 'tenth'],
  ['eleven', 'eleventh'],
  ['twelve', 'twelfth'],
  ['thirteen', 'thirteenth'],
  ['fourteen', 'fourteenth'],
  ['fifteen', 'fifteenth'],
  ['sixteen', 'sixteenth'],
  ['seventeen', 'seventeenth'],
  ['eighteen', 'eighteenth'],
  ['nineteen', 'nineteenth'],
] as const;

const TENS = ['', '', 'twen', 'thir', 'for', 'fif', 'six', 'seven', 'eigh', 'nine'] as const;

/** What one part is called: `half`, `third`, `twenty-fourth`, `120th`. */
function partName(bottom: number): string {
  if (bottom === 1) return 'whole';
  if (bottom === 2) return 'half';
  if (bottom < 20) return UNITS[bottom]![1];
  if (bottom >= 100) return `${bottom}${endingOf(bottom)}`;
  const [tens, ones] = [TENS[Math.floor(bottom / 10)]!, bottom % 10];
  return ones === 0 ? `${tens}tieth` : `${tens}ty-${UNITS[ones]![1]}`;
}

function endingOf(value: number): string {
  const last = value % 100 > 10 && value % 100 < 14 ? 0 : value % 10;
  return ['th', 'st', 'nd', 'rd'][last] ?? 'th';
}

/** `1 third`, `5 sixths`, `2 halves`: a count of parts as it is said; many small ones as `17/240`. */
export function partsSaid(count: bigint, bottom: bigint): string {
  const name = partName(Number(bottom));
  const said = `${count < 0n ? '−' : ''}${magnitude(count)}`;
  if (bottom >= 100n) return `${said}/${bottom}`;
  if (magnitude(count) === 1n) return `${said} ${name}`;
  return `${said} ${partsNamed(bottom)}`;
}

/** `sixths`, `halves`: the parts without a count. */
export function partsNamed(bottom: bigint): string {
  return bottom === 2n ? 'halves' : `${partName(Number(bottom))}s`;
}
