import { compare } from '../../compare/compare.ts';
import { registry } from '../../methods/index.ts';
import { problemFrom } from '../../testing/work.ts';
import { isAwaiting, knownLinesMethod, waitingLinesMethod } from './lines-method.ts';
import { judgedLines, ownLinesMethod } from './method.ts';
import { workOf } from './own-work.ts';

const TEXT = '642 − 387';
const PROBLEM = problemFrom(TEXT);
const LINES = ['= 642 − 400 + 13', '= 242 + 13', '= 255'];

describe('lines that were judged elsewhere', () => {
  it('are the paper that they are when they are judged here', () => {
    const own = workOf(LINES);
    const here = ownLinesMethod(own);
    const known = knownLinesMethod(own, judgedLines(TEXT, own));
    expect(known.trace(PROBLEM)).toEqual(here.trace(PROBLEM));
    expect(known.sheet(known.trace(PROBLEM))).toEqual(here.sheet(here.trace(PROBLEM)));
    expect(isAwaiting(known, PROBLEM)).toBe(false);
  });
});

describe('lines that are being judged', () => {
  const known = judgedLines(TEXT, workOf(LINES));

  it('stand with their words and without an account where nothing is known of them', () => {
    const waiting = waitingLinesMethod(workOf(LINES), []);
    expect(isAwaiting(waiting, PROBLEM)).toBe(true);
    expect(waiting.trace(PROBLEM).steps).toEqual([]);
    const words = waiting.sheet(waiting.trace(PROBLEM)).signs.map(({ text }) => text ?? '');
    expect(words.join(' ')).toContain('642 − 400 + 13');
    expect(waiting.judged(PROBLEM).paper.lines.map(({ verdict }) => verdict)).toEqual([
      'note',
      'note',
      'note',
    ]);
  });

  it.each([
    ['one more line', [...LINES, '= 256'], 3],
    ['the last one otherwise', [...LINES.slice(0, 2), '= 256'], 2],
    ['one in the middle otherwise', [LINES[0]!, '= 243 + 13', LINES[2]!], 1],
    ['the last one gone', LINES.slice(0, 2), 2],
  ])('keep what was known of the lines before: %s', (_, lines, same) => {
    const waiting = waitingLinesMethod(workOf(lines), [known]);
    const verdicts = waiting.judged(PROBLEM).paper.lines.map(({ verdict }) => verdict);
    expect(verdicts).toEqual(lines.map((_, k) => (k < same ? 'lawful' : 'note')));
    const trace = waiting.trace(PROBLEM);
    const before = judgedLines(TEXT, workOf(LINES.slice(0, same))).trace;
    expect(trace.steps).toEqual(before.steps);
    expect(trace.answer.equals(PROBLEM_VALUE)).toBe(true);
    expect(trace.isUnfinished).toBe(true);
    const [lane] = compare(PROBLEM, [
      { method: waiting },
      { method: registry.get('decomposition') },
    ]).lanes;
    expect(lane!.trace).toBe(trace);
  });

  it('keep nothing of the lines of another computation', () => {
    const other = judgedLines('642 − 388', workOf(['= 642 − 400 + 12']));
    const waiting = waitingLinesMethod(workOf(LINES), [other]);
    expect(waiting.trace(PROBLEM).steps).toEqual([]);
  });

  it('take what is known of most of their lines', () => {
    const few = judgedLines(TEXT, workOf(LINES.slice(0, 1)));
    const waiting = waitingLinesMethod(workOf(LINES), [few, known]);
    expect(waiting.trace(PROBLEM).steps).toEqual(known.trace.steps);
  });
});

const PROBLEM_VALUE = judgedLines(TEXT, workOf([])).trace.total;
