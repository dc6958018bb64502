import { foundShares } from '../../account/rewriting.ts';
import { stepLabels } from '../../compare/looked-at.ts';
import { speakerFor } from '../../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../../phrases/vocabulary.ts';
import { resultOf } from '../../account/result.ts';
import { compare } from '../../compare/compare.ts';
import { Exact } from '../../exact/exact.ts';
import { sheetText } from '../../sheet/text-sink.ts';
import { problemFrom } from '../../testing/work.ts';
import { ownLinesMethod } from './method.ts';
import { workOf } from './own-work.ts';

function drawn(problem: string, ...lines: readonly string[]): string {
  const method = ownLinesMethod(workOf(lines));
  const trace = method.trace(problemFrom(problem));
  return sheetText(method.sheet(trace), trace, { notes: false })
    .split('\n')
    .map((line) => line.trim().replace(/\s+/g, ' '))
    .filter((line) => line !== '')
    .join('\n');
}

describe('a paper of own lines', () => {
  it('shows every line as it is typed, what stays written again', () => {
    expect(drawn('642 − 387', '= 642 − 300 − 80 − 7', '= 342 − 80 − 7', '= 255')).toBe(
      ['642 − 387', '= 642 − 300 − 80 − 7', '= 342 − 80 − 7', '= 255'].join('\n'),
    );
  });

  it('shows statements and jumps on their own lines', () => {
    expect(drawn('46 × 58', '46 × 60 = 2760', '46 × 2 = 92', '2760 − 92', '= 2668')).toBe(
      ['46 × 58', '46 × 60 = 2760', '46 × 2 = 92', '= 2760 − 92', '= 2668'].join('\n'),
    );
    expect(drawn('642 − 387', '387 +13→ 400 +242→ 642', '= 255')).toBe(
      ['642 − 387', '387 + 13 → 400 + 242 → 642', '= 255'].join('\n'),
    );
  });

  it('stands beside itself, another order of the same amounts', () => {
    const problem = problemFrom('46 × 58');
    const one = ownLinesMethod(workOf(['= 46 × 50 + 46 × 8', '= 2300 + 368', '= 2668']));
    const other = ownLinesMethod(workOf(['= 46 × 8 + 46 × 50', '= 368 + 2300', '= 2668']));
    const { lanes } = compare(problem, [{ method: one }, { method: other }]);
    const terms = lanes.map(({ trace, termsOf }) =>
      trace.steps.flatMap(({ gives }) => gives.map(({ id }) => termsOf(id).ids().join(' '))).sort(),
    );
    expect(terms[0]).toEqual(terms[1]);
  });

  it('follows lines one by one where their terms cannot be', () => {
    const root = ownLinesMethod(workOf(['= √4 × √1849', '= 2 × 43', '= 86']));
    const trace = root.trace(problemFrom('√7396'));
    expect(trace.balanced).toBe(true);
    expect(resultOf(trace)).toMatchObject({ root: Exact.of(86n) });
    expect(trace.steps.map(({ balance }) => balance.toString())).toEqual(['7396', '7396', '7396']);
  });

  it('finds a quotient by a table, and tells steps by what stands on the paper', () => {
    const problem = problemFrom('952 ÷ 7');
    const table = ownLinesMethod(workOf(['1 | 7', '10 | 70', '136 | 952'])).trace(problem);
    expect(foundShares(table).map(String)).toEqual(['0', '136']);
    const parts = ownLinesMethod(workOf(['= 700 ÷ 7 + 252 ÷ 7', '= 100 + 36', '= 136']));
    expect(foundShares(parts.trace(problem)).map(String)).toEqual(['0', '0', '100', '136', '136']);
    const mixed = problemFrom('2 1/3 + 1 3/4');
    const lines = ['= 3 + 13/12', '= 4 1/12'];
    const trace = ownLinesMethod(workOf(lines)).trace(mixed);
    expect(stepLabels(trace, speakerFor(mixed, DEFAULT_VOCABULARY)).at(-1)).toBe('= 4 1/12');
  });

  it('is there with nothing on it, and unfinished until it has an answer', () => {
    const problem = problemFrom('46 × 58');
    const blank = ownLinesMethod(workOf([])).trace(problem);
    expect([blank.steps.length, blank.isUnfinished]).toEqual([0, true]);
    expect(ownLinesMethod(workOf(['= 46 × 60 − 46 × 2'])).trace(problem).isUnfinished).toBe(true);
    expect(ownLinesMethod(workOf(['= 2668'])).trace(problem).isUnfinished).toBeUndefined();
  });

  it('keeps struck lines legible and does not judge them', () => {
    const own = {
      ...workOf(['= 46 × 60 − 60 × 2', '= 46 × 60 − 46 × 2', '= 2668']),
      code: 'T07',
    };
    const [wrong, ...right] = own.lines;
    const method = ownLinesMethod({ ...own, lines: [{ ...wrong!, struck: true }, ...right] });
    const problem = problemFrom('46 × 58');
    expect(method.trace(problem).balanced).toBe(true);
    expect(method.name).toBe('T07’s lines');
    const work = method.judged(problem);
    expect([0, 1, 2].map((at) => work.lineAt(at)?.verdict ?? null)).toEqual([
      null,
      'lawful',
      'lawful',
    ]);
    expect(sheetText(method.sheet(method.trace(problem)), method.trace(problem))).toContain(
      '46 × 60 − 60 × 2',
    );
  });
});
