import type { Mark, Trace } from './account.ts';

/**
 * The row that a number is written in, read as one amount: 3/2 × 7/3 for its 3/2. Null for marks that are amounts by
 * themselves. Of a row that is written in several steps the whole one.
 */
export function rowOf({ steps }: Pick<Trace, 'steps'>, { role, spot }: Mark): Mark | null {
  if (role !== 'factor') return null;
  const rows = steps.flatMap(({ gives }) => gives.filter((mark) => mark.role === 'factors'));
  return rows.findLast((mark) => mark.spot.row === spot.row) ?? null;
}
