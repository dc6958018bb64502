/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import type { ComparisonDocument } from '@levee/core';
import type { Stored } from '../api/client.ts';
import { currentDocument, history, useComparison } from './comparison-store.ts';
import { freshDocument } from './content.ts';
import { keepDraft, readDraft } from './drafts.ts';
import { closeComparison, openComparison, resolveConflict, useKeeping } from './keeper.ts';

/** A server in memory with one comparison; `down` makes it unreachable. */
class FakeServer {
  stored: Stored;
  down = false;
  readonly created: ComparisonDocument[] = [];

  constructor(document: ComparisonDocument) {
    this.stored = { id: 'one', version: 1, createdAt: '', updatedAt: '', document };
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
    }
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

const state = () => useKeeping.getState().keeping.state;
const settle = () => jest.advanceTimersByTimeAsync(10_000);
const retitle = (title: string) =>
  useComparison.getState().change((content) => ({ ...content, title }));

describe('keeping', () => {
  it('sends a change after a moment, and one request for many changes', async () => {
    expect(state()).toBe('kept');
    retitle('a');
    retitle('ab');
    expect(state()).toBe('keeping');
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored).toMatchObject({ version: 2, document: { title: 'ab' } });
    expect(readDraft('one')).toBeNull();
  });

  it('keeps progress too, but undo does not go through it', async () => {
    useComparison.getState().setSteps([1, 1, 1]);
    await settle();
    expect(server.stored.document.steps).toEqual([1, 1, 1]);
    expect(history().pastStates).toHaveLength(0);
    retitle('x');
    history().undo();
    expect(currentDocument()).toMatchObject({ title: '', steps: [1, 1, 1] });
  });

  it('goes on when the server was away for a while', async () => {
    server.down = true;
    retitle('while away');
    await settle();
    expect(state()).toBe('waiting');
    expect(readDraft('one')?.document.title).toBe('while away');
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
    expect(readDraft('one')).toBeNull();
  });

  it('opens from the draft while the server is away', async () => {
    closeComparison();
    const document = { ...start, title: 'offline' };
    keepDraft('one', { version: 1, base: start, document });
    server.down = true;
    await openComparison('one');
    expect(state()).toBe('waiting');
    expect(currentDocument().title).toBe('offline');
  });

  it('says when there is no such comparison', async () => {
    await openComparison('two');
    expect(useKeeping.getState().keeping).toEqual({ state: 'missing', detail: 'gone' });
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

  it('ignores drafts that cannot be read', () => {
    localStorage.setItem('levee.draft.one', '{"version":1,"document":{}}');
    expect(readDraft('one')).toBeNull();
    localStorage.setItem('levee.draft.one', 'not JSON');
    expect(readDraft('one')).toBeNull();
  });
});

describe('a change made elsewhere', () => {
  it('does not matter when it is only progress', async () => {
    server.write({ ...start, steps: [2, 2, 2] });
    retitle('mine');
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored).toMatchObject({ version: 3, document: { title: 'mine' } });
  });

  it('does not matter when it is the same change', async () => {
    server.write({ ...start, title: 'alike', steps: [1, 1, 1] });
    retitle('alike');
    await settle();
    expect(state()).toBe('kept');
    expect(server.stored).toMatchObject({ version: 3, document: { title: 'alike' } });
  });

  it('is taken when here only progress changed', async () => {
    server.write({ ...start, title: 'theirs' });
    useComparison.getState().setSteps([1, 1, 1]);
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
    expect(readDraft('one')).toBeNull();
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
