import type { EntryId } from '@levee/core';
import { workedWith } from '../testing/scene.ts';
import { hover, pin, resetSession, samePointed, useSession } from './session-store.ts';

const entry = (paper: string, id: string) => ({ kind: 'entry', paper, id: id as EntryId }) as const;
const now = () => useSession.getState();

beforeEach(resetSession);

describe('pointing', () => {
  it('lasts as long as the pointer is there', () => {
    hover(entry('p1', 'm1'));
    expect(now()).toMatchObject({ pointed: { id: 'm1' }, pinned: false });
    hover(null);
    expect(now().pointed).toBeNull();
  });

  it('stays when it is pinned, until the same is pinned again', () => {
    pin(entry('p1', 'm1'));
    hover(entry('p1', 'm2'));
    hover(null);
    expect(now()).toMatchObject({ pointed: { id: 'm1' }, pinned: true });
    pin(entry('p2', 'm1'));
    expect(now()).toMatchObject({ pointed: { paper: 'p2' }, pinned: true });
    pin(entry('p2', 'm1'));
    expect(now()).toMatchObject({ pointed: null, pinned: false });
  });

  it('lets go where there is nothing', () => {
    pin(entry('p1', 'm1'));
    pin(null);
    expect(now()).toMatchObject({ pointed: null, pinned: false });
  });

  it('changes nothing while it stays on the same thing', () => {
    hover(entry('p1', 'm1'));
    const before = now();
    hover(entry('p1', 'm1'));
    expect(now()).toBe(before);
  });
});

describe('samePointed', () => {
  it('goes by the terms of the shared picture, not by their object', () => {
    const { papers } = workedWith();
    const [first, second] = papers[0]!.lane.trace.start.map(({ terms }) => terms);
    const again = papers[2]!.lane.trace.start[0]!.terms;
    expect(samePointed({ kind: 'terms', terms: first! }, { kind: 'terms', terms: again })).toBe(
      true,
    );
    expect(samePointed({ kind: 'terms', terms: first! }, { kind: 'terms', terms: second! })).toBe(
      false,
    );
    expect(samePointed({ kind: 'terms', terms: first! }, entry('p1', 'm1'))).toBe(false);
    expect(samePointed(entry('p1', 'm1'), { kind: 'group', paper: 'p1', id: 'm1' })).toBe(false);
    expect(samePointed(null, null)).toBe(true);
  });
});

describe('a new comparison', () => {
  it('begins with nothing pointed at, nothing large, nothing open', () => {
    useSession.setState({ active: 'p3', large: 'p2', playing: true, dialog: 'words' });
    pin(entry('p1', 'm1'));
    resetSession();
    expect(now()).toEqual({
      pointed: null,
      pinned: false,
      active: null,
      large: null,
      zoom: 1,
      playing: false,
      choosing: null,
      listing: null,
      dialog: null,
    });
  });
});
