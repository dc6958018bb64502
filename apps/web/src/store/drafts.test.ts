/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import { freshDocument } from './content.ts';
import { keepDraft, leftDrafts, readDraft, takeDraft } from './drafts.ts';
import { type Draft } from './draft.ts';

const draft = (at: string, title = at): Draft => ({
  version: 3,
  base: freshDocument(),
  document: { ...freshDocument(), title },
  at,
});

const [MORNING, NOON, NIGHT] = [
  '2026-02-03T07:00:00.000Z',
  '2026-02-03T12:00:00.000Z',
  '2026-02-03T22:00:00.000Z',
] as const;

beforeEach(() => {
  window.localStorage.clear();
  keepDraft({ id: 'a', tab: 'one' }, draft(MORNING));
  keepDraft({ id: 'b', tab: 'two' }, draft(NIGHT));
  keepDraft({ id: 'a', tab: 'three' }, draft(NOON));
});
afterEach(() => jest.restoreAllMocks());

const places = async (living: readonly string[], id?: string) =>
  (await leftDrafts(new Set(living), id)).map(({ id: of, tab }) => `${of}/${tab}`);

describe('drafts that were left', () => {
  it('are those of tabs that live no longer, the latest first', async () => {
    expect(await places([])).toEqual(['b/two', 'a/three', 'a/one']);
    expect(await places(['three'])).toEqual(['b/two', 'a/one']);
    expect(await places([], 'a')).toEqual(['a/three', 'a/one']);
  });

  it('are not those that cannot be read', async () => {
    window.localStorage.setItem('levee.draft.c/four', '{"version":');
    window.localStorage.setItem('levee.other', 'x');
    expect(await places([])).toEqual(['b/two', 'a/three', 'a/one']);
  });
});

describe('a left draft that is taken', () => {
  const own = { id: 'a', tab: 'mine' };

  it('is this tab’s own, and no longer left', async () => {
    expect(await takeDraft({ id: 'a', tab: 'one' }, 'mine')).toBe(true);
    expect((await readDraft(own))?.document.title).toBe(MORNING);
    expect(await places(['mine'], 'a')).toEqual(['a/three']);
  });

  it('never takes the place of one that this tab has', async () => {
    keepDraft(own, draft(NIGHT, 'mine'));
    expect(await takeDraft({ id: 'a', tab: 'one' }, 'mine')).toBe(false);
    expect((await readDraft(own))?.document.title).toBe('mine');
    expect(await places(['mine'], 'a')).toEqual(['a/three', 'a/one']);
  });

  it('stays where it is when the browser keeps no more', async () => {
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(await takeDraft({ id: 'a', tab: 'one' }, 'mine')).toBe(false);
    expect(await places(['mine'], 'a')).toEqual(['a/three', 'a/one']);
  });

  it('is none where there is none', async () => {
    expect(await takeDraft({ id: 'z', tab: 'one' }, 'mine')).toBe(false);
    expect(await readDraft({ id: 'z', tab: 'mine' })).toBeNull();
  });
});
