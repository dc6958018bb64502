import { titleWith, type ComparisonDocument } from '@levee/core';
import { create } from 'zustand';
import { UNREACHABLE, type comparisonsApi, type Reply, type Stored } from '../api/client.ts';
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
  readonly server: Pick<typeof comparisonsApi, 'read' | 'update' | 'create'>;
  /** The open comparison. */
  readonly desk: {
    readonly document: () => ComparisonDocument;
    readonly open: (document: ComparisonDocument, id: string) => void;
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

export interface KeeperView {
  readonly keeping: Keeping;
  /** The comparison that is to be opened, while it is asked whether the open one, which nothing keeps, may be lost. */
  readonly asked: { readonly next: string; readonly open: string } | null;
}

/** Keeps one open comparison: saves it, holds drafts, and settles with what was changed elsewhere. */
class Keeper {
  readonly view = create<KeeperView>(() => ({ keeping: { state: 'closed' }, asked: null }));

  private open: Open | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private sending = false;
  /** What was let go of while a write of it was under way, as it stood then. */
  private behind: { readonly of: Open; readonly document: ComparisonDocument } | null = null;
  /** The comparison that is being opened. */
  private coming: { readonly id: string; readonly opened: Promise<void> } | null = null;
  /** Counts openings, so that a late answer to an earlier one is known. */
  private openings = 0;
  /** Whether the browser keeps what the server does not have yet. */
  private drafted = true;
  /** True while a document is put into the store that must not be sent back. */
  private loading = false;

  constructor(private readonly parts: KeeperParts) {
    parts.desk.subscribe((now, before) => this.changed(now, before));
  }

  private show(keeping: Keeping): void {
    this.view.setState({ keeping });
  }

  /**
   * Opens a comparison: the server's version, with changes that it did not get yet put on top. One that is open or
   * being opened is not opened again. Where the open one would be lost, it is asked first, and nothing is opened.
   */
  openComparison(id: string): Promise<void> {
    if (this.open && this.open.id !== id && this.wouldBeLost()) {
      this.view.setState({ asked: { next: id, open: this.open.id } });
      return Promise.resolve();
    }
    this.view.setState({ asked: null });
    if (this.open?.id === id) return Promise.resolve();
    if (this.coming?.id === id) return this.coming.opened;
    this.closeComparison();
    this.show({ state: 'opening' });
    const opened = this.openFromServer(id, ++this.openings).finally(() => {
      if (this.coming?.opened === opened) this.coming = null;
    });
    this.coming = { id, opened };
    return opened;
  }

  /** The answer that the open comparison may be lost: the one that was asked for is opened. */
  loseIt(): Promise<void> {
    const { asked } = this.view.getState();
    if (!asked) return Promise.resolve();
    this.closeComparison();
    return this.openComparison(asked.next);
  }

  private async openFromServer(id: string, opening: number): Promise<void> {
    const [reply] = await Promise.all([this.parts.server.read(id), this.parts.tab.claim()]);
    const draft = await this.ownDraft(id, await this.parts.tab.living());
    if (opening !== this.openings) return;
    if (!reply.ok) {
      if (reply.code !== UNREACHABLE || !draft) {
        this.show({ state: 'missing', code: reply.code, detail: reply.detail });
        return;
      }
      this.begin({ id, version: draft.version, base: draft.base }, draft.document);
      this.show({ state: 'waiting', detail: reply.detail, drafted: this.drafted });
      this.schedule(RETRY);
      return;
    }
    const { version, document } = reply.value;
    if (!draft || sameValue(draft.document, document)) {
      this.parts.drafts.drop(this.placeOf(id));
      this.begin({ id, version, base: document }, document);
      this.show({ state: 'kept', at: reply.value.updatedAt });
      return;
    }
    this.begin({ id, version: draft.version, base: draft.base }, draft.document);
    if (version === draft.version) this.schedule(0);
    else this.settle(reply.value);
  }

  private placeOf(id: string): DraftPlace {
    return { id, tab: this.parts.tab.own() };
  }

  /** This tab's draft; without one, the latest that a closed tab left, which becomes its own. */
  private async ownDraft(id: string, living: ReadonlySet<string>) {
    const own = await this.parts.drafts.read(this.placeOf(id));
    if (own) return own;
    const [latest] = await this.parts.drafts.left(living, id);
    if (latest) await this.parts.drafts.take(latest, this.parts.tab.own());
    return this.parts.drafts.read(this.placeOf(id));
  }

  private begin(opened: Open, document: ComparisonDocument): void {
    this.open = opened;
    this.put(document);
  }

  private put(document: ComparisonDocument): void {
    this.loading = true;
    this.parts.desk.open(document, this.open?.id ?? '');
    this.loading = false;
  }

  /**
   * Lets go of the open comparison. What was not sent yet is sent now, and stays as a draft where that
   * fails.
   */
  closeComparison(): void {
    clearTimeout(this.timer);
    const { state } = this.view.getState().keeping;
    if (this.open && (state === 'keeping' || state === 'waiting')) {
      if (this.sending) this.behind = { of: this.open, document: this.parts.desk.document() };
      else this.sendLast(this.open);
    }
    this.open = null;
    this.coming = null;
    this.openings++;
    this.show({ state: 'closed' });
  }

  private sendLast({ id, version }: Open, document = this.parts.desk.document()): void {
    void this.parts.server.update(id, version, document).then((reply) => {
      if (reply.ok && this.open?.id !== id) this.parts.drafts.drop(this.placeOf(id));
    });
  }

  private changed(state: Desk, before: Desk): void {
    if (this.loading || !this.open) return;
    const isSame =
      state.content === before.content &&
      state.progress === before.progress &&
      state.checks === before.checks;
    if (isSame) return;
    const { version, base } = this.open;
    const at = new Date().toISOString();
    this.drafted = this.parts.drafts.keep(this.placeOf(this.open.id), {
      version,
      base,
      document: this.parts.desk.document(),
      at,
    });
    const { keeping } = this.view.getState();
    if (keeping.state === 'conflict') return;
    if (keeping.state === 'waiting') this.show({ ...keeping, drafted: this.drafted });
    else this.show({ state: 'keeping', drafted: this.drafted });
    this.schedule(DELAY);
  }

  private schedule(delay: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.send(), delay);
  }

  private async send(): Promise<void> {
    if (!this.open || this.sending) return;
    const target = this.open;
    const document = this.parts.desk.document();
    this.sending = true;
    const reply = await this.parts.server.update(target.id, target.version, document);
    this.sending = false;
    if (this.open !== target) {
      this.sendBehind(target, reply);
      return this.keepNow();
    }
    if (reply.ok) this.saved(target, reply.value);
    else this.refused(reply);
  }

  /** Sends what was changed during a write that was under way when its comparison was let go of. */
  private sendBehind(target: Open, reply: Reply<Stored>): void {
    const { behind } = this;
    if (behind?.of !== target) return;
    this.behind = null;
    const version = reply.ok ? reply.value.version : target.version;
    const isSame = reply.ok && sameValue(reply.value.document, behind.document);
    if (!isSame) this.sendLast({ ...target, version }, behind.document);
  }

  private saved(target: Open, stored: Stored): void {
    target.version = stored.version;
    target.base = stored.document;
    if (!sameValue(this.parts.desk.document(), stored.document)) return this.schedule(0);
    this.parts.drafts.drop(this.placeOf(target.id));
    this.show({ state: 'kept', at: stored.updatedAt });
  }

  private refused(reply: Extract<Reply<Stored>, { ok: false }>): void {
    if (reply.code === 'comparison-stale' && reply.current) return this.settle(reply.current);
    this.show({ state: 'waiting', detail: reply.detail, drafted: this.drafted });
    this.schedule(RETRY);
  }

  /**
   * The server has another version. Where only progress differs on one of the two sides, the other
   * side's choices are taken; where both chose differently, both versions are offered.
   */
  private settle(theirs: Stored): void {
    if (!this.open) return;
    const [base, mine, other] = [this.open.base, this.parts.desk.document(), theirs.document].map(
      chosenIn,
    );
    if (sameValue(other, base) || sameValue(other, mine)) {
      this.open.version = theirs.version;
      this.open.base = theirs.document;
      this.schedule(0);
    } else if (sameValue(mine, base)) this.takeOver(theirs);
    else this.show({ state: 'conflict', theirs });
  }

  /** Goes on from the server's version. */
  private takeOver(theirs: Stored): void {
    if (!this.open) return;
    this.open.version = theirs.version;
    this.open.base = theirs.document;
    this.parts.drafts.drop(this.placeOf(this.open.id));
    this.put(theirs.document);
    this.show({ state: 'kept', at: theirs.updatedAt });
  }

  /** Ends a conflict: `mine` replaces the server's version, `theirs` replaces this one, `both` keeps this one as a copy. */
  async resolveConflict(choice: 'mine' | 'theirs' | 'both'): Promise<void> {
    const { keeping } = this.view.getState();
    if (keeping.state !== 'conflict' || !this.open) return;
    const { theirs } = keeping;
    const mine = this.parts.desk.document();
    if (choice === 'both') {
      const title = titleWith(mine.title, 'other version');
      const copy = await this.parts.server.create({ ...mine, title });
      if (!copy.ok) return this.show({ state: 'conflict', theirs, fault: copy.detail });
    }
    if (choice !== 'mine') return this.takeOver(theirs);
    this.open.version = theirs.version;
    this.open.base = theirs.document;
    this.show({ state: 'keeping', drafted: this.drafted });
    this.schedule(0);
  }

  /** Sends at once what waits to be sent. */
  keepNow(): void {
    const { state } = this.view.getState().keeping;
    if (state === 'keeping' || state === 'waiting') this.schedule(0);
  }

  /** Whether something would be lost if the page were closed now: neither the server has it nor the browser. */
  wouldBeLost(): boolean {
    const { state } = this.view.getState().keeping;
    return (state === 'keeping' || state === 'waiting' || state === 'conflict') && !this.drafted;
  }

  /**
   * The page is about to go: what waits is sent now and goes on being sent without the page. Behind a request
   * that is still under way it names the version that that one will have made.
   */
  sendBeforeLeaving(): void {
    const { state } = this.view.getState().keeping;
    if (!this.open || (state !== 'keeping' && state !== 'waiting')) return;
    const { id, version } = this.open;
    void this.parts.server.update(
      id,
      this.sending ? version + 1 : version,
      this.parts.desk.document(),
    );
  }
}

/** A keeper of its own, of these parts. */
export function makeKeeper(parts: KeeperParts) {
  const keeper = new Keeper(parts);
  return {
    view: keeper.view,
    openComparison: (id: string) => keeper.openComparison(id),
    loseIt: () => keeper.loseIt(),
    closeComparison: () => keeper.closeComparison(),
    resolveConflict: (choice: 'mine' | 'theirs' | 'both') => keeper.resolveConflict(choice),
    keepNow: () => keeper.keepNow(),
    wouldBeLost: () => keeper.wouldBeLost(),
    sendBeforeLeaving: () => keeper.sendBeforeLeaving(),
  };
}
