import type { ComparisonDocument } from '@levee/core';
import { create } from 'zustand';
import { UNREACHABLE, type comparisonsApi, type Reply, type Stored } from '../api/client.ts';
import type { readComparison } from '../api/read-ahead.ts';
import { chosenIn, type Desk } from './desk.ts';
import type {
  DraftPlace,
  dropDraft,
  keepDraft,
  leftDrafts,
  readDraft,
  takeDraft,
} from './drafts.ts';
import { sameValue } from './same-value.ts';
import type { claimTab, livingTabs, ownTab } from './tab.ts';

/** How the open comparison stands with the server. */
export type Keeping =
  | { readonly state: 'closed' }
  | { readonly state: 'opening' }
  | { readonly state: 'missing'; readonly code: string; readonly detail: string }
  | { readonly state: 'kept'; readonly at: string }
  | { readonly state: 'keeping'; readonly drafted: boolean }
  | { readonly state: 'waiting'; readonly detail: string; readonly drafted: boolean }
  | {
      readonly state: 'conflict';
      readonly theirs: Stored;
      /** Why the last choice could not be carried out. */
      readonly fault?: string;
    };

const DELAY = 500;
const RETRY = 2500;

interface Open {
  readonly id: string;
  version: number;
  /** What the server has at that version. */
  base: ComparisonDocument;
}

/** What a keeper keeps, where, and how it shows how that goes. */
export interface KeeperParts {
  readonly server: Pick<typeof comparisonsApi, 'update' | 'create'> & {
    readonly open: typeof readComparison;
  };
  /** The open comparison. */
  readonly desk: {
    readonly document: () => ComparisonDocument;
    readonly open: (document: ComparisonDocument) => void;
    readonly subscribe: (changed: (now: Desk, before: Desk) => void) => () => void;
  };
  /** What the browser keeps until the server has it. */
  readonly drafts: {
    readonly keep: typeof keepDraft;
    readonly drop: typeof dropDraft;
    readonly read: typeof readDraft;
    readonly left: typeof leftDrafts;
    readonly take: typeof takeDraft;
  };
  readonly tab: {
    readonly own: typeof ownTab;
    readonly claim: typeof claimTab;
    readonly living: typeof livingTabs;
  };
}

/** Keeps one open comparison: saves it, holds drafts, and settles with what was changed elsewhere. */
export function makeKeeper({ server, desk, drafts, tab }: KeeperParts) {
  const view = create<{ readonly keeping: Keeping }>(() => ({ keeping: { state: 'closed' } }));

  let open: Open | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending = false;
  /** Counts openings, so that a late answer to an earlier one is known. */
  let openings = 0;
  /** Whether the browser keeps what the server does not have yet. */
  let drafted = true;
  /** True while a document is put into the store that must not be sent back. */
  let loading = false;

  function show(keeping: Keeping): void {
    view.setState({ keeping });
  }

  /** Opens a comparison: the server's version, with changes that it did not get yet put on top. */
  async function openComparison(id: string): Promise<void> {
    if (open?.id === id) return;
    closeComparison();
    show({ state: 'opening' });
    const opening = ++openings;
    const [reply] = await Promise.all([server.open(id), tab.claim()]);
    const draft = await ownDraft(id, await tab.living());
    if (opening !== openings) return;
    if (!reply.ok) {
      if (reply.code !== UNREACHABLE || !draft) {
        show({ state: 'missing', code: reply.code, detail: reply.detail });
        return;
      }
      begin({ id, version: draft.version, base: draft.base }, draft.document);
      show({ state: 'waiting', detail: reply.detail, drafted });
      schedule(RETRY);
      return;
    }
    const { version, document } = reply.value;
    if (!draft || sameValue(draft.document, document)) {
      drafts.drop(placeOf(id));
      begin({ id, version, base: document }, document);
      show({ state: 'kept', at: reply.value.updatedAt });
      return;
    }
    begin({ id, version: draft.version, base: draft.base }, draft.document);
    if (version === draft.version) schedule(0);
    else settle(reply.value);
  }

  function placeOf(id: string): DraftPlace {
    return { id, tab: tab.own() };
  }

  /** This tab's draft; without one, the latest that a closed tab left, which becomes its own. */
  async function ownDraft(id: string, living: ReadonlySet<string>) {
    const own = await drafts.read(placeOf(id));
    if (own) return own;
    const [latest] = await drafts.left(living, id);
    if (latest) await drafts.take(latest, tab.own());
    return drafts.read(placeOf(id));
  }

  function begin(opened: Open, document: ComparisonDocument): void {
    open = opened;
    put(document);
  }

  function put(document: ComparisonDocument): void {
    loading = true;
    desk.open(document);
    loading = false;
  }

  /**
   * Lets go of the open comparison. What was not sent yet is sent now, and stays as a draft where that
   * fails.
   */
  function closeComparison(): void {
    clearTimeout(timer);
    const { state } = view.getState().keeping;
    if (open && !sending && (state === 'keeping' || state === 'waiting')) sendLast(open);
    open = null;
    openings++;
    show({ state: 'closed' });
  }

  function sendLast({ id, version }: Open): void {
    void server.update(id, version, desk.document()).then((reply) => {
      if (reply.ok && open?.id !== id) drafts.drop(placeOf(id));
    });
  }

  desk.subscribe((state, before) => {
    if (loading || !open) return;
    const isSame =
      state.content === before.content &&
      state.progress === before.progress &&
      state.checks === before.checks;
    if (isSame) return;
    const { version, base } = open;
    const at = new Date().toISOString();
    drafted = drafts.keep(placeOf(open.id), { version, base, document: desk.document(), at });
    const { keeping } = view.getState();
    if (keeping.state === 'conflict') return;
    if (keeping.state === 'waiting') show({ ...keeping, drafted });
    else show({ state: 'keeping', drafted });
    schedule(DELAY);
  });

  function schedule(delay: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void send(), delay);
  }

  async function send(): Promise<void> {
    if (!open || sending) return;
    const target = open;
    const document = desk.document();
    sending = true;
    const reply = await server.update(target.id, target.version, document);
    sending = false;
    if (open !== target) return keepNow();
    if (reply.ok) saved(target, reply.value);
    else refused(reply);
  }

  function saved(target: Open, stored: Stored): void {
    target.version = stored.version;
    target.base = stored.document;
    if (!sameValue(desk.document(), stored.document)) return schedule(0);
    drafts.drop(placeOf(target.id));
    show({ state: 'kept', at: stored.updatedAt });
  }

  function refused(reply: Extract<Reply<Stored>, { ok: false }>): void {
    if (reply.code === 'comparison-stale' && reply.current) return settle(reply.current);
    show({ state: 'waiting', detail: reply.detail, drafted });
    schedule(RETRY);
  }

  /**
   * The server has another version. Where only progress differs on one of the two sides, the other
   * side's choices are taken; where both chose differently, both versions are offered.
   */
  function settle(theirs: Stored): void {
    if (!open) return;
    const [base, mine, other] = [open.base, desk.document(), theirs.document].map(chosenIn);
    if (sameValue(other, base) || sameValue(other, mine)) {
      open.version = theirs.version;
      open.base = theirs.document;
      schedule(0);
    } else if (sameValue(mine, base)) takeOver(theirs);
    else show({ state: 'conflict', theirs });
  }

  /** Goes on from the server's version. */
  function takeOver(theirs: Stored): void {
    if (!open) return;
    open.version = theirs.version;
    open.base = theirs.document;
    drafts.drop(placeOf(open.id));
    put(theirs.document);
    show({ state: 'kept', at: theirs.updatedAt });
  }

  /** Ends a conflict: `mine` replaces the server's version, `theirs` replaces this one, `both` keeps this one as a copy. */
  async function resolveConflict(choice: 'mine' | 'theirs' | 'both'): Promise<void> {
    const { keeping } = view.getState();
    if (keeping.state !== 'conflict' || !open) return;
    const { theirs } = keeping;
    const mine = desk.document();
    if (choice === 'both') {
      const title = `${mine.title} (other version)`.slice(0, 120);
      const copy = await server.create({ ...mine, title });
      if (!copy.ok) return show({ state: 'conflict', theirs, fault: copy.detail });
    }
    if (choice !== 'mine') return takeOver(theirs);
    open.version = theirs.version;
    open.base = theirs.document;
    show({ state: 'keeping', drafted });
    schedule(0);
  }

  /** Sends at once what waits to be sent. */
  function keepNow(): void {
    const { state } = view.getState().keeping;
    if (state === 'keeping' || state === 'waiting') schedule(0);
  }

  /** Whether something would be lost if the page were closed now. */
  function wouldBeLost(): boolean {
    const { keeping } = view.getState();
    return (keeping.state === 'keeping' || keeping.state === 'waiting') && !keeping.drafted;
  }

  /**
   * The page is about to go: what waits is sent now and goes on being sent without the page. Behind a request
   * that is still under way it names the version that that one will have made.
   */
  function sendBeforeLeaving(): void {
    const { state } = view.getState().keeping;
    if (!open || (state !== 'keeping' && state !== 'waiting')) return;
    const { id, version } = open;
    void server.update(id, sending ? version + 1 : version, desk.document());
  }

  return {
    view,
    openComparison,
    closeComparison,
    resolveConflict,
    keepNow,
    wouldBeLost,
    sendBeforeLeaving,
  };
}
