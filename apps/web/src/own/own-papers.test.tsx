/** @jest-environment jsdom */
import { act, type ReactNode } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { FRESH_ROOM, isOwnLines, workOf, type OwnLinesMethod } from '@levee/core';
import { judgeTyped } from '../away/typed-job.ts';
import { SharedPicture } from '../pictures/shared-picture.tsx';
import { openDocument, useComparison } from '../store/comparison-store.ts';
import { freshDocument, ownPaper } from '../store/content.ts';
import { deskOf, documentOf, settled } from '../store/desk.ts';
import { resetSession } from '../store/session-store.ts';
import { useSettings } from '../store/settings-store.ts';
import { work, type Paper } from '../worked/work.ts';
import { LineSaid } from './line-said.tsx';
import { OwnHead } from './own-head.tsx';
import { OwnSentence } from './own-sentence.tsx';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

/** A page without layout, on which everything has no size. */
class NoSizes implements ResizeObserver {
  observe(): void {
    return undefined;
  }
  unobserve(): void {
    return undefined;
  }
  disconnect(): void {
    return undefined;
  }
}
globalThis.ResizeObserver = NoSizes;

let root: Root;
let host: HTMLElement;

beforeEach(() => {
  resetSession();
  useSettings.setState({ oneLaw: false });
  host = document.createElement('div');
  document.body.append(host);
  root = createRoot(host);
});

afterEach(() => {
  act(() => root.unmount());
  host.remove();
});

/** A paper of own lines that lies alone on the bench. */
function lay(
  problem: string,
  ...lines: readonly string[]
): { paper: Paper; method: OwnLinesMethod } {
  const desk = deskOf(freshDocument());
  const content = { ...desk.content, problem, papers: [ownPaper(workOf(lines))] };
  const laid = settled({
    ...desk,
    content,
    progress: { steps: {}, pace: 'amount', room: FRESH_ROOM },
  });
  act(() => openDocument(documentOf(laid)));
  const [paper] = work(useComparison.getState().content).papers;
  if (!paper || !isOwnLines(paper.method)) throw new Error('no own lines');
  return { paper, method: paper.method };
}

const show = (node: ReactNode) => act(() => root.render(node));
const text = () => (host.textContent ?? '').replace(/\s+/g, ' ').trim();

describe('the sentence under own lines', () => {
  it('is quiet about a leap until it is asked which moves it takes', () => {
    const own = lay('38 + 27', '= 50 + 15', '= 65');
    show(<OwnSentence {...own} step={4} />);
    expect(text()).toBe('✓ Right, two moves at once. which?');
    act(() => host.querySelector('button')!.click());
    expect(text()).toBe(
      '✓ Right, two moves at once: taken apart by places, then worked out. Between them: 30 + 8 + 20 + 7.',
    );
  });

  it('tells the moves at once where one law a line is asked for', () => {
    useSettings.setState({ oneLaw: true });
    const own = lay('38 + 27', '= 50 + 15', '= 65');
    show(<OwnSentence {...own} step={4} />);
    expect(text()).toContain('Between them: 30 + 8 + 20 + 7.');
    expect(host.querySelector('button')).toBeNull();
  });

  it('tells by how much a wrong line is off, and where the rule holds that it took', () => {
    const own = lay('46 × 58', '= 48 × 56', '= 2688');
    show(<OwnSentence {...own} step={1} />);
    expect(text()).toMatch(/^✗ 20 too much\. One number may give what the other takes in a sum/);
  });

  it('says what has no amount yet', () => {
    const empty = lay('46 × 58');
    show(<OwnSentence {...empty} step={0} />);
    expect(text()).toBe('Nothing is worked yet.');
    const aside = lay('46 × 58', '7 × 7 = 49');
    show(<OwnSentence {...aside} step={0} />);
    expect(text()).not.toBe('Nothing is worked yet.');
  });
});

describe('the head of own lines', () => {
  it.each([
    [['= 2668'], '1 line ✓'],
    [['= 46 × 50 + 46 × 8', '= 2300 + 368', '= 2668'], '3 lines ✓'],
    [['= 48 × 56'], '1 line: 1 not equal'],
    [['= 46 × (58'], '1 line: 1 not read'],
    [[], 'empty'],
  ])('counts %j as %s', (lines, count) => {
    const own = lay('46 × 58', ...lines);
    show(<OwnHead {...own} />);
    expect(host.querySelector('.line-count')!.textContent).toBe(count);
  });
});

describe('what is said while a line is typed', () => {
  const said = (lines: readonly string[], typed: string) => judgeTyped('46 × 58', lines, typed);

  it('shows how far it could be read, and where not', () => {
    const answer = said([], '= 46 × ((60');
    show(<LineSaid said={answer} text="= 46 × ((60" chosen={-1} take={() => undefined} />);
    expect(answer.verdict).toBe('unread');
    expect(host.querySelector('mark')).not.toBeNull();
  });

  it('offers what can be taken, the chosen one with its key', () => {
    const answer = said(['= 46 × 60 − 46 × 2'], '=');
    const taken: string[] = [];
    const take = (offer: { readonly label: string }) => void taken.push(offer.label);
    show(<LineSaid said={answer} text="=" chosen={0} take={take} />);
    const chips = [...host.querySelectorAll<HTMLButtonElement>('.offers button')];
    expect(chips.length).toBeGreaterThan(0);
    expect(chips[0]!.textContent).toMatch(/2\s760/);
    expect(chips[0]!.querySelector('kbd')!.textContent).toBe('→');
    act(() => chips[0]!.click());
    expect(taken).toEqual([answer.offers[0]!.label]);
  });
});

describe('the picture of what no method works', () => {
  it('is one length', () => {
    lay('46 × 58 − 12', '= 2668 − 12', '= 2656');
    show(<SharedPicture />);
    expect(text()).toContain('One length, line by line');
    lay('3 × 4 − 5 × 6', '= 12 − 30', '= −18');
    show(<SharedPicture />);
    expect(text()).toContain('One length, line by line');
  });

  it('is none where letters stand in it, or nothing is left', () => {
    lay('(x + 4) ÷ 2', '= x ÷ 2 + 2');
    show(<SharedPicture />);
    expect(text()).toContain('No one picture');
    lay('3 × 4 − 12', '= 0');
    show(<SharedPicture />);
    expect(text()).toContain('No one picture');
  });
});
