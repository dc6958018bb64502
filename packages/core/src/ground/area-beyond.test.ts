import { ownLinesMethod } from '../own/paper/method.ts';
import { workOf } from '../own/paper/own-work.ts';
import { problemFrom, worked } from '../testing/work.ts';
import { stripsBeyond } from './area-beyond.ts';

function strips(problem: string, ...lines: readonly string[]) {
  const trace = ownLinesMethod(workOf(lines)).trace(problemFrom(problem));
  return stripsBeyond(trace).map(({ side, from, to, text, worth, since, marks }) => ({
    side,
    from: Math.round(from * 1000) / 1000,
    to: Math.round(to * 1000) / 1000,
    text,
    worth: worth.toString(),
    since,
    marks: marks.size,
  }));
}

describe('what lies beyond the rectangle', () => {
  it('is a strip along the side that was lengthened', () => {
    expect(strips('46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668')).toEqual([
      { side: 'across', from: 1, to: 1.034, text: '2', worth: '92', since: 1, marks: 4 },
    ]);
    expect(strips('46 × 58', '= 50 × 58 − 4 × 58', '= 2900 − 232')).toMatchObject([
      { side: 'down', from: 1, text: '4', worth: '232' },
    ]);
  });

  it('is a share beyond the dividend of a quotient', () => {
    expect(strips('693 ÷ 7', '= 700 ÷ 7 − 7 ÷ 7', '= 100 − 1', '= 99')).toMatchObject([
      { side: 'across', text: '7', worth: '1', since: 1 },
    ]);
  });

  it('is nothing where nothing is laid too far, nor on lines of sums', () => {
    expect(strips('46 × 58', '= 46 × 50 + 46 × 8')).toEqual([]);
    expect(strips('642 − 387', '= 642 − 400 + 13')).toEqual([]);
    // The 1 that a named square lays too far is no whole strip of 19 or 21.
    expect(strips('19 × 21', '= (20 − 1)(20 + 1)', '= 20^2 − 1', '= 399')).toEqual([]);
    expect(stripsBeyond(worked('lattice', '46 × 58'))).toEqual([]);
  });
});
