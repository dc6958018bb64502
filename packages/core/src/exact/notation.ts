import { pointedTerms } from './numeral.ts';

/** The signs on which people differ. */
export interface Notation {
  readonly times: '×' | '·';
  readonly point: '.' | ',';
  /** What stands between threes of figures where a number is read; nothing unless it is said. */
  readonly group?: Grouping;
  /** The letters before which fractions are written with a point, `0.5x`; as fractions unless it is said. */
  readonly pointed?: string;
}

export const GROUPINGS = ['nothing', 'thin space', 'comma'] as const;
export type Grouping = (typeof GROUPINGS)[number];

const THIN_SPACE = '\u202f';
/** Four figures or more before a point; not after one, and no figures of another base, of a code or of a shortened number. */
const LONG = /(?<![\p{L}\d.,…_}])\d{4,}(?![\d\p{L}…]*[…_])/gu;
const THREES = /\B(?=(?:\d{3})+$)/g;

export const PLAIN_NOTATION: Notation = { times: '×', point: '.' };

const POINT = /(?<=[0-9A-F])\.(?=[0-9A-F(])/g;

/** A text in the user's signs: `3,6 · 20,5`. */
export function inNotation(text: string, notation: Notation): string {
  const { times, point } = notation;
  const own = withCoefficients(text, notation);
  const signed = times === '×' ? own : own.replaceAll('×', times);
  return grouped(point === '.' ? signed : signed.replace(POINT, point), notation);
}

/** The text with the fractions of its terms as they are written. */
export function withCoefficients(text: string, { pointed }: Pick<Notation, 'pointed'>): string {
  return pointed === undefined ? text : pointedTerms(text, pointed);
}

/** The same for what stands on a paper, where every figure has its square. */
export function onPaper(text: string, notation: Notation): string {
  return inNotation(text, { ...notation, group: 'nothing' });
}

/** Numbers of four figures and more in threes, where they are read; a comma that means a point parts no threes. */
export function grouped(text: string, { group = 'nothing', point }: Notation): string {
  if (group === 'nothing') return text;
  const between = group === 'comma' && point === '.' ? ',' : THIN_SPACE;
  return text.replace(LONG, (figures) => figures.replace(THREES, between));
}

/** Typed figures without what stands between threes of them. */
export function ungrouped(text: string, { group, point }: Notation): string {
  const solid = text.replace(/(?<=\d)[ \u202f](?=\d{3}(?!\d))/g, '');
  return group === 'comma' && point === '.' ? solid.replace(/(?<=\d),(?=\d{3}(?!\d))/g, '') : solid;
}

/** The same for LaTeX mathematics, where a comma between figures needs braces. */
export function pointTex(text: string, notation: Notation): string {
  const { point, group = 'nothing' } = notation;
  const own = withCoefficients(text, notation);
  const signed = point === '.' ? own : own.replace(POINT, '{,}');
  if (group === 'nothing') return signed;
  const between = group === 'comma' && point === '.' ? '{,}' : '\\,';
  return signed.replace(LONG, (figures) => figures.replace(THREES, between));
}

/** The sign of a product as LaTeX. */
export function timesTex({ times }: Notation): string {
  return times === '×' ? '\\times' : '\\cdot';
}
