/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import { workOf, type OwnWork } from '@levee/core';
import { dispatch, openDocument, useComparison } from '../store/comparison-store.ts';
import { freshDocument, ownPaper } from '../store/content.ts';
import { stepped } from '../store/edits.ts';
import { deskOf, documentOf, settled } from '../store/desk.ts';

interface Said {
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}
const said: Said[] = [];
jest.unstable_mockModule('../ui/notices.tsx', () => ({
  notify: (text: string, action?: Said['action']) => said.push({ text, ...(action && { action }) }),
}));
const { changeOwn } = await import('./change.ts');

const paper = 'p1';
const own = () => useComparison.getState().content.papers[0]!.own!;
const texts = () => own().lines.map(({ text }) => text);
const type = (...lines: readonly string[]) =>
  changeOwn(paper, (work) => ({ ...work, lines: workOf(lines).lines }));

function lay(work: OwnWork): void {
  const desk = deskOf(freshDocument());
  const content = {
    ...desk.content,
    problem: '46 × 58',
    papers: [{ ...ownPaper(work), id: paper }],
  };
  openDocument(documentOf(settled({ ...desk, content })));
}

beforeEach(() => {
  said.splice(0);
  lay({ ...workOf([]), code: 'T07' });
});

describe('lines that are changed', () => {
  it('are seen to their end', () => {
    type('= 40 × 58 + 6 × 58', '= 2320 + 348');
    const steps = () => useComparison.getState().progress.steps[paper]!;
    const end = steps();
    expect(end).toBeGreaterThan(1);
    dispatch(stepped({ [paper]: 0 }));
    type('= 40 × 58 + 6 × 58', '= 2320 + 348', '= 2668');
    expect(steps()).toBeGreaterThan(end);
  });

  it('are asked about once where a note beside a code looks like a name', () => {
    type('Per Berg', '= 2668');
    expect(said).toHaveLength(1);
    expect(said[0]!.text).toContain('“Per Berg” beside T07 looks like a name');
    type('Per Berg', '= 2668', '= 2668');
    expect(said).toHaveLength(1);
    expect(texts()).toContain('Per Berg');
  });

  it('lose the name when she says so, and nothing else', () => {
    type('Ada Moe', 'because 58 is near 60', '= 2668');
    said[0]!.action!.run();
    expect(texts()).toEqual(['because 58 is near 60', '= 2668']);
  });

  it('are asked about when a code is put beside them', () => {
    lay(workOf(['Tove Holm', '= 2668']));
    expect(said).toEqual([]);
    changeOwn(paper, (work) => ({ ...work, code: 'T12' }));
    expect(said[0]!.text).toContain('“Tove Holm” beside T12');
  });

  it('are nobody’s business without a code', () => {
    lay(workOf([]));
    type('Rune Dahl', '= 2668');
    expect(said).toEqual([]);
  });
});
