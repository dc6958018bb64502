import type { EntryId, Trace } from '../account/account.ts';
import { IN_QUOTIENT } from '../account/rewriting.ts';
import { Exact } from '../exact/exact.ts';

/** How much of a quotient is found, before the first step and after every step. */
export function foundShares({ steps }: Trace): readonly Exact[] {
  const live = new Map<EntryId, Exact>();
  const all = [Exact.ZERO];
  for (const { takes, gives } of steps) {
    for (const id of takes) live.delete(id);
    for (const mark of gives) if (IN_QUOTIENT.has(mark.role)) live.set(mark.id, mark.worth);
    all.push(Exact.sum(live.values()));
  }
  return all;
}
