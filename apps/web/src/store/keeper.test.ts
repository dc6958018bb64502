/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import type { ComparisonDocument } from '@levee/core';
import type { Stored } from '../api/client.ts';
import { currentDocument, dispatch, history } from './comparison-store.ts';
import { changed, stepped } from './edits.ts';
import { freshDocument } from './content.ts';
import { deskOf, type Desk } from './desk.ts';
import { keepDraft, readDraft } from './drafts.ts';
import { type Draft } from './draft.ts';
import {
  closeComparison,
  loseIt,
  openComparison,
  resolveConflict,
  sendBeforeLeaving,
  useKeeping,
  wouldBeLost,
} from './keeping.ts';
import { makeKeeper } from './keeper.ts';
import { discard, keepAsCopy, settleLeftDrafts, useLeft } from './left-drafts.ts';
import { ownTab } from './tab.ts';

/** A server in memory with one comparison; `down` makes it unreachable. */
class FakeServer {
  stored: Stored;
  down = false;
  /** Holds back the answers to writes until it is settled. */
  slow: Promise<undefined> | null = null;
  readonly created: ComparisonDocument[] = [];
  /** How often the comparison was read. */
  reads = 0;

  constructor(document: ComparisonDocument) {
    this.stored = {
      id: 'one',
      version: 1,
      createdAt: '',
      updatedAt: '',
      title: '',
      problem: '',
      document,
      unreadable: null,
    };
  }

  readonly fetch = async (path: string, { method, body }: RequestInit = {}): Promise<Response> => {
    if (this.down) throw new TypeError('unreachable');
    const sent = JSON.parse(String(body ?? '{}')) as {
      version: number;
      document: ComparisonDocument;
    };
    if (method === 'POST') {
      this.created.push(sent.document);
      return this.answer(201, { ...this.stored, id: 'copy', document: sent.document });
    }
    if (!path.endsWith('/one'))
      return this.answer(404, { code: 'comparison-unknown', detail: 'gone' });
    if (method === 'PUT') {
      if (sent.version !== this.stored.version) {
        return this.answer(409, { code: 'comparison-stale', detail: '', current: this.stored });
      }
      this.write(sent.document);
      const { stored } = this;
      await this.slow;
      return this.answer(200, stored);
    }
    this.reads++;
    return this.answer(200, this.stored);
  };

  /** Somebody else changes the comparison, or this one is written. */
  write(document: ComparisonDocument): void {
    this.stored = { ...this.stored, version: this.stored.version + 1, document };
  }

  private answer(status: number, body: unknown): Response {
    return {
      ok: status < 400,
      status,
      text: async () => JSON.stringify(body),
    } as unknown as Response;
  }
}

let server: FakeServer;
const start = freshDocument();

beforeEach(async () => {
  jest.useFakeTimers();
  localStorage.clear();
  server = new FakeServer(start);
  globalThis.fetch = server.fetch as typeof fetch;
  await openComparison('one');
});

afterEach(() => {
  closeComparison();
  jest.useRealTimers();
});

/** Where this tab keeps its draft. */
const own = () => ({ id: 'one', tab: ownTab() });
/** Where a tab that is closed kept one. */
const closed = { id: 'one', tab: 'closed-tab' };

const state = () => useKeeping.getState().keeping.state;
const settle = () => jest.advanceTimersByTimeAsync(10_000);
const retitle = (title: string) => dispatch(changed((content) => ({ ...content, title })));

describe('keeping', () => {
  it('sends what was changed during a slow write, though another comparison is opened meanwhile', async () => {
    let settled: (value: undefined) => void = () => undefined;
    server.slow = new Promise((resolve) => (settled = resolve));
    retitle('a');
    await jest.advanceTimersByTimeAsync(600);
    retitle('ab');
    void openComparison('other');
    server.slow = null;
    settled(undefined);
    await settle();
    expect(server.stored.document.title).toBe('ab');
  });

  describe('where neither the server nor the browser keeps an edit', () => {
    beforeEach(() => {
      jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
        throw new DOMException('full', 'QuotaExceededError');
      });
      server.down = true;
      retitle('nowhere');
    });
    afterEach(() => jest.restoreAllMocks());

    it('asks before another comparison takes its place, and opens nothing', async () => {
      await settle();
      expect([state(), wouldBeLost()]).toEqual(['waiting', true]);
      await openComparison('other');
      expect(useKeeping.getState().asked).toEqual({ next: 'other', open: 'one' });
      expect(currentDocument().title).toBe('nowhere');
      await openComparison('one');
      expect([useKeeping.getState().asked, currentDocument().title]).toEqual([null, 'nowhere']);
      server.down = false;
      await settle();
      expect(server.stored.document.title).toBe('nowhere');
    });

    it('lets go of it where that is the answer', async () => {
      await openComparison('other');
      await loseIt();
      expect([state(), useKeeping.getState().asked]).toEqual(['missing', null]);
    });

    it('counts a conflict that stands open', async () => {
      server.down = false;
      server.write({ ...start, title: 'theirs' });
      await settle();
      expect([state(), wouldBeLost()]).toEqual(['conflict', true]);
    });
  });

  it('sends a change after a moment, and one request for many changes', async () => {
    expect(state()).toBe('kept');
    retitle('a');
    retitle('ab');
    expect(state()).toBe('keeping');
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored).toMatchObject({ version: 2, document: { title: 'ab' } });
    expect(await readDraft(own())).toBeNull();
  });

  it('is not kept while a change made under way waits, and sends that too', async () => {
    let answer: (value?: undefined) => void = () => undefined;
    server.slow = new Promise((resolve) => (answer = resolve));
    retitle('first');
    await jest.advanceTimersByTimeAsync(500);
    retitle('second');
    const first = answer;
    server.slow = new Promise((resolve) => (answer = resolve));
    first();
    await jest.advanceTimersByTimeAsync(0);
    expect([state(), (await readDraft(own()))?.document.title]).toEqual(['keeping', 'second']);
    expect(server.stored.document.title).toBe('second');
    answer();
    await settle();
    expect([state(), await readDraft(own())]).toEqual(['kept', null]);
  });

  it('keeps progress too, but undo does not go through it', async () => {
    dispatch(stepped({ p1: 1, p2: 1, p3: 1 }));
    await settle();
    expect(server.stored.document.steps).toEqual({ p1: 1, p2: 1, p3: 1 });
    expect(history().pastStates).toHaveLength(0);
    retitle('x');
    dispatch(stepped({ p1: 2, p2: 2, p3: 2 }));
    history().undo();
    expect(currentDocument()).toMatchObject({ title: '', steps: { p1: 2, p2: 2, p3: 2 } });
    history().redo();
    expect(currentDocument()).toMatchObject({ title: 'x', steps: { p1: 2, p2: 2, p3: 2 } });
  });

  it('goes on when the server was away for a while', async () => {
    server.down = true;
    retitle('while away');
    await settle();
    expect(state()).toBe('waiting');
    expect((await readDraft(own()))?.document.title).toBe('while away');
    server.down = false;
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored.document.title).toBe('while away');
  });

  it('brings back after a reload what the server did not get', async () => {
    server.down = true;
    retitle('not sent');
    await settle();
    closeComparison();
    server.down = false;
    await openComparison('one');
    expect(currentDocument().title).toBe('not sent');
    await settle();
    expect(server.stored.document.title).toBe('not sent');
  });

  it('sends at once what waits when another comparison is opened', async () => {
    retitle('in a hurry');
    closeComparison();
    await settle();
    expect(server.stored).toMatchObject({ version: 2, document: { title: 'in a hurry' } });
    expect(await readDraft(own())).toBeNull();
  });

  it('opens from the draft while the server is away', async () => {
    closeComparison();
    const document = { ...start, title: 'offline' };
    keepDraft(own(), { version: 1, base: start, document, at: '' });
    server.down = true;
    await openComparison('one');
    expect(state()).toBe('waiting');
    expect(currentDocument().title).toBe('offline');
  });

  it('says when there is no such comparison', async () => {
    await openComparison('two');
    expect(useKeeping.getState().keeping).toEqual({
      state: 'missing',
      code: 'comparison-unknown',
      detail: 'gone',
    });
  });

  it('goes by the last comparison that was asked for, whatever answers first', async () => {
    const first = openComparison('two');
    const second = openComparison('one');
    await Promise.all([first, second]);
    expect(state()).toBe('kept');
    closeComparison();
    const late = openComparison('one');
    closeComparison();
    await late;
    expect(state()).toBe('closed');
  });

  it('asks once for a comparison that is being opened already', async () => {
    closeComparison();
    const asked = server.reads;
    await Promise.all([openComparison('one'), openComparison('one')]);
    await openComparison('one');
    expect(server.reads).toBe(asked + 1);
    expect(state()).toBe('kept');
  });

  it('ignores drafts that cannot be read', async () => {
    localStorage.setItem(`levee.draft.one/${ownTab()}`, '{"version":1,"document":{}}');
    expect(await readDraft(own())).toBeNull();
    localStorage.setItem(`levee.draft.one/${ownTab()}`, 'not JSON');
    expect(await readDraft(own())).toBeNull();
  });
});

describe('a change made elsewhere', () => {
  it('does not matter when it is only progress', async () => {
    server.write({ ...start, steps: { p1: 2, p2: 2, p3: 2 } });
    retitle('mine');
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored).toMatchObject({ version: 3, document: { title: 'mine' } });
  });

  it('does not matter when it is the same change', async () => {
    server.write({ ...start, title: 'alike', steps: { p1: 1, p2: 1, p3: 1 } });
    retitle('alike');
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored).toMatchObject({ version: 3, document: { title: 'alike' } });
  });

  it('is taken when here only progress changed', async () => {
    server.write({ ...start, title: 'theirs' });
    dispatch(stepped({ p1: 1, p2: 1, p3: 1 }));
    await settle();
    expect(state()).toBe('kept');
    expect(currentDocument().title).toBe('theirs');
  });

  const conflict = async () => {
    server.write({ ...start, title: 'theirs' });
    retitle('mine');
    await settle();
    expect(state()).toBe('conflict');
    expect(server.stored.document.title).toBe('theirs');
  };

  it('is offered beside this one; this one can win', async () => {
    await conflict();
    await resolveConflict('mine');
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored).toMatchObject({ version: 3, document: { title: 'mine' } });
  });

  it('can win', async () => {
    await conflict();
    await resolveConflict('theirs');
    expect(currentDocument().title).toBe('theirs');
    await settle();
    expect(server.stored.version).toBe(2);
    expect(await readDraft(own())).toBeNull();
  });

  it('can win with this one kept as a copy', async () => {
    await conflict();
    await resolveConflict('both');
    expect(server.created.map(({ title }) => title)).toEqual(['mine (other version)']);
    expect(currentDocument().title).toBe('theirs');
  });

  it('stays offered when the copy cannot be kept', async () => {
    await conflict();
    server.down = true;
    await resolveConflict('both');
    expect(useKeeping.getState().keeping).toMatchObject({
      state: 'conflict',
      fault: 'The server does not answer.',
    });
    expect(currentDocument().title).toBe('mine');
  });

  it('stays offered after a reload', async () => {
    await conflict();
    closeComparison();
    await openComparison('one');
    expect(state()).toBe('conflict');
    expect(currentDocument().title).toBe('mine');
  });
});

describe('drafts of several tabs', () => {
  const draft = (title: string, version = 1): Draft => ({
    version,
    base: start,
    document: { ...start, title },
    at: '2026-01-31T09:00:00.000Z',
  });

  it('are kept apart: what another tab keeps stays when this one is sent', async () => {
    const living = { id: 'one', tab: 'another-tab' };
    keepDraft(living, draft('of the other tab'));
    retitle('of this tab');
    await settle();
    expect(server.stored.document.title).toBe('of this tab');
    expect(await readDraft(own())).toBeNull();
    expect((await readDraft(living))?.document.title).toBe('of the other tab');
  });

  it('that a closed tab left are taken over when the comparison is opened', async () => {
    closeComparison();
    keepDraft(closed, draft('left behind'));
    await openComparison('one');
    await settle();
    expect(server.stored.document.title).toBe('left behind');
    expect(await readDraft(closed)).toBeNull();
    expect(await readDraft(own())).toBeNull();
  });

  it('of an earlier version of Levee are found too', async () => {
    closeComparison();
    localStorage.setItem('levee.draft.one', JSON.stringify(draft('from before')));
    await openComparison('one');
    expect(currentDocument().title).toBe('from before');
    expect(localStorage.getItem('levee.draft.one')).toBeNull();
  });

  it('that were left are sent at the start, without opening anything', async () => {
    closeComparison();
    keepDraft(closed, draft('left behind'));
    await settleLeftDrafts(null);
    expect(server.stored).toMatchObject({ version: 2, document: { title: 'left behind' } });
    expect(await readDraft(closed)).toBeNull();
    expect(useLeft.getState().left).toEqual([]);
  });

  it('that were left are dropped where the server has the same', async () => {
    closeComparison();
    server.write({ ...start, title: 'left behind' });
    keepDraft(closed, draft('left behind'));
    await settleLeftDrafts(null);
    expect(await readDraft(closed)).toBeNull();
    expect(server.stored.version).toBe(2);
  });

  it('that were left to another version are offered, and nothing is dropped by itself', async () => {
    closeComparison();
    server.write({ ...start, title: 'theirs' });
    keepDraft(closed, draft('left behind'));
    await settleLeftDrafts(null);
    const [left] = useLeft.getState().left;
    expect(left).toMatchObject({ why: 'changed-elsewhere', tab: 'closed-tab' });
    expect((await readDraft(closed))?.document.title).toBe('left behind');
    expect(await keepAsCopy(left!)).toBeNull();
    expect(server.created.map(({ title }) => title)).toEqual(['left behind (not kept before)']);
    expect(await readDraft(closed)).toBeNull();
    expect(useLeft.getState().left).toEqual([]);
  });

  it('of a comparison that is gone are offered, and can be let go', async () => {
    closeComparison();
    keepDraft({ ...closed, id: 'gone' }, draft('orphan'));
    await settleLeftDrafts(null);
    const [left] = useLeft.getState().left;
    expect(left).toMatchObject({ why: 'gone' });
    discard(left!);
    expect(await readDraft({ ...closed, id: 'gone' })).toBeNull();
  });

  it('stay where they are while the server does not answer', async () => {
    closeComparison();
    server.down = true;
    keepDraft(closed, draft('left behind'));
    await settleLeftDrafts(null);
    expect((await readDraft(closed))?.document.title).toBe('left behind');
  });
});

describe('a browser that keeps nothing', () => {
  const full = () =>
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });

  it('is said by the mark, and leaving is asked about until the server has the change', async () => {
    const store = full();
    server.down = true;
    retitle('nowhere');
    expect(useKeeping.getState().keeping).toMatchObject({ state: 'keeping', drafted: false });
    await settle();
    expect(useKeeping.getState().keeping).toMatchObject({ state: 'waiting', drafted: false });
    expect(wouldBeLost()).toBe(true);
    server.down = false;
    await settle();
    expect(state()).toBe('kept');
    expect(wouldBeLost()).toBe(false);
    expect(server.stored.document.title).toBe('nowhere');
    store.mockRestore();
  });

  it('opens a comparison all the same', async () => {
    const forbidden = jest.spyOn(window, 'localStorage', 'get').mockImplementation(() => {
      throw new DOMException('forbidden', 'SecurityError');
    });
    closeComparison();
    await openComparison('one');
    expect(state()).toBe('kept');
    forbidden.mockRestore();
  });
});

describe('leaving the page', () => {
  it('sends at once what waits', async () => {
    retitle('last words');
    sendBeforeLeaving();
    await jest.advanceTimersByTimeAsync(0);
    expect(server.stored).toMatchObject({ version: 2, document: { title: 'last words' } });
  });

  it('names the version that a request under way will have made', async () => {
    let answer: (value?: undefined) => void = () => undefined;
    server.slow = new Promise((resolve) => (answer = resolve));
    retitle('first');
    await jest.advanceTimersByTimeAsync(500);
    expect(server.stored).toMatchObject({ version: 2, document: { title: 'first' } });
    retitle('second');
    sendBeforeLeaving();
    await jest.advanceTimersByTimeAsync(0);
    expect(server.stored).toMatchObject({ version: 3, document: { title: 'second' } });
    answer();
  });

  it('sends nothing when all is kept', async () => {
    sendBeforeLeaving();
    await jest.advanceTimersByTimeAsync(0);
    expect(server.stored.version).toBe(1);
  });
});

describe('a keeper of its own parts', () => {
  it('keeps its own document, whatever another one keeps', async () => {
    const kept: string[] = [];
    const make = (title: string) => {
      let document = { ...start, title };
      let changed: (now: Desk, before: Desk) => void = () => undefined;
      const stored = (version: number) =>
        ({
          id: title,
          version,
          createdAt: '',
          updatedAt: '',
          title,
          problem: document.problem,
          document,
          unreadable: null,
        }) as Stored;
      const made = makeKeeper({
        server: {
          read: () => Promise.resolve({ ok: true, value: stored(1) }),
          update: (id, version, sent) => {
            kept.push(`${id} ${version} ${sent.title}`);
            return Promise.resolve({ ok: true, value: { ...stored(version + 1), document: sent } });
          },
          create: () => Promise.reject(new Error('nothing is created')),
        },
        desk: {
          document: () => document,
          open: (opened) => (document = opened),
          subscribe: (tell) => {
            changed = tell;
            return () => undefined;
          },
        },
        drafts: {
          keep: () => true,
          drop: () => undefined,
          read: () => Promise.resolve(null),
          left: () => Promise.resolve([]),
          take: () => Promise.resolve(false),
        },
        tab: {
          own: () => title,
          claim: () => Promise.resolve(),
          living: () => Promise.resolve(new Set<string>()),
        },
      });
      const retitled = (to: string) => {
        const before = deskOf(document);
        document = { ...document, title: to };
        changed(deskOf(document), before);
      };
      return { made, retitled };
    };
    const [one, other] = [make('one'), make('other')];
    await Promise.all([one.made.openComparison('one'), other.made.openComparison('other')]);
    one.retitled('first');
    expect(one.made.view.getState().keeping.state).toBe('keeping');
    expect(other.made.view.getState().keeping.state).toBe('kept');
    await jest.advanceTimersByTimeAsync(1000);
    expect(kept).toEqual(['one 1 first']);
    expect(one.made.view.getState().keeping.state).toBe('kept');
  });
});
