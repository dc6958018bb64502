/** @jest-environment jsdom */
import { workOf } from '@levee/core';
import { dispatch, openDocument } from '../../store/comparison-store.ts';
import { ownPaper } from '../../store/content.ts';
import { deskOf, documentOf, settled } from '../../store/desk.ts';
import { changed, stepped } from '../../store/edits.ts';
import { useSettings } from '../../store/settings-store.ts';
import { Rendered } from '../../testing/render.tsx';
import { documentWith } from '../../testing/scene.ts';
import { PrintPage } from './print-page.tsx';

const page = new Rendered();
afterEach(() => page.act(() => useSettings.setState(useSettings.getInitialState())));

function titled(title: string, unit: string): void {
  page.act(() => dispatch(changed((content) => ({ ...content, title, unit }))));
}

describe('the page to print', () => {
  it('has every finished paper with its sentences, and why they agree', () => {
    page.open('952 ÷ 7', ['long-division', 'short-division']);
    titled('Shared among seven crews', 'bags');
    page.show(<PrintPage />);
    expect(page.text('h1')).toBe('Shared among seven crews');
    expect(page.text('.print-problem')).toBe('952 ÷ 7 = 136 bags');
    expect(page.all('.printed-sheet svg')).toHaveLength(2);
    expect(page.texts('.printed-steps li')[0]).toMatch(
      /^1 hundred for each of 7 uses up 7 hundreds\./,
    );
    expect(page.texts('.printed-paper h2')).toEqual([
      'Long division',
      'Short division',
      'Why they agree',
    ]);
    expect(page.text('.printed-moves li')).toMatch(/= 700÷7/);
  });

  it('leaves room for the answer on papers to be finished', () => {
    page.open('1835 ÷ 24', ['long-division']);
    titled('', 'bundles');
    page.show(<PrintPage />);
    expect(page.text('.print-problem')).toBe('1835 ÷ 24 = 76 bundles, 11 left over');
    page.press('as they stand');
    expect(page.all('.print-problem .blank')).toHaveLength(1);
    expect(page.all('.printed-steps li')).toHaveLength(0);
    expect(page.texts('.printed-paper h2')).toEqual(['Long division']);
  });

  it('offers what has an effect, and a line for name and date', () => {
    page.open('642 − 387', ['decomposition']);
    page.show(<PrintPage />);
    const parts = () => page.texts('[aria-label="Parts of the page"] .chip');
    expect(parts()).toContain('why they agree');
    page.press('blank papers');
    expect(parts()).toEqual(['a line for name and date', 'recorded checks']);
    expect(page.all('.name-line')).toHaveLength(0);
    page.press('a line for name and date');
    expect(page.text('.name-line')).toMatch(/^Name\s+Date/);
    page.press('as they stand');
    expect(parts()).not.toContain('why they agree');
  });

  it('prints blank papers wherever the work stands, chosen papers, costs and checks', () => {
    page.open('642 − 387', ['decomposition', 'counting-up']);
    page.act(() => dispatch(stepped({ p1: 2, p2: 3 })));
    page.show(<PrintPage />);
    page.press('blank papers');
    expect(page.texts('.printed-steps li')).toEqual([]);
    expect(page.all('.printed-paper h2')).toHaveLength(2);
    expect(page.all('.printed-sheet [data-state="written"]').length).toBeLessThan(8);
    page.press('finished');
    page.press('what each costs');
    page.press('recorded checks');
    page.press('Counting up');
    expect(page.texts('.printed-paper h2')).toEqual([
      'Decomposition',
      'Why they agree',
      'Recorded checks',
    ]);
    expect(page.texts('.paper-table thead th')).toEqual(['counted from the work', 'Decomposition']);
    expect(page.texts('.printed-paper h3')).toEqual(['Decomposition']);
    expect(page.host.textContent).toContain('No check is recorded yet.');
  });

  it('says which slips are made on purpose, how far the reasons go, and gives no false answer', () => {
    const document = documentWith('46 × 58', ['column-multiplication', 'lattice']);
    const [column, lattice] = document.papers;
    const slips = ['forget-carry@line-0.1'];
    page.act(() => openDocument({ ...document, papers: [{ ...column!, slips }, lattice!] }));
    page.show(<PrintPage />);
    expect(page.text('.print-problem').trim()).toBe('46 × 58 = 2668');
    expect(page.texts('.printed-slips')).toEqual(['Slips made on purpose: carry not added.']);
    expect(page.texts('.printed-paper h2').at(-1)).toBe('How far they agree');
    expect(page.host.textContent).toContain('Step 2 loses 40; from there on it does not agree.');
    page.act(() => openDocument({ ...document, papers: [{ ...column!, slips }] }));
    page.show(<PrintPage />);
    expect(page.all('.print-problem .blank')).toHaveLength(1);
  });

  it('never prints a wrong line as if it were so', () => {
    const desk = deskOf(documentWith('36 × 25', ['column-multiplication']));
    const own = ownPaper(workOf(['= 30 × 20 + 6 × 5', '= 630']));
    const content = { ...desk.content, papers: [own] };
    page.act(() => openDocument(documentOf(settled({ ...desk, content }))));
    page.show(<PrintPage />);
    const [first] = page.texts('.printed-steps li');
    expect(first).toMatch(/^= 30 × 20 \+ 6 × 5: .*270.* not right$/);
    expect(page.text('.printed-wrong')).toBe('Comes to 630, 270 too little.');
  });

  it('lays a wide work across, and goes on with a long one on further pages', () => {
    page.open('9876543219 × 12', ['grid-multiplication', 'column-multiplication']);
    page.show(<PrintPage />);
    expect(page.all('.printed-paper.across h2').map((head) => head.textContent)).toEqual([
      'Grid multiplication',
    ]);
    page.open('987654321987 × 876543219876', ['partial-products']);
    page.show(<PrintPage />);
    const parts = page.all('.printed-part');
    expect(parts.length).toBeGreaterThan(1);
    expect(page.texts('.printed-part figcaption')[0]).toBe(
      `Partial products, page 2 of ${parts.length}`,
    );
  });

  it('follows her voice and her signs', () => {
    page.open('3.6 × 20.5', ['grid-multiplication']);
    page.act(() =>
      useSettings.setState((own) => ({ voice: 'digit', words: { ...own.words, point: ',' } })),
    );
    page.show(<PrintPage />);
    expect(page.text('.print-problem').trim()).toBe('3,6 × 20,5 = 73,8');
    expect(page.texts('.printed-steps li').at(-1)).toMatch(
      /1 \+ 1 = 2 figures after the point: 73,80/,
    );
    expect(page.text('.sign-caption')).toBe('3,6 × 20,5 = 36 × 205 ÷ 100');
  });
});
