import { raisedNumber } from '@levee/core';

/** A round amount on a picture; many zeros are written as a power: `9·10¹¹`. */
export function partLabel(text: string): string {
  const zeros = /0{6,}$/.exec(text)?.[0].length;
  if (zeros === undefined) return text;
  return `${text.slice(0, -zeros)}·10${raisedNumber(zeros)}`;
}

/** The middles of labels in a row, each moved on as far as the one before it needs. */
export function apart(
  labels: readonly { readonly middle: number; readonly width: number }[],
): readonly number[] {
  let free = -Infinity;
  return labels.map(({ middle, width }) => {
    const own = Math.max(middle, free + width / 2);
    free = own + width / 2 + 4;
    return own;
  });
}
