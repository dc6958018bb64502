import { problemText } from '../../problem/problem.ts';
import { readAsked } from '../read/asked.ts';
import { lineSlip, wrongWorking } from './line-slip.ts';
import { judgeLines } from '../judge/judge-lines.ts';

function found(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  const working = wrongWorking(judgeLines(read.asked, lines), lines.length);
  const asked = working && `${problemText(working.problem)} → ${working.answer.toString()}`;
  return [asked, working && (lineSlip(working)?.address ?? null)];
}

describe('the slip of a line', () => {
  it.each([
    ['46 × 58', ['= 598'], '46 × 58 → 598', 'omit-placeholder@line-1'],
    ['46 × 58', ['= 46 × 60 − 46 × 2', '= 276 − 92'], '46 × 60 → 276', 'omit-placeholder@line-1'],
    ['46 × 58', ['= 46 × 60 − 46 × 2', '= 2760 − 82'], '46 × 2 → 82', 'forget-carry@line-0.1'],
    ['642 − 387', ['387 + 13 = 390'], '387 + 13 → 390', 'forget-carry@place-1'],
    ['952 ÷ 7', ['7 × 36 = 242'], '7 × 36 → 242', 'wrong-fact@place-1=4'],
    ['864 ÷ 6', ['= 600 ÷ 6 + 264 ÷ 6', '= 10 + 44'], '600 ÷ 6 → 10', 'skip-zero@place-0'],
  ])('%s %j: %s by %s', (problem, lines, asked, address) => {
    expect(found(problem, lines)).toEqual([asked, address]);
  });

  it('is none where the computation that is wrong is one that no slip explains', () => {
    expect(found('46 × 58', ['40 × 8 = 347'])).toEqual(['40 × 8 → 347', null]);
  });

  it.each([
    ['a line that is right', ['= 46 × 60 − 46 × 2']],
    ['a line that is wrong in two places', ['= 46 × 60 − 46 × 2', '= 276 − 82']],
    ['a line with a number too many', ['= 46 × 60 − 46 × 2 + 5']],
    ['a line of two numbers for one', ['= 2000 + 700']],
    ['a line that works nothing out', ['= 46 × 61 − 46 × 2']],
    ['a line that cannot be read', ['= 46 × (']],
  ])('is none of %s', (_, lines) => {
    expect(found('46 × 58', lines)).toEqual([null, null]);
  });
});
