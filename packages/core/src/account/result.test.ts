import { registry } from '../methods/index.ts';
import { problemFrom } from '../testing/work.ts';
import { compare } from '../compare/compare.ts';
import { secondMethodCheck } from '../checks/second-method-check.ts';
import { comparisonReport } from '../formats/comparison-report.ts';
import { resultOf, sameResult } from './result.ts';

const of = (problem: string, method: string, school = {}) => {
  const own = registry.get(method);
  return resultOf(own.trace(problemFrom(problem), { school: { ...own.defaultSchool, ...school } }));
};

describe('a result', () => {
  it('is what the paper says, not what its account holds', () => {
    expect(of('46 × 58', 'lattice')).toMatchObject({ kind: 'number' });
    const rest = of('1835 ÷ 24', 'long-division', { stop: 'remainder' });
    expect(JSON.parse(JSON.stringify(rest))).toEqual({
      kind: 'quotient',
      quotient: '76',
      rest: '11',
    });
    expect(JSON.parse(JSON.stringify(of('√72', 'prime-pairs')))).toEqual({
      kind: 'root',
      root: '6',
      under: '2',
      left: '0',
    });
  });

  it('is the same only when it is one and the same', () => {
    expect(sameResult(of('46 × 58', 'lattice'), of('46 × 58', 'crosswise'))).toBe(true);
    const [rest, decimals] = ['remainder', 'tenths'].map((stop) =>
      of('27 ÷ 2', 'long-division', { stop }),
    );
    expect(sameResult(rest!, decimals!)).toBe(false);
    const digits = of('√72', 'digit-pairs', { stop: 'two-places' });
    expect(sameResult(of('√72', 'prime-pairs'), digits)).toBe(false);
    expect(sameResult(digits, of('√72', 'digit-pairs', { stop: 'one-place' }))).toBe(false);
    expect(sameResult(of('√7396', 'prime-pairs'), of('√7396', 'digit-pairs'))).toBe(true);
  });

  it('of a root that was broken off is told apart from one that came out', () => {
    const methods = ['digit-pairs', 'prime-pairs'].map((id) => ({ method: registry.get(id) }));
    const comparison = compare(problemFrom('√72'), methods);
    expect(comparisonReport(comparison)).toMatchObject({ sameResult: false, agree: true });
    const [lane, other] = comparison.lanes;
    const subject = { comparison, lane: lane!, other: other!, estimate: null, calculated: null };
    const { lines, outcome } = secondMethodCheck.make(subject, lane!.trace.answer);
    expect(outcome).toBe('agrees');
    expect(lines[0]).toMatch(/6√2, this paper 8\.48 r 0\.0896: not the same number, but squared/);
  });
});
