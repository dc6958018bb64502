import { tabStore } from './browser-store.ts';

const KEY = 'levee.tab';
const LOCK = 'levee.tab.';

let own = '';

/** The name of this tab, the same through reloads; empty before {@link claimTab} is done. */
export function ownTab(): string {
  return own;
}

let claimed: Promise<void> | null = null;

/**
 * Gives this tab a name and holds it while the tab lives. A copied tab brings the name of the one it was
 * copied from, which then holds it already; it gets a new one.
 */
export function claimTab(): Promise<void> {
  claimed ??= claim();
  return claimed;
}

async function claim(): Promise<void> {
  const before = tabStore.get(KEY);
  if (before !== null && (await hold(before))) own = before;
  else {
    own = crypto.randomUUID();
    await hold(own);
    tabStore.set(KEY, own);
  }
}

/** Holds a name until the page goes; false when another tab does. Where there are no locks it is free. */
function hold(name: string): Promise<boolean> {
  const { locks } = navigator as Partial<Navigator>;
  if (!locks) return Promise.resolve(true);
  return new Promise((resolve) => {
    const held = locks.request(LOCK + name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise<void>(() => undefined) : undefined;
    });
    void Promise.resolve(held).catch(() => resolve(true));
  });
}

/** The names of all tabs that live now, this one among them. */
export async function livingTabs(): Promise<ReadonlySet<string>> {
  const { locks } = navigator as Partial<Navigator>;
  const { held = [] } = locks ? await locks.query() : {};
  const names = held.flatMap(({ name }) =>
    name?.startsWith(LOCK) ? [name.slice(LOCK.length)] : [],
  );
  return new Set([...names, own]);
}
