import { readAsked } from '../../read/asked.ts';
import { judgeLines } from '../judge-lines.ts';

/** How one line follows from a problem: its verdict and its law. */
function told(problem: string, line: string): readonly (string | null)[] {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  const [only] = judgeLines(read.asked, [line]).lines;
  return [only!.verdict, only!.law];
}

describe('powers', () => {
  it.each([
    ['2^5', '= 4 × 4 × 2'],
    ['3^4', '= 9 × 9'],
    ['2^10', '= 32 × 32'],
    ['2^3 × 5^3', '= 10 × 10 × 10'],
    ['10^3 × 7', '= 10 × 700'],
  ])('%s %s works factors out', (problem, line) => {
    expect(told(problem, line)).toEqual(['lawful', 'evaluate']);
  });

  it.each([
    ['2^5', '= 2^2 × 2^3'],
    ['12 × 12', '= 12^2'],
    ['x^2 × x', '= x^3'],
    ['(x+3)^2', '= (x+3)(x+3)'],
  ])('%s %s puts powers together or writes them out', (problem, line) => {
    expect(told(problem, line)).toEqual(['lawful', 'like-terms']);
  });

  it.each([
    ['46^2', '= 46 × 40 + 46 × 6'],
    ['12^3', '= 10 × 12 × 12 + 2 × 12 × 12'],
  ])('%s %s is the distributive law', (problem, line) => {
    expect(told(problem, line)).toEqual(['lawful', 'distribute']);
  });

  it.each([
    ['2^4', '= 4^3', '48'],
    ['2^5', '= 2 × 5', '-22'],
    ['3^2 × 3^3', '= 9^5', '58806'],
  ])('%s %s is off by %s', (problem, line, off) => {
    const read = readAsked(problem);
    if (!read.ok) throw new Error(read.reason);
    const [only] = judgeLines(read.asked, [line]).lines;
    expect([only!.verdict, `${only!.off}`]).toEqual(['unequal', off]);
  });
});
