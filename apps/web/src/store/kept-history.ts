import type { Content } from './desk.ts';
import { tabStore } from './browser-store.ts';
import { sameValue } from './same-value.ts';

const KEY = 'levee.undo';
/** Most states that a tab keeps through a reload, each way. */
const MOST = 60;
/** Counts the shapes of what is kept, so that another version's is let be. */
const SHAPE = 5;

/** What can be undone and redone. */
export interface States {
  readonly past: readonly { readonly content: Content }[];
  readonly future: readonly { readonly content: Content }[];
}

interface Kept extends States {
  readonly shape: number;
  readonly id: string;
  /** What lay on the bench: the states belong to nothing else. */
  readonly now: Content;
}

/** Keeps what can be undone for as long as the tab lives. */
export function keepHistory(id: string, now: Content, { past, future }: States): void {
  if (past.length + future.length === 0) return tabStore.remove(KEY);
  const kept: Kept = {
    shape: SHAPE,
    id,
    now,
    past: past.slice(-MOST),
    future: future.slice(-MOST),
  };
  tabStore.set(KEY, JSON.stringify(kept));
}

/** What could be undone in this comparison before the page was loaded again, where it still lies there as it did. */
export function historyKept(id: string, now: Content): States | null {
  const text = tabStore.get(KEY);
  if (text === null) return null;
  try {
    const kept = JSON.parse(text) as Partial<Kept>;
    const fits = kept.shape === SHAPE && kept.id === id && sameValue(kept.now, now);
    return fits && kept.past && kept.future ? { past: kept.past, future: kept.future } : null;
  } catch {
    return null;
  }
}
