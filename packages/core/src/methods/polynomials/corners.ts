import type { Corner } from '../../account/account.ts';

/** Corners of two brackets of two terms, in the order in which they are worked, and what they are called. */
export const CORNERS = ['first', 'outer', 'inner', 'last'] as const satisfies readonly Corner[];
export const CORNER_NAMES: Readonly<Record<Corner, string>> = {
  first: 'First',
  outer: 'Outer',
  inner: 'Inner',
  last: 'Last',
};
