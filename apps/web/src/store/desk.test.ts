import { MAX_CHECKS, type CheckRecord } from '@levee/core';
import { documentWith, stepAll } from '../testing/scene.ts';
import {
  currentDocument,
  dispatch,
  history,
  openDocument,
  useComparison,
} from './comparison-store.ts';
import {
  withAnotherPaper,
  withProblem,
  withSchool,
  problemOf,
  withSwappedOperands,
} from './content.ts';
import { changed, forgotten, hasRoom, hopped, laidInPlace, putAway, recorded } from './edits.ts';
import { pin, resetSession, useSession } from './session-store.ts';

const METHODS = ['column-multiplication', 'grid-multiplication', 'lattice'];
const ids = () => useComparison.getState().content.papers.map(({ id }) => id);
const steps = () => currentDocument().steps;

beforeEach(() => {
  openDocument(documentWith('46 × 58', METHODS));
  resetSession();
});

describe('papers', () => {
  it('come back where they were when one is put away and undone', () => {
    stepAll(3, 2, 1);
    dispatch(putAway('p2'));
    expect(steps()).toEqual({ p1: 3, p3: 1 });
    history().undo();
    expect(steps()).toEqual({ p1: 3, p2: 2, p3: 1 });
    history().redo();
    expect(steps()).toEqual({ p1: 3, p3: 1 });
  });

  it('are never named as one that undo may bring back', () => {
    dispatch(changed(withAnotherPaper));
    dispatch(putAway('p4'));
    dispatch(changed(withAnotherPaper));
    expect(ids()).toEqual(['p1', 'p2', 'p3', 'p5']);
  });

  it('are other papers under another method or computation, and are back with undo', () => {
    stepAll(3, 2, 1);
    dispatch(laidInPlace('p2', 'partial-products'));
    expect(ids()).toEqual(['p1', 'p4', 'p3']);
    expect(steps()).toEqual({ p1: 3, p4: 0, p3: 1 });
    dispatch(changed(withSwappedOperands));
    expect(Object.values(steps())).toEqual([0, 0, 0]);
    history().undo();
    history().undo();
    expect(steps()).toEqual({ p1: 3, p2: 2, p3: 1 });
  });

  it('stay the same paper in another school, as far as they were', () => {
    stepAll(3, 2, 1);
    dispatch(changed((content) => withSchool(content, 'p1', 'carries', 'below')));
    expect(steps()).toEqual({ p1: 3, p2: 2, p3: 1 });
  });

  it('go to the last hop that was chosen', () => {
    openDocument(documentWith('642 − 387', ['decomposition', 'counting-up']));
    dispatch(hopped('p2', ['13', '200']));
    expect(steps()).toEqual({ p1: 0, p2: 2 });
    expect(history().pastStates).toHaveLength(1);
  });
});

describe('pointing', () => {
  const pointed = () => useSession.getState().pointed;

  it('stays while its paper is worked as it was, whatever is laid beside it', () => {
    pin({ kind: 'entry', paper: 'p1', id: 'm1' as never });
    dispatch(putAway('p3'));
    dispatch(changed((content) => ({ ...content, title: 'Sandbags' })));
    expect(pointed()).toMatchObject({ paper: 'p1' });
    dispatch(changed((content) => withSchool(content, 'p1', 'carries', 'below')));
    expect(pointed()).toBeNull();
  });

  it('ends with its paper, and with its computation', () => {
    pin({ kind: 'entry', paper: 'p2', id: 'm1' as never });
    dispatch(putAway('p2'));
    expect(useSession.getState()).toMatchObject({ pointed: null, pinned: false });
    pin({ kind: 'entry', paper: 'p1', id: 'm1' as never });
    dispatch(changed((content) => withProblem(content, problemOf({ problem: '7 × 8' }))));
    expect(pointed()).toBeNull();
  });
});

describe('the log of checks', () => {
  const check = (problem: string): CheckRecord => ({
    check: 'inverse',
    problem,
    method: 'lattice',
    against: '',
    outcome: 'agrees',
    at: '2026-01-31T09:00:00.000Z',
  });

  it('is no matter for undo, and stays with another computation', () => {
    dispatch(changed((content) => ({ ...content, title: 'Sandbags' })));
    dispatch(recorded(check('46 × 58')));
    history().undo();
    dispatch(changed(withSwappedOperands));
    expect(currentDocument()).toMatchObject({
      title: '',
      problem: '58 × 46',
      checks: [{ problem: '46 × 58' }],
    });
  });

  it('drops nothing when it is full, and has room again when a record is deleted', () => {
    const many = Array.from({ length: MAX_CHECKS }, (_, k) => check(`${k + 1} × 2`));
    for (const one of many) dispatch(recorded(one));
    expect(hasRoom(currentDocument().checks)).toBe(false);
    dispatch(recorded(check('9 × 9')));
    expect(currentDocument().checks).toEqual(many);
    dispatch(forgotten(many[3]!));
    expect(hasRoom(currentDocument().checks)).toBe(true);
    expect(currentDocument().checks).toEqual(many.filter((_, k) => k !== 3));
  });
});
