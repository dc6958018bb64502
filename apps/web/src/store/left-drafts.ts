import { titleWith, type ComparisonDocument } from '@levee/core';
import { create } from 'zustand';
import { comparisonsApi } from '../api/client.ts';
import { chosenIn } from './desk.ts';
import { dropDraft, leftDrafts, readDraft, takeDraft, type DraftPlace } from './drafts.ts';
import { type Draft } from './draft.ts';
import { sameValue } from './same-value.ts';
import { claimTab, livingTabs, ownTab } from './tab.ts';

/** A change of a closed tab that cannot be sent without asking. */
export interface Left extends DraftPlace {
  readonly draft: Draft;
  readonly why: 'changed-elsewhere' | 'gone';
}

/** What is to be asked about. */
export const useLeft = create<{ readonly left: readonly Left[] }>(() => ({ left: [] }));

/**
 * Looks through what closed tabs left behind, once at the start: what the server has already is dropped, what
 * it would take is sent, and the rest is offered. The comparison that is being opened is left to the keeper.
 */
export async function settleLeftDrafts(opening: string | null): Promise<void> {
  await claimTab();
  const left: Left[] = [];
  for (const found of await leftDrafts(await livingTabs())) {
    if (found.id === opening) continue;
    const why = await settled(found);
    if (why === 'unreachable') break;
    if (why !== 'settled') left.push({ ...found, why });
  }
  useLeft.setState({ left });
}

async function settled({
  id,
  tab,
  draft,
}: Omit<Left, 'why'>): Promise<Left['why'] | 'settled' | 'unreachable'> {
  const place = { id, tab };
  const reply = await comparisonsApi.read(id);
  if (!reply.ok) return reply.code === 'comparison-unknown' ? 'gone' : 'unreachable';
  const { version, document } = reply.value;
  if (sameValue(chosenIn(document), chosenIn(draft.document)) && version !== draft.version) {
    dropDraft(place);
    return 'settled';
  }
  if (version !== draft.version) return 'changed-elsewhere';
  return (await sent(place, draft)) ? 'settled' : 'changed-elsewhere';
}

/** Sends a left draft as this tab's own, so that a comparison opened meanwhile finds it there. */
async function sent(place: DraftPlace, draft: Draft): Promise<boolean> {
  const own = { id: place.id, tab: ownTab() };
  if (!(await takeDraft(place, own.tab))) return false;
  const reply = await comparisonsApi.update(place.id, draft.version, draft.document);
  if (reply.ok && sameValue((await readDraft(own))?.document, draft.document)) dropDraft(own);
  return reply.ok;
}

/** Keeps a left change as a comparison of its own; the fault where that failed. */
export async function keepAsCopy(left: Left): Promise<string | null> {
  const { title } = left.draft.document;
  const copy: ComparisonDocument = {
    ...left.draft.document,
    title: titleWith(title, 'not kept before'),
  };
  const reply = await comparisonsApi.create(copy);
  if (!reply.ok) return reply.detail;
  discard(left);
  return null;
}

/** Lets a left change go. */
export function discard(left: Left): void {
  dropDraft(left);
  useLeft.setState((state) => ({ left: state.left.filter((other) => other !== left) }));
}
