import { readComputation } from '../problem/computation.ts';
import { ownLinesMethod } from '../own/paper/method.ts';
import { workOf } from '../own/paper/own-work.ts';
import { commonText } from './certificate/agreement-export.ts';
import { compare } from './compare.ts';
import { laidBeyond } from './laid-beyond.ts';
import { reasonsOf } from './certificate/reasons.ts';

function made(problem: string, lines: readonly string[]) {
  const read = readComputation(problem);
  if (!read.ok) throw new Error(problem);
  const method = ownLinesMethod(workOf(lines));
  return { problem: read.problem, method, trace: method.trace(read.problem) };
}

describe('what is laid beyond the numbers', () => {
  it.each([
    ['46 × 58', ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'], '92', false],
    ['46 × 58', ['= 50 × 58 − 4 × 58', '= 2668'], '232', false],
    ['642 − 387', ['= 642 − 400 + 13', '= 255'], '13', true],
    ['38 + 27', ['= 40 + 27 − 2', '= 65'], '2', false],
  ])('of %s %j is %s', (problem, lines, amount, isTaken) => {
    const { trace } = made(problem, lines);
    expect(laidBeyond(trace, 'W')).toEqual({ name: 'W', amount, isTaken });
  });

  it.each([
    ['46 × 58', ['= 40 × 58 + 6 × 58', '= 2668']],
    ['642 − 387', ['= 655 − 400', '= 255']],
    ['46 × 58', ['= 46 × 60', '= 2760']],
    ['46 × 58', ['= 23 × 116', '= 2668']],
  ])('of %s %j is nothing that is made good', (problem, lines) => {
    expect(laidBeyond(made(problem, lines).trace, 'W')).toBeNull();
  });

  it('is told with how the works agree', () => {
    const { problem, method } = made('46 × 58', ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668']);
    const reasons = reasonsOf(compare(problem, [{ method }]));
    expect(commonText(reasons, (text) => text)).toMatch(/Own lines: 92 is added and taken back\.$/);
  });
});
