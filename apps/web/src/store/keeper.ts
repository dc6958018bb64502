import type { ComparisonDocument } from '@levee/core';
import { create } from 'zustand';
import { comparisonsApi, UNREACHABLE, type Reply, type Stored } from '../api/client.ts';
import { currentDocument, openDocument, useComparison } from './comparison-store.ts';
import { contentOf } from './content.ts';
import { dropDraft, keepDraft, readDraft } from './drafts.ts';

/** How the open comparison stands with the server. */
export type Keeping =
  | { readonly state: 'closed' }
  | { readonly state: 'opening' }
  | { readonly state: 'missing'; readonly detail: string }
  | { readonly state: 'kept'; readonly at: string }
  | { readonly state: 'keeping' }
  | { readonly state: 'waiting'; readonly detail: string }
  | {
      readonly state: 'conflict';
      readonly theirs: Stored;
      /** Why the last choice could not be carried out. */
      readonly fault?: string;
    };

export const useKeeping = create<{ readonly keeping: Keeping }>(() => ({
  keeping: { state: 'closed' },
}));

const DELAY = 500;
const RETRY = 2500;

interface Open {
  readonly id: string;
  version: number;
  /** What the server has at that version. */
  base: ComparisonDocument;
}

let open: Open | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
let sending = false;
/** Counts openings, so that a late answer to an earlier one is known. */
let openings = 0;
/** True while a document is put into the store that must not be sent back. */
let loading = false;

function show(keeping: Keeping): void {
  useKeeping.setState({ keeping });
}

/** Opens a comparison: the server's version, with changes that it did not get yet put on top. */
export async function openComparison(id: string): Promise<void> {
  if (open?.id === id) return;
  closeComparison();
  show({ state: 'opening' });
  const opening = ++openings;
  const reply = await comparisonsApi.read(id);
  if (opening !== openings) return;
  const draft = readDraft(id);
  if (!reply.ok) {
    if (reply.code !== UNREACHABLE || !draft) {
      show({ state: 'missing', detail: reply.detail });
      return;
    }
    begin({ id, version: draft.version, base: draft.base }, draft.document);
    show({ state: 'waiting', detail: reply.detail });
    schedule(RETRY);
    return;
  }
  const { version, document } = reply.value;
  if (!draft || equal(draft.document, document)) {
    dropDraft(id);
    begin({ id, version, base: document }, document);
    show({ state: 'kept', at: reply.value.updatedAt });
    return;
  }
  begin({ id, version: draft.version, base: draft.base }, draft.document);
  if (version === draft.version) schedule(0);
  else settle(reply.value);
}

function begin(opened: Open, document: ComparisonDocument): void {
  open = opened;
  put(document);
}

function put(document: ComparisonDocument): void {
  loading = true;
  openDocument(document);
  loading = false;
}

/**
 * Lets go of the open comparison. What was not sent yet is sent now, and stays as a draft where that
 * fails.
 */
export function closeComparison(): void {
  clearTimeout(timer);
  const { state } = useKeeping.getState().keeping;
  if (open && !sending && (state === 'keeping' || state === 'waiting')) sendLast(open);
  open = null;
  openings++;
  show({ state: 'closed' });
}

function sendLast({ id, version }: Open): void {
  void comparisonsApi.update(id, version, currentDocument()).then((reply) => {
    if (reply.ok && open?.id !== id) dropDraft(id);
  });
}

useComparison.subscribe((state, before) => {
  if (loading || !open) return;
  if (state.content === before.content && state.progress === before.progress) return;
  keepDraft(open.id, { version: open.version, base: open.base, document: currentDocument() });
  if (useKeeping.getState().keeping.state === 'conflict') return;
  if (useKeeping.getState().keeping.state === 'kept') show({ state: 'keeping' });
  schedule(DELAY);
});

function schedule(delay: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void send(), delay);
}

async function send(): Promise<void> {
  if (!open || sending) return;
  const target = open;
  const document = currentDocument();
  sending = true;
  const reply = await comparisonsApi.update(target.id, target.version, document);
  sending = false;
  if (open !== target) return keepNow();
  if (reply.ok) saved(target, reply.value);
  else refused(reply);
}

function saved(target: Open, stored: Stored): void {
  target.version = stored.version;
  target.base = stored.document;
  if (!equal(currentDocument(), stored.document)) return schedule(0);
  dropDraft(target.id);
  show({ state: 'kept', at: stored.updatedAt });
}

function refused(reply: Extract<Reply<Stored>, { ok: false }>): void {
  if (reply.code === 'comparison-stale' && reply.current) return settle(reply.current);
  show({ state: 'waiting', detail: reply.detail });
  schedule(RETRY);
}

/**
 * The server has another version. Where only progress differs on one of the two sides, the other
 * side's choices are taken; where both chose differently, both versions are offered.
 */
function settle(theirs: Stored): void {
  if (!open) return;
  const [base, mine, other] = [open.base, currentDocument(), theirs.document].map(contentOf);
  if (equal(other, base) || equal(other, mine)) {
    open.version = theirs.version;
    open.base = theirs.document;
    schedule(0);
  } else if (equal(mine, base)) takeOver(theirs);
  else show({ state: 'conflict', theirs });
}

/** Goes on from the server's version. */
function takeOver(theirs: Stored): void {
  if (!open) return;
  open.version = theirs.version;
  open.base = theirs.document;
  dropDraft(open.id);
  put(theirs.document);
  show({ state: 'kept', at: theirs.updatedAt });
}

/** Ends a conflict: `mine` replaces the server's version, `theirs` replaces this one, `both` keeps this one as a copy. */
export async function resolveConflict(choice: 'mine' | 'theirs' | 'both'): Promise<void> {
  const { keeping } = useKeeping.getState();
  if (keeping.state !== 'conflict' || !open) return;
  const { theirs } = keeping;
  const mine = currentDocument();
  if (choice === 'both') {
    const title = `${mine.title} (other version)`.slice(0, 120);
    const copy = await comparisonsApi.create({ ...mine, title });
    if (!copy.ok) return show({ state: 'conflict', theirs, fault: copy.detail });
  }
  if (choice !== 'mine') return takeOver(theirs);
  open.version = theirs.version;
  open.base = theirs.document;
  show({ state: 'keeping' });
  schedule(0);
}

/** Sends at once what waits to be sent. */
export function keepNow(): void {
  const { state } = useKeeping.getState().keeping;
  if (state === 'keeping' || state === 'waiting') schedule(0);
}

function equal(a: unknown, b: unknown): boolean {
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

/** The same value with the keys of its objects in order, so that key order does not count. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sorted(inner)]),
  );
}
