import { NO_LINES, workOf, type OwnWork } from '@levee/core';
import { openDocument, useComparison } from '../store/comparison-store.ts';
import { freshDocument, ownPaper } from '../store/content.ts';
import { useSession } from '../store/session-store.ts';
import {
  asWritten,
  joinLine,
  leaveTyping,
  putLine,
  putLines,
  splitLine,
  strikeLine,
  typeOn,
  withPoint,
  withTexts,
} from './typing.ts';

const paper = 'p1';

function open(...lines: readonly string[]): void {
  const document = freshDocument();
  openDocument({
    ...document,
    papers: [{ ...ownPaper(workOf(lines)), id: paper }],
    steps: { [paper]: 0 },
  });
}

function own(): OwnWork {
  return useComparison.getState().content.papers[0]!.own!;
}

const texts = () => own().lines.map(({ text }) => text);
const typing = () => useSession.getState().typing;

describe('typing on a paper of own lines', () => {
  it('puts lines, new ones behind the last, and shows all of them', () => {
    open();
    putLine(paper, 0, '= 46 × 60 − 46 × 2');
    putLine(paper, 1, '= 2760 − 92');
    expect(texts()).toEqual(['= 46 × 60 − 46 × 2', '= 2760 − 92']);
    expect(useComparison.getState().progress.steps[paper]).toBe(3);
    putLine(paper, 1, '');
    expect(texts()).toEqual(['= 46 × 60 − 46 × 2']);
  });

  it('goes to a new line behind the last, and splits a line at the caret', () => {
    open('= 2668');
    splitLine(paper, 0, '= 2668', 6);
    expect(texts()).toEqual(['= 2668']);
    expect(typing()).toEqual({ paper, line: 1, caret: 0 });
    splitLine(paper, 0, '= 2668', 2);
    expect(texts()).toEqual(['= ', '2668']);
  });

  it('joins a line with the one before, the caret between them', () => {
    open('= 2760 ', '− 92');
    joinLine(paper, 1, '− 92');
    expect(texts()).toEqual(['= 2760 − 92']);
    expect(typing()).toEqual({ paper, line: 0, caret: 7 });
    joinLine(paper, 0, 'x');
    expect(texts()).toEqual(['= 2760 − 92']);
  });

  it('puts several lines in the place of one, and keeps what follows', () => {
    open('7 + 9 = 16 + 4 = 20', '= 20');
    putLines(paper, 0, ['7 + 9 = 16', '16 + 4 = 20']);
    expect(texts()).toEqual(['7 + 9 = 16', '16 + 4 = 20', '= 20']);
  });

  it('strikes a line and takes the stroke away', () => {
    open('= 46 × 6', '= 2668');
    strikeLine(paper, 0);
    expect(own().lines.map(({ struck }) => struck)).toEqual([true, false]);
    putLine(paper, 0, '= 46 × 60');
    expect(own().lines[0]).toEqual({ text: '= 46 × 60', struck: true });
    strikeLine(paper, 0);
    expect(own().lines[0]!.struck).toBe(false);
  });

  it('leaves no empty line behind', () => {
    open('= 2700', '', '= 2668');
    typeOn(paper, { line: 1 });
    leaveTyping();
    expect(texts()).toEqual(['= 2700', '= 2668']);
    expect(typing()).toBeNull();
  });

  it('changes nothing, also for undo, where nothing was typed', () => {
    open('= 2668');
    const before = useComparison.getState().content;
    putLine(paper, 0, '= 2668');
    typeOn(paper, { line: 1 });
    leaveTyping();
    expect(useComparison.getState().content).toBe(before);
  });

  it('keeps sixty lines and two thousand characters of each', () => {
    const many = withTexts(
      NO_LINES,
      0,
      0,
      Array.from({ length: 70 }, (_, k) => `${k}${'1'.repeat(3000)}`),
    );
    expect(many.lines).toHaveLength(60);
    expect(many.lines[0]!.text).toHaveLength(2000);
  });
});

describe('a full paper', () => {
  const sixty = Array.from({ length: 60 }, (_, k) => `${k} + 1`);

  it('loses no line to Enter, and takes only as many pasted ones as there is room for', () => {
    open(...sixty);
    splitLine(paper, 3, '3 + 1', 2);
    expect(texts()).toEqual(sixty);
    splitLine(paper, 59, '59 + 1', 6);
    expect(texts()).toEqual(sixty);
    expect(typing()).toMatchObject({ line: 59 });
    putLines(paper, 0, ['a', 'b', 'c']);
    expect(texts()).toEqual(['a', ...sixty.slice(1)]);
    open(...sixty.slice(0, 58));
    putLines(paper, 58, ['a', 'b', 'c']);
    expect(texts().slice(-3)).toEqual(['57 + 1', 'a', 'b']);
  });
});

describe('a point', () => {
  it('is a comma where she writes one, and a point where it is kept', () => {
    expect(withPoint('= 8 + 3,55', ',', '.')).toBe('= 8 + 3.55');
    expect(withPoint('1 | 7, 10 | 70', ',', '.')).toBe('1 | 7, 10 | 70');
    expect(withPoint('= 8 + 3.55', '.', ',')).toBe('= 8 + 3,55');
    expect(withPoint('= 8 + 3.55.', '.', '.')).toBe('= 8 + 3.55.');
  });
});

describe('what is typed', () => {
  it.each([
    ['=', '= '],
    ['46*60 - 46*2', '46×60 − 46×2'],
    ['387 -> 400', '387 → 400'],
    ['387 −> 400', '387 → 400'],
    ['twenty-four is half of forty-eight', 'twenty-four is half of forty-eight'],
    ['sqrt 12 - 2', 'sqrt 12 − 2'],
  ])('%s is written %s', (typed, written) => {
    expect(asWritten(typed)).toBe(written);
  });
});
