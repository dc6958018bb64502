/** @jest-environment jsdom */
import { PLAIN_NOTATION, screenBrush, type EntryId } from '@levee/core';
import { jest } from '@jest/globals';
import { workedWith } from '../testing/scene.ts';
import { stateAt } from './moments.ts';
import { WrittenPage } from './written.ts';

const HAND = { notation: PLAIN_NOTATION, notches: true, strikes: () => false };
const BRUSH = screenBrush(HAND);

function pageOf(problem: string, method: string) {
  const paper = workedWith(problem, [method]).papers[0]!;
  const layer = () => document.createElementNS('http://www.w3.org/2000/svg', 'g');
  const layers = { slots: layer(), figures: layer() };
  return { paper, layers, page: new WrittenPage(layers, paper, BRUSH) };
}

const entriesOf = (layer: Element) =>
  [...layer.children].map((node) => node.getAttribute('data-entry') as EntryId);

describe('WrittenPage', () => {
  it('puts a figure into the page when it is first written, once', () => {
    const { paper, layers, page } = pageOf('123456 × 654321', 'column-multiplication');
    page.show(0);
    const there = entriesOf(layers.figures);
    expect(new Set(there)).toEqual(
      new Set(paper.drawing.figures.map(({ entry }) => entry).filter((id) => paper.givens.has(id))),
    );
    for (const step of [5, 2, 9, paper.last, 0, paper.last]) page.show(step);
    const all = entriesOf(layers.figures);
    expect(all).toHaveLength(paper.drawing.figures.length);
    expect(new Set(all)).toEqual(new Set(paper.drawing.figures.map(({ entry }) => entry)));
  });

  it('writes a page of very many figures in several frames, as it stands when they come', () => {
    const frames: FrameRequestCallback[] = [];
    const asked = jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((frame) => {
      frames.push(frame);
      return frames.length;
    });
    const { paper, layers, page } = pageOf('987654321987 × 876543219876', 'partial-products');
    page.show(paper.last);
    const all = new Set(paper.drawing.figures.map(({ entry }) => entry));
    expect(all.size).toBeGreaterThan(400);
    expect(new Set(entriesOf(layers.figures)).size).toBe(150);
    page.show(paper.last - 1);
    while (frames.length > 0) frames.shift()!(0);
    expect(new Set(entriesOf(layers.figures))).toEqual(all);
    for (const node of layers.figures.children) {
      const id = node.getAttribute('data-entry') as EntryId;
      expect([id, node.getAttribute('data-state')]).toEqual([
        id,
        stateAt(paper, id, paper.last - 1),
      ]);
    }
    asked.mockRestore();
  });

  it('keeps the state of everything that stands there', () => {
    const { paper, layers, page } = pageOf('12 × 35 × 4', 'column-multiplication');
    for (const step of [0, 3, 1, paper.last, 4]) {
      page.show(step);
      for (const node of [...layers.figures.children, ...layers.slots.children]) {
        const id = node.getAttribute('data-entry') as EntryId;
        expect([id, node.getAttribute('data-state')]).toEqual([id, stateAt(paper, id, step)]);
      }
      const written = paper.drawing.figures.filter(
        ({ entry }) => stateAt(paper, entry, step) !== 'absent',
      );
      expect(entriesOf(layers.figures)).toEqual(
        expect.arrayContaining(written.map(({ entry }) => entry)),
      );
    }
  });

  it('brings a sign with the mark that it stands before', () => {
    const { layers, page, paper } = pageOf('3/4 + 1/6', 'cross-products');
    page.show(0);
    expect(layers.figures.querySelectorAll('.sign')).toHaveLength(0);
    page.show(paper.last);
    expect(layers.figures.querySelectorAll('.sign').length).toBeGreaterThan(0);
  });

  it('is of one paper, painted with one brush', () => {
    const { page, paper } = pageOf('46 × 58', 'lattice');
    expect(page.isOf(paper, BRUSH)).toBe(true);
    expect(page.isOf(paper, screenBrush({ ...HAND, notches: false }))).toBe(false);
    expect(page.isOf(pageOf('46 × 59', 'lattice').paper, BRUSH)).toBe(false);
  });
});
