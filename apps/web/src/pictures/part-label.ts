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

/** A label over its strip, all along one line, and how long the strip is. */
export interface StripLabel {
  readonly middle: number;
  readonly width: number;
  readonly room: number;
}

/** How far a label may reach over the ends of its strip, and what stays free between two labels. */
const [OVER, BETWEEN] = [3, 6];

/** Which labels of a row of strips stand: the longest strips first, each where it comes too near to none that stands. */
export function labelsThatStand(labels: readonly StripLabel[]): readonly boolean[] {
  const stands = labels.map(() => false);
  const bySize = labels.map((_, k) => k).sort((a, b) => labels[b]!.room - labels[a]!.room);
  for (const k of bySize) {
    const own = labels[k]!;
    const isFree = labels.every(
      (other, j) =>
        !stands[j] ||
        Math.abs(other.middle - own.middle) >= (other.width + own.width) / 2 + BETWEEN,
    );
    stands[k] = own.width < own.room + 2 * OVER && isFree;
  }
  return stands;
}
