/** The signs on which people differ. */
export interface Notation {
  readonly times: '×' | '·';
  readonly point: '.' | ',';
}

export const PLAIN_NOTATION: Notation = { times: '×', point: '.' };

const POINT = /(?<=[0-9A-F])\.(?=[0-9A-F(])/g;

/** A text in the user's signs: `3,6 · 20,5`. */
export function inNotation(text: string, { times, point }: Notation): string {
  const signed = times === '×' ? text : text.replaceAll('×', times);
  return point === '.' ? signed : signed.replace(POINT, point);
}

/** The same for LaTeX mathematics, where a comma between figures needs braces. */
export function pointTex(text: string, { point }: Notation): string {
  return point === '.' ? text : text.replace(POINT, '{,}');
}

/** The sign of a product as LaTeX. */
export function timesTex({ times }: Notation): string {
  return times === '×' ? '\\times' : '\\cdot';
}
