/** @jest-environment jsdom */
import { stepAll as setSteps } from '../../testing/scene.ts';
import { problemText } from '@levee/core';
import { dispatch, useComparison } from '../../store/comparison-store.ts';
import { changed } from '../../store/edits.ts';
import { withOtherReading, withProblem } from '../../store/content.ts';
import { useSettings } from '../../store/settings-store.ts';
import { LettersOf } from '../../ui/letters.tsx';
import { giveRoom, Rendered } from '../../testing/render.tsx';
import { work } from '../../worked/work.ts';
import { WhyPage } from '../why/why-page.tsx';
import { AgreePanel } from './reasons/agree-panel.tsx';
import { BenchHead } from './head/bench-head.tsx';
import { command, sceneNow } from '../../commands/commands.ts';
import { Gauge } from '../../account/gauge.tsx';
import { SchoolMenus } from './papers/paper-menus.tsx';
import { Sentence } from '../../paper/sentence.tsx';
import { SharedPicture } from '../../pictures/shared-picture.tsx';
import { scrolledTo, writtenBy } from '../../paper/follow.ts';
import { shortened } from './lanes/lanes.tsx';
import { apart } from '../../pictures/part-label.ts';
import { readTyped } from '../../computation/computation-field.tsx';

const page = new Rendered();
const ARCS = ['expand-arcs', 'expand-grid', 'expand-foil'];
const ROWS = ['like-terms-row', 'like-terms-columns'];
const ROOTS = ['digit-pairs', 'prime-pairs'];

beforeAll(() => giveRoom(400, 220));
afterEach(() => page.act(() => useSettings.setState(useSettings.getInitialState())));

const content = () => useComparison.getState().content;
const scene = () => work(content());
const stepAll = (...steps: number[]) => page.act(() => setSteps(...steps));
const run = (id: string) => page.act(() => command(id).run(sceneNow(() => undefined)));

describe('the picture of brackets', () => {
  it('is a rectangle of cells drawn alike, with signs', () => {
    page.open('(x + 4)(3x − 2)', ARCS);
    page.show(<SharedPicture />);
    expect(page.texts('.region title')).toEqual([
      'x·3x = 3x², owed',
      'x·(−2) = −2x, owed',
      '4·3x = 12x, owed',
      '4·(−2) = −8, owed',
    ]);
    const widths = page.all('.region rect').map((rect) => rect.getAttribute('width'));
    expect(new Set(widths).size).toBe(1);
    expect(page.text('.legend .note')).toMatch(/letters have no size/);
    stepAll(7, 7, 7);
    expect(page.all('.region.marked')).toHaveLength(4);
  });

  it('stacks kinds of terms over and under a line', () => {
    page.open('(x^3 + 5x^2) − (2x^2 − 7x)', ROWS);
    page.show(
      <LettersOf problem={scene().problem}>
        <SharedPicture />
      </LettersOf>,
    );
    expect(page.texts('.region title')).toEqual(['x³', '5x²', '−2x²', '−(−7x) = 7x']);
    const tops = page.all('.region rect').map((rect) => Number(rect.getAttribute('y')));
    const zero = Number(page.all('.zero')[0]!.getAttribute('y1'));
    expect(tops.map((y) => y < zero)).toEqual([true, true, false, true]);
    expect(page.text('svg')).toMatch(/= 3x².*= 7x/);
    stepAll(9, 5);
    expect(page.all('.region.marked')).toHaveLength(4);
  });
});

describe('the picture of a root', () => {
  it('lays a square and its strips as the papers find them', () => {
    page.open('√72', ROOTS);
    page.show(<SharedPicture />);
    expect(page.text('h2')).toBe('One square, widened strip by strip');
    expect(page.texts('.region title')).toEqual([
      '8 × 8 = 64',
      '2 × 8 × 0.4 + 0.4 × 0.4 = 6.56',
      '2 × 8.4 × 0.08 + 0.08 × 0.08 = 1.3504',
      'left over: 0.0896',
    ]);
    expect(page.all('.region.owed')).toHaveLength(4);
    stepAll(2, 0);
    expect(page.all('.region.some')).toHaveLength(1);
    page.open('√72', ['prime-pairs']);
    page.show(<SharedPicture />);
    expect(page.all('.region rect')).toHaveLength(2);
    expect(page.text('.region title')).toBe('2 × 6 × 6 = 72');
  });
});

describe('the account', () => {
  it('of letters is told in terms and drawn for small numbers', () => {
    page.open('(x − 2)(x + 5)', ARCS);
    page.show(<Gauge />);
    expect(page.text('.gauge-total')).toBe('x² + 3x − 10');
    expect(page.text('.gauge')).toMatch(/drawn for x = 3/);
    expect(page.text('.gauge-words')).toBe('owedx² + 3x − 10marked0');
    stepAll(1, 1, 1);
    expect(page.text('.gauge-words')).toBe('owed3x − 10markedx²');
  });

  it('of a root holds the number: root times root and what is left', () => {
    page.open('√7396', ROOTS);
    page.act(() => dispatch(changed((own) => ({ ...own, unit: 'paces' }))));
    page.show(<Gauge />);
    expect(page.text('h2')).toBe('Account in square paces');
    expect(page.text('.gauge-total')).toBe('7396');
    expect(page.text('.gauge-words')).toBe('laid0left7396');
    stepAll(2, 0);
    expect(page.text('[aria-label="Root times root and what is left"]')).toBe(
      '80 × 80 + 996 = 7396',
    );
    stepAll(8, 7);
    expect(page.text('[aria-label="Root times root and what is left"]')).toBe('86 × 86 + 0 = 7396');
  });
});

describe('the bridge', () => {
  it('changes every paper for the one that does the same on the other side, and back', () => {
    page.open('46 × 58', ['grid-multiplication', 'crosswise', 'partial-products']);
    run('bridge');
    expect(content().problem).toBe('(4x + 6)(5x + 8)');
    expect(content().papers.map(({ method }) => method)).toEqual([
      'expand-grid',
      'expand-arcs',
      'expand-foil',
    ]);
    expect(content().papers[1]!.school['order']).toBe('by-power');
    run('bridge');
    expect(content().problem).toBe('46 × 58');
    expect(content().papers.map(({ method }) => method)).toEqual([
      'grid-multiplication',
      'crosswise',
      'partial-products',
    ]);
  });

  it('lays a paper that suits for each one without a counterpart, and longer numbers have no four words', () => {
    page.open('346 × 125', ['lattice', 'partial-products']);
    run('bridge');
    expect(problemText(scene().problem)).toBe('(3x^2 + 4x + 6)(x^2 + 2x + 5)');
    expect(content().papers.map(({ method }) => method)).toEqual(['expand-arcs', 'expand-grid']);
    page.open('346 × 125', ['lattice']);
    run('bridge');
    expect(content().papers.map(({ method }) => method)).toEqual(['expand-arcs']);
  });

  it('is not offered where it leads nowhere', () => {
    for (const [text, ids] of [
      ['7 × 8', ['lattice']],
      ['46 + 58', ['partial-sums']],
      ['(x − 1)(x + 2)', ARCS],
    ] as const) {
      page.open(text, ids);
      expect(command('bridge').can(sceneNow(() => undefined))).toBe(false);
      expect(withOtherReading(content())).toBe(content());
    }
  });

  it('is told place by place on the page of reasons', async () => {
    page.open('46 × 58', ['grid-multiplication', 'crosswise']);
    page.show(<WhyPage />);
    await page.drawn();
    const rows = page.texts('[aria-label^="The bridge"] tbody tr');
    expect(rows).toEqual([
      'x³——+ 22—',
      'x²4 · 520x²+ 662',
      'x6 · 5 + 4 · 862x+ 466',
      'ones6 · 848—84',
    ]);
    page.open('(4a + 6)(5a + 8)', ['expand-grid', 'expand-arcs']);
    page.show(<WhyPage />);
    await page.drawn();
    expect(page.texts('[aria-label^="The bridge"] tbody tr')[1]).toBe('a²4 · 520a²+ 662');
    expect(page.text('[aria-label^="The bridge"] thead')).toMatch(/^power of a, which/);
    page.show(<BenchHead />);
    expect(page.texts('.chip')).toContain('read a as ten');
    page.open('√72', ROOTS);
    page.show(<WhyPage />);
    await page.drawn();
    expect(page.all('[aria-label^="The bridge"]')).toHaveLength(0);
    expect(page.texts('[aria-label="Back to the number"] p')).toEqual([
      '8.48 × 8.48 + 0.0896 = 72 ✓ Digit pairs',
      '6 × 6 × 2 = 72 ✓ Prime pairs',
    ]);
  });
});

describe('the bench of letters', () => {
  it('offers no estimate and no base, and says what meets', () => {
    page.open('(x − 1)(x − 2)', ARCS);
    page.show(<BenchHead />);
    expect(page.all('.estimate')).toHaveLength(0);
    expect(page.text('.structure')).toBe('minus meets minus');
    expect(page.texts('.chip').some((text) => /^base/.test(text))).toBe(false);
    page.show(<Sentence paper={scene().papers[2]!} step={0} />);
    expect(page.text('.sentence')).toMatch(/^Minus meets minus once\./);
  });

  it('shows the choices of stages only where there are stages', () => {
    page.open('(x − 1)(x − 2)', ['expand-arcs']);
    page.show(<SchoolMenus paper={scene().papers[0]!} />);
    expect(page.texts('.school')).toEqual(['order term by term']);
    page.open('(x − 1)(x − 2)(x + 3)', ['expand-arcs']);
    page.show(<SchoolMenus paper={scene().papers[0]!} />);
    expect(page.texts('.school')).toHaveLength(4);
  });

  it('agrees in typeset lines', () => {
    page.open('(x + 4)(3x − 2)', ARCS);
    page.show(<AgreePanel />);
    expect(page.texts('.agree dd')[0]).toMatch(/12x\}?\) - 8 = 3x\^\{2\} \+ 10x - 8/);
    expect(page.text('.agree')).toMatch(/no power carries into the next/);
    page.open('√72', ROOTS);
    page.show(<AgreePanel />);
    expect(page.texts('.agree dd')[1]).toMatch(/= 6\^\{2\}\\cdot 2|= 6\^\{2\} *\\cdot *2/);
  });

  it('lays suiting papers for what is typed', () => {
    page.open('46 × 58', ['lattice']);
    const laid = (text: string) => {
      const typed = readTyped(text);
      if (!typed.ok) return typed.sentence;
      return withProblem(content(), typed.problem).papers.map(({ method }) => method);
    };
    expect(laid('(x+4)^3')).toEqual(['expand-arcs', 'expand-grid', 'expand-foil']);
    expect(laid('3x+2x')).toEqual(['like-terms-row', 'like-terms-columns']);
    expect(laid('√20.25')).toEqual(['digit-pairs']);
    // What methods refuse is laid for own lines.
    expect(laid('(x+1)^8')).toEqual(['own-lines']);
    expect(laid('3x')).toMatch(/This is a single term; worked are/);
  });
});

describe('the blocks of a lane', () => {
  it.each([
    ['= 23x²', 6, '= 23x²'],
    ['= 23x²', 5, '=23x²'],
    ['= 23x²', 4, '23x²'],
    ['= 23x²', 3, ''],
    ['= 23x²', 2, ''],
    ['= −3/2 x²', 6, '=−3/2 x²'],
    ['−3xy +3xy', 8, '−3xy+3xy'],
    ['left over', 7, 'left o…'],
    ['996 left', 6, ''],
    ['2 · 2 · 2 · 3 = 24', 8, '= 24'],
  ])('write %s where %i figures fit as %s', (label, room, text) => {
    expect(shortened(label, room)).toBe(text);
  });
});

describe('a paper that is scrolled', () => {
  it('moves no further than what is written and a margin need', () => {
    expect(scrolledTo(0, 200, { from: 20, to: 60 }, 10)).toBe(0);
    expect(scrolledTo(0, 200, { from: 220, to: 260 }, 10)).toBe(70);
    expect(scrolledTo(150, 200, { from: 100, to: 140 }, 10)).toBe(90);
    expect(scrolledTo(90, 200, { from: 100, to: 140 }, 10)).toBe(90);
    expect(scrolledTo(0, 50, { from: 100, to: 190 }, 10)).toBe(90);
  });

  it('knows where a step has written, and keeps still when it only strikes out', () => {
    page.open('(x + 1)(x + 2)(x + 3)', ['expand-arcs']);
    const paper = scene().papers[0]!;
    expect(writtenBy(paper, 0, 20, { x: 0, y: 0 })!.down).toEqual({ from: 0, to: 0 });
    const downs = paper.lane.trace.steps.map(
      ({ number }) => writtenBy(paper, number, 20, { x: 0, y: 0 })?.down,
    );
    expect(downs.filter(Boolean)).toHaveLength(downs.length);
    const tops = downs.map((down) => down!.from);
    expect(tops).toEqual([...tops].sort((a, b) => a - b));
    const opening = paper.lane.trace.steps.find(({ opens }) => opens.length > 0)!.number;
    expect(tops[opening - 1]).toBeGreaterThan(tops[opening - 2]! + 40);
    page.open('(x − 2)(x + 2)', ['expand-arcs']);
    const cancelling = scene().papers[0]!.lane.trace.steps.find(({ gives }) => gives.length === 0)!;
    expect(writtenBy(scene().papers[0]!, cancelling.number, 20, { x: 0, y: 0 })).toBeNull();
  });
});

describe('labels in a row', () => {
  it('are moved on only as far as the one before needs', () => {
    const label = (middle: number, width: number) => ({ middle, width });
    expect(apart([label(50, 20), label(100, 20)])).toEqual([50, 100]);
    expect(apart([label(50, 20), label(60, 30), label(70, 10)])).toEqual([50, 79, 103]);
  });
});
