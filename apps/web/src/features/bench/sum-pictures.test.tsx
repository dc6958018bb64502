/** @jest-environment jsdom */
import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import {
  currentDocument,
  dispatch,
  openDocument,
  useComparison,
} from '../../store/comparison-store.ts';
import { changed } from '../../store/edits.ts';
import { pin, resetSession, useSession } from '../../store/session-store.ts';
import { documentWith } from '../../testing/scene.ts';
import { work, type Worked } from '../../worked/work.ts';
import { BlockPicture } from '../../pictures/block-picture.tsx';
import { HopsButton, HopsStrip } from './papers/hops-strip.tsx';
import { LinePicture } from '../../pictures/line-picture.tsx';
import { ContextNotes, StructureChip } from './head/problem-notes.tsx';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

const METHODS = ['decomposition', 'equal-additions', 'counting-up'];

let root: Root;
let host: HTMLElement;

beforeEach(() => {
  openDocument(documentWith('642 − 387', METHODS));
  resetSession();
  host = document.createElement('div');
  document.body.append(host);
  root = createRoot(host);
});

afterEach(() => {
  act(() => root.unmount());
  host.remove();
});

const scene = (): Worked => work(useComparison.getState().content);
const all = (css: string) => [...host.querySelectorAll(css)];
const texts = (css: string) => all(css).map((node) => node.textContent);

function line(steps: readonly number[]): void {
  const worked = scene();
  if (worked.ground?.kind !== 'line') throw new Error('no line');
  const { ground } = worked;
  act(() =>
    root.render(
      <LinePicture worked={worked} steps={steps} ground={ground} width={400} height={180} />,
    ),
  );
}

describe('the line picture', () => {
  it('has a region for every live amount of every paper', () => {
    line([0, 0, 0]);
    expect(all('.segment.plus')).toHaveLength(3 + 3 + 5);
    expect(all('.segment.minus')).toHaveLength(3 + 3 + 1);
    expect(all('.stretch')).toHaveLength(3);
    expect(texts('.segment.plus.owed text')).toEqual(
      expect.arrayContaining(['600', '40', '387', '200']),
    );
  });

  it('marks what is dealt with, with ticks for what was opened', () => {
    line([1, 1, 2]);
    expect(texts('.segment.plus.marked title')).toEqual(
      expect.arrayContaining(['30, marked', '12, marked']),
    );
    expect(all('.hop')).toHaveLength(2);
    expect(texts('.hop title')).toEqual(['+3', '+200']);
  });

  it('lights what is pointed at as exactly that, or as holding some of it', () => {
    act(() => pin({ kind: 'entry', paper: 'p2', id: 'o0.2' as never }));
    line([0, 0, 0]);
    expect(all('.segment.exact')).toHaveLength(2);
    expect(all('.segment.near').length).toBeGreaterThan(1);
  });

  it('offers its row only to the paper whose hops are being chosen', () => {
    line([0, 0, 0]);
    expect(all('[data-chooser]')).toHaveLength(0);
    act(() => useSession.setState({ choosing: 'p3' }));
    expect(all('[data-chooser]')).toHaveLength(1);
  });
});

describe('the block picture', () => {
  it('stacks as many blocks as each place counts', () => {
    const [paper] = scene().papers;
    const show = (step: number) =>
      act(() => root.render(<BlockPicture paper={paper!} step={step} width={400} height={160} />));
    show(0);
    expect(texts('.count')).toEqual(['6 − 3', '4 − 8', '2 − 7']);
    expect(all('.run.plus rect')).toHaveLength(12);
    expect(all('.run.minus rect')).toHaveLength(18);
    show(1);
    expect(texts('.count')).toEqual(['6 − 3', '3 − 8', '12 − 7']);
    show(paper!.last);
    expect(all('.run.minus rect')).toHaveLength(0);
    expect(all('.run.plus.marked rect')).toHaveLength(12);
  });
});

describe('the choosing of hops', () => {
  const paper = () => scene().papers[2]!;
  const button = (name: string) => all('button').find((node) => node.textContent?.trim() === name)!;

  it('opens only where a method takes them', () => {
    act(() => root.render(<HopsButton paper={scene().papers[0]!} />));
    expect(host.textContent).toBe('');
    act(() => root.render(<HopsButton paper={paper()} />));
    void act(() => button('own hops…').dispatchEvent(new MouseEvent('click', { bubbles: true })));
    expect(useSession.getState()).toMatchObject({ choosing: 'p3', active: 'p3' });
  });

  it('says what a typed hop would do before it is made', () => {
    useSession.setState({ choosing: 'p3' });
    act(() => root.render(<HopsStrip paper={paper()} />));
    const field = host.querySelector('input')!;
    const type = (text: string) =>
      act(() => {
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(
          field,
          text,
        );
        field.dispatchEvent(new Event('input', { bubbles: true }));
      });
    const said = () => host.querySelector('[role="status"]')!.textContent;
    expect(said()).toMatch(/such as 13/);
    type('13');
    expect(said()).toBe('lands on 400, 242 to go');
    type('255');
    expect(said()).toBe('lands on 642');
    type('-900');
    expect(said()).toMatch(/back past zero/);
    type('ten');
    expect(said()).toMatch(/“ten” is not a hop/);
    type('13');
    void act(() =>
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true })),
    );
    expect(currentDocument().papers[2]!.hops).toEqual(['13']);
    act(() => root.render(<HopsStrip paper={paper()} />));
    void act(() => button('+13').dispatchEvent(new MouseEvent('click', { bubbles: true })));
    expect(currentDocument().papers[2]!.hops).toEqual([]);
  });
});

describe('the notes of the problem', () => {
  it('tell how hard the numbers are by structure', () => {
    act(() => root.render(<StructureChip problem={scene().problem} />));
    expect(host.textContent).toBe('several places are short');
    expect(all('.steps .on')).toHaveLength(2);
  });

  it('speak of the base outside base ten', () => {
    openDocument(documentWith('11_2 + 100_2', ['column-addition']));
    act(() => root.render(<StructureChip problem={scene().problem} />));
    expect(host.textContent).toBe('no place reaches the base');
  });

  it('warn only where counted things would be fewer than none', () => {
    openDocument({
      ...documentWith('38 − 52', ['partial-differences']),
      unit: 'stakes',
      counted: true,
    });
    act(() => root.render(<ContextNotes problem={scene().problem} />));
    expect(host.textContent).toBe('makes no sense in stakes');
    act(() => dispatch(changed((content) => ({ ...content, counted: false }))));
    expect(host.textContent).toBe('');
  });
});
