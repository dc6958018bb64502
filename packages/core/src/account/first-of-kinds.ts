import type { EntryId, OwedEntry } from './account.ts';

/** The first term of every kind, by its letters, of terms by their numbers. */
export function firstOfKinds(owed: ReadonlyMap<number, OwedEntry>): ReadonlyMap<string, EntryId> {
  const kinds = new Map<string, EntryId>();
  const fromLast = [...owed].sort(([a], [b]) => b - a);
  for (const [, { id, worth }] of fromLast) kinds.set(worth.letters, id);
  return kinds;
}
