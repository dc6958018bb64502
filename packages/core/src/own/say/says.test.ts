import { readAsked } from '../read/asked.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { briefOf, quietSaysOf, saysOf } from './says.ts';

function line(problem: string, ...lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return judgeLines(read.asked, lines).lines.at(-1)!;
}

describe('what is said of a line', () => {
  it('tells the moves of a leap and the line between, or leaves them until they are asked for', () => {
    const leap = line('642 − 387', '= 300 − 45');
    expect(quietSaysOf(leap)).toBe('Right, two moves at once.');
    expect(saysOf(leap)).toMatch(/^Right, two moves at once: .+ Between them: 600 \+ 40 \+ 2/);
    expect(briefOf(leap)).toEqual({ sign: '✓', words: 'two moves' });
  });

  it.each([
    ['46 × 58', '= 46 × 60 − 46 × 2'],
    ['46 × 58', '= 48 × 56'],
    ['46 × 58', '= 1234 + 1434'],
    ['46 × 58', '46 × 60 = 2760 − 92 = 2668'],
    ['46 × 58', '= 46 × ('],
    ['46 × 58', 'a note'],
  ])('is the same quietly for a line that is no leap: %s %s', (problem, text) => {
    expect(quietSaysOf(line(problem, text))).toBe(saysOf(line(problem, text)));
  });
});
