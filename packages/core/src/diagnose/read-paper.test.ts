import { addressText, readAddress } from '../account/chance.ts';
import { registry } from '../methods/index.ts';
import { problemFrom } from '../testing/work.ts';
import { readPaper, squareName } from './read-paper.ts';

/** A paper as a method writes it with some slips, and some squares written otherwise. */
function paperOf(
  id: string,
  text: string,
  slips: readonly string[],
  change: Record<string, string> = {},
) {
  const method = registry.get(id);
  const problem = problemFrom(text);
  const asked = slips.map((slip) => readAddress(slip)!);
  const trace = method.trace(problem, { slips: asked });
  const marks = trace.steps
    .flatMap(({ gives }) => gives)
    .filter(({ medium, glyph }) => medium === 'paper' && glyph !== '');
  const written = new Map(marks.map(({ spot, glyph }) => [squareName(spot), glyph]));
  for (const [square, glyph] of Object.entries(change)) {
    if (glyph === '') written.delete(square);
    else written.set(square, glyph);
  }
  return readPaper(method, problem, method.defaultSchool, written);
}

const standings = ({ marks }: ReturnType<typeof paperOf>) =>
  marks.map(({ standing }) => standing).join(' ');

describe('a whole paper', () => {
  it('that is right has nothing but right marks', () => {
    const reading = paperOf('column-multiplication', '46 × 58', []);
    expect(reading.slips).toEqual([]);
    expect(new Set(reading.marks.map(({ standing }) => standing))).toEqual(new Set(['right']));
  });

  it.each([
    ['column-multiplication', '46 × 58', 'forget-carry@line-0.1'],
    ['column-multiplication', '46 × 58', 'omit-placeholder@line-1'],
    ['column-multiplication', '46 × 58', 'wrong-fact@cell-1.0=40'],
    ['decomposition', '642 − 387', 'lender-not-reduced@place-1'],
    ['decomposition', '642 − 387', 'wrong-fact@place-1=7'],
    ['lattice', '46 × 58', 'swap-cell@cell-0.1'],
    ['column-addition', '386 + 478', 'forget-carry@place-1'],
    ['long-division', '952 ÷ 7', 'forget-remainder@place-1'],
  ])('by %s of %s with %s tells the slip, where it leaks and what follows', (id, text, slip) => {
    const reading = paperOf(id, text, [slip]);
    expect(reading.slips.map(addressText)).toEqual([slip]);
    const all = new Set(reading.marks.map(({ standing }) => standing));
    expect(all.has('new')).toBe(false);
    expect(all.has('beside')).toBe(false);
    expect(reading.isOther).toBe(false);
  });

  it('tells two slips one after the other, and a mark that nothing explains as new', () => {
    const two = paperOf('column-multiplication', '46 × 58', [
      'forget-carry@line-0.1',
      'omit-placeholder@line-1',
    ]);
    expect(two.slips.map(addressText)).toEqual([
      'forget-carry@line-0.1',
      'omit-placeholder@line-1',
    ]);
    const strange = paperOf('column-multiplication', '46 × 58', ['forget-carry@line-0.1'], {
      'answer 0 3': '9',
    });
    expect(strange.marks.filter(({ standing }) => standing === 'new')).toMatchObject([
      { square: 'answer 0 3', wrote: '9', due: '2' },
    ]);
    expect(standings(strange)).toContain('followed');
  });

  it('lets carries be empty, and sees what is written beside the work', () => {
    const reading = paperOf('column-multiplication', '46 × 58', [], {
      'carry-above 0 1': '',
      'line 5 0': '7',
    });
    expect(reading.slips).toEqual([]);
    expect(reading.marks.filter(({ standing }) => standing === 'empty')).toHaveLength(1);
    expect(reading.marks.at(-1)).toMatchObject({ standing: 'beside', wrote: '7' });
  });

  it('that is no work of the method is said to be another', () => {
    const method = registry.get('column-multiplication');
    const squares = ['line 0 0', 'line 0 1', 'line 0 2', 'line 1 1', 'line 1 2', 'answer 0 0'];
    const written = new Map(squares.map((square, k) => [square, `${(k * 7 + 3) % 10}`]));
    const reading = readPaper(method, problemFrom('46 × 58'), method.defaultSchool, written);
    expect(reading.isOther).toBe(true);
  });
});
