import type { Draft } from './draft.ts';
import { browserStore } from './browser-store.ts';

/** Where a draft is kept: each tab has its own of each comparison. */
export interface DraftPlace {
  readonly id: string;
  readonly tab: string;
}

const PREFIX = 'levee.draft.';

/** Without a tab it is the key that earlier versions used for all of them. */
function keyOf({ id, tab }: DraftPlace): string {
  return tab === '' ? PREFIX + id : `${PREFIX}${id}/${tab}`;
}

/** False when the browser would not keep it. */
export function keepDraft(place: DraftPlace, draft: Draft): boolean {
  return browserStore.set(keyOf(place), JSON.stringify(draft));
}

export function dropDraft(place: DraftPlace): void {
  browserStore.remove(keyOf(place));
}

/** The draft at a place; null when there is none or it cannot be read. What reads it is loaded with the first one. */
export async function readDraft(place: DraftPlace): Promise<Draft | null> {
  const text = browserStore.get(keyOf(place));
  if (text === null) return null;
  const { decodeDraft } = await import('./decode-draft.later.ts');
  return decodeDraft(text);
}

/** Every place at which a draft is kept. */
function draftPlaces(): readonly DraftPlace[] {
  return browserStore
    .keys()
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => {
      const [id = '', tab = ''] = key.slice(PREFIX.length).split('/');
      return { id, tab };
    });
}

/** Drafts of tabs that live no longer, the latest first; of one comparison, or of all. */
export async function leftDrafts(
  living: ReadonlySet<string>,
  id?: string,
): Promise<readonly (DraftPlace & { readonly draft: Draft })[]> {
  const places = draftPlaces().filter(
    (place) => !living.has(place.tab) && (id === undefined || place.id === id),
  );
  const read = await Promise.all(
    places.map(async (place) => ({ ...place, draft: await readDraft(place) })),
  );
  return read
    .flatMap(({ draft, ...place }) => (draft ? [{ ...place, draft }] : []))
    .sort((a, b) => (a.draft.at < b.draft.at ? 1 : -1));
}

/** Makes a left draft this tab's own, where it has none of that comparison; false when it could not. */
export async function takeDraft(place: DraftPlace, tab: string): Promise<boolean> {
  const own = { id: place.id, tab };
  const [draft, known] = [await readDraft(place), await readDraft(own)];
  if (!draft || known || !keepDraft(own, draft)) return false;
  dropDraft(place);
  return true;
}
