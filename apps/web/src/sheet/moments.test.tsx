/** @jest-environment jsdom */
import { UNLIT } from '../worked/lit.ts';
import { markState, PLAIN_NOTATION } from '@levee/core';
import fc from 'fast-check';
import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { workedWith } from '../testing/scene.ts';
import type { Paper } from '../worked/work.ts';
import { changedBetween, stateAt } from './moments.ts';
import { SheetView } from './sheet-view.tsx';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

const worked = workedWith('406 × 58', [
  'column-multiplication',
  'grid-multiplication',
  'lattice',
  'partial-products',
]);

function allIds({ lane: { trace } }: Paper) {
  return [
    ...trace.givens.map(({ id }) => id),
    ...trace.start.map(({ id }) => id),
    ...trace.steps.flatMap((step) => step.gives.map(({ id }) => id)),
  ];
}

describe('changedBetween', () => {
  it('names everything whose state differs between two moments', () => {
    const moments = fc.tuple(
      fc.constantFrom(...worked.papers),
      fc.nat({ max: 14 }),
      fc.nat({ max: 14 }),
    );
    fc.assert(
      fc.property(moments, ([paper, a, b]) => {
        const [from, to] = [Math.min(a, paper.last), Math.min(b, paper.last)];
        const changed = changedBetween(paper, from, to);
        for (const id of allIds(paper)) {
          if (stateAt(paper, id, from) !== stateAt(paper, id, to)) {
            expect([id, changed.has(id)]).toEqual([id, true]);
          }
        }
      }),
      { numRuns: 300 },
    );
  });

  it('names little for one step', () => {
    expect(changedBetween(worked.papers[2]!, 3, 4).size).toBeLessThan(10);
  });
});

describe('SheetView', () => {
  let root: Root;
  let host: HTMLElement;

  beforeEach(() => {
    host = document.createElement('div');
    root = createRoot(host);
  });

  afterEach(() => act(() => root.unmount()));

  const show = (paper: Paper, step: number, notches = true) =>
    act(() =>
      root.render(
        <SheetView
          paper={paper}
          step={step}
          lit={UNLIT}
          notation={PLAIN_NOTATION}
          notes
          notches={notches}
          square={20}
          label="paper"
        />,
      ),
    );

  const states = () =>
    new Map(
      [...host.querySelectorAll('.figure')].map((node) => [
        node.getAttribute('data-entry'),
        node.getAttribute('data-state'),
      ]),
    );

  it('shows every moment as the timeline has it, on the way there and back', () => {
    const paper = worked.papers[0]!;
    for (const step of [0, 1, 5, 4, paper.last, 2, 0]) {
      show(paper, step);
      for (const [id, state] of states()) {
        const given = paper.givens.has(id as never);
        expect(state).toBe(given ? 'given' : markState(paper.line, id as never, step));
      }
    }
  });

  it('starts anew with another paper', () => {
    show(worked.papers[0]!, 3);
    const paper = worked.papers[2]!;
    show(paper, paper.last);
    expect([...states().keys()]).toEqual(paper.drawing.figures.map(({ entry }) => entry));
    expect([...states().values()].filter((state) => state === null)).toEqual([]);
  });

  it('keeps its moment when notches come and go', () => {
    const paper = worked.papers[0]!;
    show(paper, 4, true);
    const before = states();
    expect(host.querySelectorAll('.notch').length).toBeGreaterThan(0);
    show(paper, 4, false);
    expect(host.querySelectorAll('.notch')).toHaveLength(0);
    expect(states()).toEqual(before);
  });

  it('shows a dot for what is owed and a note once its marks are written', () => {
    const paper = worked.papers[0]!;
    show(paper, 0);
    const owed = () => host.querySelectorAll('.slot[data-state="owed"]').length;
    expect(owed()).toBe(6);
    expect(host.querySelectorAll('.notes text')).toHaveLength(0);
    show(paper, 3);
    expect(owed()).toBe(3);
    expect(host.querySelector('.notes text')?.textContent).toBe('406 × 8');
  });
});
