/** @jest-environment jsdom */
import {
  currentDocument,
  dispatch,
  history,
  useComparison,
} from '../../../store/comparison-store.ts';
import { changed } from '../../../store/edits.ts';
import { useSession } from '../../../store/session-store.ts';
import { Rendered } from '../../../testing/render.tsx';
import { Notices, notify } from '../../../ui/notices.tsx';
import { ProblemField } from './problem-field.tsx';

const page = new Rendered();

function show(problem: string, methods: readonly string[]): void {
  page.open(problem, methods);
  page.act(() =>
    useComparison.setState(({ content }) => ({
      content: { ...content, story: `a store of ${problem}`, unit: 'sacks' },
    })),
  );
  page.show(
    <>
      <ProblemField />
      <Notices />
    </>,
  );
}

function type(text: string, key = 'Enter'): void {
  const [field] = page.all('[data-problem-field]') as HTMLInputElement[];
  page.act(() => {
    field!.focus();
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, text);
    field!.dispatchEvent(new Event('input', { bubbles: true }));
  });
  page.act(() => field!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true })));
}

const papers = () => currentDocument().papers.map(({ method }) => method);

describe('the field for the computation', () => {
  it('says what another kind of computation puts away, and undo brings it back', async () => {
    show('46 + 58', ['column-addition', 'partial-sums']);
    type('46 × 58');
    await page.settle();
    expect(page.text('.MuiSnackbar-root')).toBe(
      'None of these papers works this; others are laid. Story and unit belong to the other computation and were taken off. Undo brings all back.',
    );
    expect(currentDocument()).toMatchObject({ problem: '46 × 58', story: '', unit: '' });
    page.act(() => history().undo());
    expect(currentDocument()).toMatchObject({ problem: '46 + 58', unit: 'sacks' });
    expect(papers()).toEqual(['column-addition', 'partial-sums']);
  });

  it('keeps the unit of a computation of the same kind, and says which papers went', async () => {
    show('642 − 387', ['decomposition', 'equal-additions', 'counting-up']);
    type('387 − 642');
    await page.settle();
    expect(page.text('.MuiSnackbar-root')).toBe(
      '2 papers cannot work this and were put away. Undo brings all back.',
    );
    expect([papers(), currentDocument().unit]).toEqual([['counting-up'], 'sacks']);
  });

  it('offers to change a title that speaks of the old numbers', async () => {
    show('46 + 58', ['column-addition']);
    page.act(() => dispatch(changed((content) => ({ ...content, title: '46 bags and more' }))));
    type('47 + 59');
    await page.settle();
    expect(page.text('.MuiSnackbar-root')).toMatch(/Its title is still “46 bags and more”\./);
    page.press('Change it');
    expect(useSession.getState().dialog).toBe('about');
  });

  it('says nothing where nothing went', async () => {
    show('46 + 58', ['column-addition']);
    page.act(() => notify('Nothing yet.'));
    type('47 + 58');
    expect(currentDocument().problem).toBe('47 + 58');
    await page.settle();
    expect(page.text('.MuiSnackbar-root')).toBe('Nothing yet.');
  });

  it('gives the reason of the nearest method, and lays for own lines what no method works', () => {
    show('(x + 4)(x + 5)', ['expand-grid']);
    type('(x + 1)^8', 'Shift');
    expect(page.text('.problem-reading .hint')).toMatch(
      /make 256 products.*No method yet; Enter lays it for own lines/,
    );
    expect(currentDocument().problem).toBe('(x + 4)(x + 5)');
    type('(x + 1)^8', 'Escape');
    expect(page.all('.problem-reading')).toHaveLength(0);
    type('(x + 1)^8');
    expect(currentDocument().papers.map(({ method }) => method)).toEqual(['own-lines']);
  });
});
