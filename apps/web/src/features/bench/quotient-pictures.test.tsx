/** @jest-environment jsdom */
import { stepAll as setSteps } from '../../testing/scene.ts';
import { dispatch, useComparison } from '../../store/comparison-store.ts';
import { changed } from '../../store/edits.ts';
import { useSession } from '../../store/session-store.ts';
import { useSettings } from '../../store/settings-store.ts';
import { giveRoom, Rendered } from '../../testing/render.tsx';
import { AgreePanel } from './reasons/agree-panel.tsx';
import { AreaPicture } from '../../pictures/area-picture.tsx';
import { BaseChip } from './head/base-chip.tsx';
import { Gauge } from '../../account/gauge.tsx';
import { LinePanel } from '../../pictures/line-panel.tsx';
import { Sentence } from '../../paper/sentence.tsx';
import { ContextNotes, DirectionChip } from './head/problem-notes.tsx';
import { ProblemField } from './head/problem-field.tsx';
import { WorthPanel } from './worth/worth-panel.tsx';
import { work } from '../../worked/work.ts';

const page = new Rendered();
const DIVISION = ['long-division', 'short-division', 'partial-quotients'];
const PARTS = ['cross-products', 'least-common-denominator'];

beforeAll(() => giveRoom(400, 200));

afterEach(() => page.act(() => useSettings.setState(useSettings.getInitialState())));

const scene = () => work(useComparison.getState().content);
const stepAll = (...steps: number[]) => page.act(() => setSteps(...steps));

describe('the picture of a quotient', () => {
  it('has the divisor down, pieces of the dividend across and the found shares above', () => {
    page.open('952 ÷ 7', DIVISION);
    page.show(<AreaPicture />);
    expect(page.text('h2')).toBe('One known side, one found piece by piece');
    expect(page.texts('.region title')[0]).toMatch(/^700÷7 = 100, owed$/);
    expect(page.all('.region')).toHaveLength(7);
    expect(page.all('.shares')).toHaveLength(0);
    stepAll(8, 3, 11);
    expect(page.texts('.shares text')).toEqual(['100', '30', '6']);
    expect(page.all('.region.marked')).toHaveLength(7);
    page.act(() => useSession.setState({ active: 'p3' }));
    expect(page.texts('.shares text')).toEqual(['100', '20', '10', '5', '1']);
  });

  it.each([
    ['0 × 38', ['column-multiplication', 'crosswise']],
    ['0 ÷ 7', DIVISION],
  ])('is told, not drawn, where a side of it is 0: %s', (text, methods) => {
    page.open(text, methods);
    page.show(<AreaPicture />);
    expect(page.text('.caption')).toBe('A side of it is 0, so there is no rectangle to be cut.');
    expect(page.all('svg')).toHaveLength(0);
  });

  it('shows what is found only of the paper that is active, at its own step', () => {
    page.open('952 ÷ 7', DIVISION);
    page.show(<AreaPicture />);
    stepAll(4, 1, 0);
    expect(page.texts('.shares text')).toEqual(['100', '30']);
    expect(page.all('.region.some').length).toBeGreaterThan(0);
    page.act(() => useSession.setState({ active: 'p2' }));
    expect(page.texts('.shares text')).toEqual(['100']);
  });

  it('puts a string of factors on two sides', () => {
    page.open('12 × 3.5 × 0.4', ['lattice']);
    page.show(<AreaPicture />);
    expect(page.text('h2')).toBe('What the other factors make, by the last');
    expect(page.texts('.region title')).toContain('10×3×0.4 = 12, owed');
    page.act(() =>
      useSettings.setState((own) => ({ words: { ...own.words, point: ',', times: '·' } })),
    );
    expect(page.texts('.region title')).toContain('10·3·0,4 = 12, owed');
  });
});

describe('the account of a quotient', () => {
  it('is what is found, what is to share, and both back to the dividend', () => {
    page.open('955 ÷ 7', DIVISION);
    page.show(<Gauge />);
    expect(page.text('.gauge-total')).toBe('136 r 3');
    const line = '[aria-label="Quotient times divisor and what is left"]';
    expect(page.text(line)).toBe('0 × 7 + 955 = 955');
    stepAll(4, 0, 0);
    expect(page.text(line)).toBe('130 × 7 + 45 = 955');
    stepAll(9, 4, 12);
    expect(page.text(line)).toBe('136 × 7 + 3 = 955');
    expect(page.text('.balance')).toMatch(/balanced/);
  });

  it('is in owed and marked for everything else', () => {
    page.open('3/4 + 1/6', PARTS);
    page.show(<Gauge />);
    expect(page.text('.gauge-total')).toBe('11/12');
    expect(page.text('.gauge-words')).toBe('owed11/12marked0');
  });
});

describe('what a share is worth', () => {
  const worth = (entry: string, lane = 0) => {
    page.act(() =>
      useSession.setState({
        pointed: { kind: 'entry', paper: `p${lane + 1}`, id: entry as never },
      }),
    );
    return [page.text('.worth-figure'), page.text('.worth-terms')];
  };

  it('is told as what is shared where its figures have no end', () => {
    page.open('952 ÷ 7', DIVISION);
    page.show(<WorthPanel />);
    expect(worth('g0.0')).toEqual(['900 ÷ 7', '700÷7 + 140÷7 + 60÷7 = 900 ÷ 7']);
    expect(worth('m1')).toEqual(['100', '700÷7 = 100']);
  });

  it('is told as a fraction in a sum of fractions', () => {
    page.open('3/4 + 1/6', PARTS);
    page.show(<WorthPanel />);
    expect(worth('m1')[0]).toBe('3/4');
    expect(page.text('.worth')).toMatch(/a number of the question/);
  });
});

describe('why they agree, in a line', () => {
  it('tells of pieces, of renamed fractions and of scaling', () => {
    page.open('31.5 ÷ 0.7', DIVISION);
    page.show(<AgreePanel />);
    expect(page.text('.agree')).toMatch(/checked ✓/);
    expect(page.text('.agree')).toMatch(/each shared by the divisor/);
    expect(page.text('.agree')).toMatch(/by scaling both numbers/);
    page.open('3/4 + 1/6', PARTS);
    page.show(<AgreePanel />);
    expect(page.texts('.agree dd')[0]).toMatch(/^18\/24 \+ 4\/24 = 22\/24 = 11\/12/);
    expect(page.text('.agree')).toMatch(/Cutting every part alike/);
  });

  it('says when there is nothing to deal with', () => {
    page.open('0 ÷ 7', DIVISION);
    page.show(<AgreePanel />);
    expect(page.text('.agree')).toMatch(/There is nothing to share/);
  });
});

describe('the bar of fractions', () => {
  it('has no base blocks, and cuts each length by its denominator', () => {
    page.open('3/4 + 1/6', PARTS);
    const { ground } = scene();
    if (ground?.kind !== 'line') throw new Error('no line');
    expect(ground.high.toString()).toBe('1');
    page.show(<LinePanel ground={ground} />);
    expect(page.text('h2')).toMatch(/cut by every method’s denominators/);
    expect(page.all('.picture-head button')).toHaveLength(0);
    const cuts = () =>
      page.all('path.ticks').map((path) => (path.getAttribute('d')!.match(/M/g) ?? []).length);
    expect(cuts()).toEqual([2, 2]);
    stepAll(0, 3);
    expect(cuts()).toEqual([2, 8, 1]);
    expect(page.texts('.axis text')).toEqual(['0', '1']);
  });
});

describe('the notes of a problem', () => {
  it('foresee the side on which the answer lies', () => {
    page.open('31.5 ÷ 0.7', DIVISION);
    page.show(<DirectionChip problem={scene().problem} />);
    expect(page.text('.chip')).toBe('answer above 31.5');
    page.open('0.4 × 0.5', ['lattice']);
    page.show(<DirectionChip problem={scene().problem} />);
    expect(page.text('.chip')).toBe('answer below 0.4 and below 0.5');
    page.open('46 × 58', ['lattice']);
    page.show(<DirectionChip problem={scene().problem} />);
    expect(page.all('.chip')).toHaveLength(0);
  });

  it('say what is left over of things that are counted', () => {
    page.open('1835 ÷ 24', DIVISION);
    page.act(() =>
      dispatch(changed((content) => ({ ...content, unit: 'bundles', counted: true }))),
    );
    page.show(<ContextNotes problem={scene().problem} />);
    expect(page.text('.warning')).toBe('something is left over');
  });

  it('offer no base in which the figures have no end', async () => {
    page.open('0.1 + 0.2', ['column-addition']);
    page.show(<BaseChip problem={scene().problem} />);
    page.press('base ten');
    await page.settle();
    const items = [...document.querySelectorAll('[role="menuitem"]')];
    const two = items.find((item) => item.textContent?.startsWith('base 2'))!;
    expect(two.textContent).toMatch(/figures without end/);
    expect(two.getAttribute('aria-disabled')).toBe('true');
    const five = items.find((item) => item.textContent?.startsWith('base ten'))!;
    expect(five.textContent).toMatch(/0\.1 \+ 0\.2/);
  });
});

describe('sentences', () => {
  it('put what is left over behind the unit', () => {
    page.open('1835 ÷ 24', ['long-division']);
    page.act(() => dispatch(changed((content) => ({ ...content, unit: 'bundles' }))));
    const [paper] = scene().papers;
    page.show(<Sentence paper={paper!} step={paper!.last} />);
    expect(page.text('.answer-label')).toBe('Answer: 76 bundles, 11 left over');
    page.show(<Sentence paper={paper!} step={0} />);
    expect(page.text('.sentence')).toMatch(/^What is left goes on into the ones\./);
  });

  it('foresee fractions that must be renamed', () => {
    page.open('3/4 + 1/6', PARTS);
    const [, least] = scene().papers;
    page.show(<Sentence paper={least!} step={0} />);
    expect(page.text('.sentence')).toMatch(/^2 fractions must be renamed\./);
  });
});

describe('the computation field', () => {
  it('covers a computation with fractions by its typeset form', () => {
    page.open('3/4 + 1/6', PARTS);
    page.show(<ProblemField />);
    expect(page.all('.problem-cover .katex').length).toBeGreaterThan(0);
    expect(page.all('input.covered')).toHaveLength(1);
    page.open('46 × 58', ['lattice']);
    page.show(<ProblemField />);
    expect(page.all('.problem-cover')).toHaveLength(0);
  });

  it('shows the decimal comma where it is her habit', () => {
    page.act(() => useSettings.setState((own) => ({ words: { ...own.words, point: ',' } })));
    page.open('3.6 × 20.5', ['lattice']);
    page.show(<ProblemField />);
    expect(page.all('input')[0]!.getAttribute('value')).toBe('3,6 × 20,5');
  });
});
