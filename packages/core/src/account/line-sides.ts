import type { Mark } from './account.ts';

/** Where the right side of a statement begins. */
export const BEHIND = 100;

/** Which side of the equals signs of its line a mark stands on, from 0. */
export function sideOf({ spot }: Pick<Mark, 'spot'>): number {
  return Math.floor(spot.column / BEHIND);
}
