import { compare } from '../compare/compare.ts';
import { sheetText } from '../sheet/text-sink.ts';
import { problemFrom } from '../testing/work.ts';
import { ownLinesMethod } from './method.ts';

function drawn(problem: string, ...lines: readonly string[]): string {
  const method = ownLinesMethod(lines);
  const trace = method.trace(problemFrom(problem));
  return sheetText(method.sheet(trace), trace)
    .split('\n')
    .map((line) => line.trim().replace(/\s+/g, ' '))
    .filter((line) => line !== '')
    .join('\n');
}

describe('a paper of own lines', () => {
  it('shows every line as it is typed, what stays written again', () => {
    expect(drawn('642 − 387', '= 642 − 300 − 80 − 7', '= 342 − 80 − 7', '= 255')).toBe(
      ['642 − 387', '= 642 −300 −80 −7', '= 342 −80 −7', '= 255'].join('\n'),
    );
  });

  it('shows statements and jumps on their own lines', () => {
    expect(drawn('46 × 58', '46 × 60 = 2760', '46 × 2 = 92', '2760 − 92', '= 2668')).toBe(
      ['46 × 58', '46 × 60 = 2760', '−46 × 2 = −92', '= 2760 −92', '= 2668'].join('\n'),
    );
    expect(drawn('642 − 387', '387 +13→ 400 +242→ 642', '= 255')).toBe(
      ['642 − 387', '387 + 13 → 400 + 242 → 642', '= 255'].join('\n'),
    );
  });

  it('stands beside itself, another order of the same amounts', () => {
    const problem = problemFrom('46 × 58');
    const one = ownLinesMethod(['= 46 × 50 + 46 × 8', '= 2300 + 368', '= 2668']);
    const other = ownLinesMethod(['= 46 × 8 + 46 × 50', '= 368 + 2300', '= 2668']);
    const { lanes } = compare(problem, [{ method: one }, { method: other }]);
    const terms = lanes.map(({ trace, termsOf }) =>
      trace.steps.flatMap(({ gives }) => gives.map(({ id }) => termsOf(id).ids().join(' '))).sort(),
    );
    expect(terms[0]).toEqual(terms[1]);
  });

  it('refuses problems and lines that have no account', () => {
    expect(ownLinesMethod(['= 11/12']).accepts(problemFrom('3/4 + 1/6')).ok).toBe(true);
    expect(ownLinesMethod(['= 86']).accepts(problemFrom('√7396')).ok).toBe(false);
    expect(() => ownLinesMethod(['= 86']).trace(problemFrom('√7396'))).toThrow(RangeError);
  });
});
