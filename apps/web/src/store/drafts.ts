import { decodeComparison, registry, type ComparisonDocument } from '@levee/core';
import { browserStore } from './browser-store.ts';

/** A change that the server does not have yet, kept in the browser until it does. */
export interface Draft {
  /** The version that the change was made to. */
  readonly version: number;
  readonly base: ComparisonDocument;
  readonly document: ComparisonDocument;
  /** When it was made: ISO 8601 in UTC; empty where an earlier version kept it. */
  readonly at: string;
}

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

/** The draft at a place; null when there is none or it cannot be read. */
export function readDraft(place: DraftPlace): Draft | null {
  const text = browserStore.get(keyOf(place));
  if (text === null) return null;
  try {
    const { version, base, document, at } = JSON.parse(text) as Record<string, unknown>;
    const [own, old] = [document, base].map((input) => decodeComparison(input, registry));
    if (typeof version !== 'number' || !own?.ok || !old?.ok) return null;
    const time = typeof at === 'string' ? at : '';
    return { version, base: old.document, document: own.document, at: time };
  } catch {
    return null;
  }
}

/** Every place at which a draft is kept. */
export function draftPlaces(): readonly DraftPlace[] {
  return browserStore
    .keys()
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => {
      const [id = '', tab = ''] = key.slice(PREFIX.length).split('/');
      return { id, tab };
    });
}

/** Drafts of tabs that live no longer, the latest first; of one comparison, or of all. */
export function leftDrafts(
  living: ReadonlySet<string>,
  id?: string,
): readonly (DraftPlace & { readonly draft: Draft })[] {
  return draftPlaces()
    .filter((place) => !living.has(place.tab) && (id === undefined || place.id === id))
    .flatMap((place) => {
      const draft = readDraft(place);
      return draft ? [{ ...place, draft }] : [];
    })
    .sort((a, b) => (a.draft.at < b.draft.at ? 1 : -1));
}

/** Makes a left draft this tab's own, where it has none of that comparison; false when it could not. */
export function takeDraft(place: DraftPlace, tab: string): boolean {
  const draft = readDraft(place);
  const own = { id: place.id, tab };
  if (!draft || readDraft(own) || !keepDraft(own, draft)) return false;
  dropDraft(place);
  return true;
}
