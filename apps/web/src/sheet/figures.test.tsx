/** @jest-environment jsdom */
import { UNLIT } from '../worked/lit.ts';
import { PLAIN_NOTATION, type Notation } from '@levee/core';
import { Rendered } from '../testing/render.tsx';
import { workedWith } from '../testing/scene.ts';
import { SheetView } from './sheet-view.tsx';

const page = new Rendered();

function show(problem: string, method: string, step: number, notation: Notation = PLAIN_NOTATION) {
  const [paper] = workedWith(problem, [method]).papers;
  page.show(
    <SheetView
      paper={paper!}
      step={step < 0 ? paper!.last : step}
      lit={UNLIT}
      notation={notation}
      notes
      notches
      square={20}
      label="paper"
    />,
  );
  return paper!;
}

const stateOf = (text: string) =>
  page
    .all('.figure')
    .find((node) => node.textContent === text)
    ?.getAttribute('data-state');

describe('figures on a sheet', () => {
  it('rule off a product that is taken away once it is written', () => {
    show('952 ÷ 7', 'long-division', 0);
    expect(page.all('.figure .under')).toHaveLength(0);
    show('952 ÷ 7', 'long-division', -1);
    const states = page.all('.figure .under').map((node) => node.closest('.figure')!);
    expect(states.map((node) => node.getAttribute('data-state'))).toEqual(['used', 'used', 'used']);
  });

  it('stack a fraction with its bar, a whole number before it', () => {
    show('5 1/6 − 2 5/6', 'mixed-improper', -1);
    const answer = page.all('.figure').at(-1)!;
    const at = [...answer.querySelectorAll('text')].map((node) => [
      node.textContent,
      Number(node.getAttribute('y')),
    ]);
    const [top, bottom, whole] = at as [string, number][];
    expect([top![0], bottom![0], whole![0]]).toEqual(['1', '3', '2']);
    expect(top![1]).toBeLessThan(whole![1]);
    expect(whole![1]).toBeLessThan(bottom![1]);
    expect(answer.querySelectorAll('.bar')).toHaveLength(1);
  });

  it('write a sign with the mark that it stands before', () => {
    show('3/4 + 1/6', 'cross-products', 0);
    const equals = () => page.all('.sign').map((node) => node.getAttribute('data-state'));
    expect(equals()).toEqual([]);
    show('3/4 + 1/6', 'cross-products', 4);
    expect(equals()).toEqual(['new']);
  });

  it('show the figures of a later stage only when it begins', () => {
    const paper = show('12 × 35 × 4', 'column-multiplication', 0);
    const given = () => page.all('.figure.given').length;
    const first = given();
    show('12 × 35 × 4', 'column-multiplication', paper.last);
    expect(given()).toBeGreaterThan(first);
    expect(given()).toBe(
      paper.drawing.figures.filter(({ entry }) => paper.givens.has(entry)).length,
    );
  });

  it('follow her signs for products and points, also in captions', () => {
    show('3.6 × 20.5', 'column-multiplication', -1, { times: '·', point: ',' });
    expect(page.text('.sign-caption')).toBe('3,6 · 20,5 = 36 · 205 ÷ 100');
    expect(stateOf('73,80')).toBe('new');
    expect(page.texts('.notes text')).toContain('36 · 5');
    show('3.06 + 1.8', 'column-addition', 0, { times: '·', point: ',' });
    expect(new Set(page.texts('.sign-point'))).toEqual(new Set([',']));
  });
});
