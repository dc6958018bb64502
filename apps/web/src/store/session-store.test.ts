import { MOST_FRAMED, type EntryId } from '@levee/core';
import { workedWith } from '../testing/scene.ts';
import {
  enterComparison,
  hover,
  pin,
  resetSession,
  samePointed,
  toggleFrame,
  unframe,
  useSession,
  whyNoFrame,
} from './session-store.ts';

const entry = (paper: string, id: string) => ({ kind: 'entry', paper, id: id as EntryId }) as const;
const now = () => useSession.getState();

beforeEach(resetSession);

describe('entering a view', () => {
  it('takes along what is held and framed, to views of the same comparison alone', () => {
    const held = entry('p1', 'm1');
    enterComparison('one');
    pin(held);
    toggleFrame(held);
    useSession.setState({ playing: true, large: 'p1' });
    enterComparison('one');
    expect(useSession.getState()).toMatchObject({
      pointed: held,
      pinned: true,
      framed: [{ number: 1, at: held }],
      playing: false,
      large: null,
    });
    enterComparison('two');
    expect(useSession.getState()).toMatchObject({ pointed: null, pinned: false, framed: [] });
  });
});

describe('framed amounts', () => {
  const at = (k: number) => entry('p1', `m${k}`);
  const numbers = () =>
    useSession
      .getState()
      .framed.map(({ number, at: own }) => [number, own.kind === 'entry' && own.id]);

  it('have the least free number, and lose it when framed again', () => {
    for (const k of [1, 2, 3]) toggleFrame(at(k));
    toggleFrame(at(2));
    expect(numbers()).toEqual([
      [1, 'm1'],
      [3, 'm3'],
    ]);
    toggleFrame(at(4));
    expect(numbers()).toEqual([
      [1, 'm1'],
      [3, 'm3'],
      [2, 'm4'],
    ]);
    unframe(1);
    expect(numbers()).toEqual([
      [3, 'm3'],
      [2, 'm4'],
    ]);
  });

  it('are as many as there are textures', () => {
    for (let k = 1; k <= MOST_FRAMED + 2; k++) toggleFrame(at(k));
    expect(useSession.getState().framed).toHaveLength(MOST_FRAMED);
    pin(at(MOST_FRAMED + 2));
    expect(whyNoFrame()).toBe('6 amounts are framed already; take one away first.');
    pin(at(2));
    expect(whyNoFrame()).toBeNull();
  });
});

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
      of: null,
      pointed: null,
      pinned: false,
      framed: [],
      active: null,
      large: null,
      zoom: 1,
      playing: false,
      choosing: null,
      listing: null,
      typing: null,
      dialog: null,
    });
  });
});
