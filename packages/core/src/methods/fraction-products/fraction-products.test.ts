import fc from 'fast-check';
import { type Exact } from '../../exact/exact.ts';
import { numeralValue } from '../../exact/numeral.ts';
import { readProblem } from '../../problem/problem.ts';
import { fractionFactors, fractionShares } from '../../testing/fraction-numbers.ts';
import { problemFrom, worked } from '../../testing/work.ts';
import { registry } from '../index.ts';

const texts = (id: string, problem: string, school = {}) =>
  worked(id, problem, { school: { ...registry.get(id).defaultSchool, ...school } }).steps.flatMap(
    ({ gives }) => gives.filter(({ worth }) => !worth.isZero).map(({ glyph }) => glyph),
  );

describe('the rows of a paper', () => {
  it.each([
    ['fraction-product', '3/4 × 2/9', {}, ['6/36', '1/6']],
    ['fraction-product', '3/4 × 2/9', { cancel: 'before' }, ['1/4 × 2/3', '1/2 × 1/3', '1/6']],
    ['fraction-product', '1 1/2 × 2 1/3', {}, ['3/2 × 2 1/3', '3/2 × 7/3', '21/6', '7/2', '3 1/2']],
    ['fraction-area', '1 1/2 × 2/3', {}, ['4/6', '2/6', '6/6', '1/1', '1']],
    ['fraction-reciprocal', '3/4 ÷ 2/3', {}, ['3/4 × 3/2', '9/8', '1 1/8']],
    ['fraction-reciprocal', '6 ÷ 3/4', {}, ['6/1 ÷ 3/4', '6/1 × 4/3', '24/3', '8/1', '8']],
    ['fraction-common-denominator', '3/4 ÷ 2/3', {}, ['9/12 ÷ 2/3', '9/12 ÷ 8/12', '9/8', '1 1/8']],
    ['fraction-common-denominator', '4/5 ÷ 2/5', {}, ['4/2', '2/1', '2']],
  ])('of %s for %s %j are all worth the same: %j', (id, problem, school, rows) => {
    expect(texts(id, problem, school)).toEqual(rows);
  });

  it('of three and more factors are multiplied at once', () => {
    expect(texts('fraction-product', '1/2 × 2/3 × 3/4')).toEqual(['6/24', '1/4']);
  });
});

describe('the answer', () => {
  const value = ({ operands }: ReturnType<typeof problemFrom>) => operands.map(numeralValue);

  it('is the product by both methods, whatever is cancelled first', () => {
    fc.assert(
      fc.property(fractionFactors(), fc.constantFrom('before', 'after'), (problem, cancel) => {
        const [a, b] = value(problem) as [Exact, Exact];
        for (const id of ['fraction-product', 'fraction-area']) {
          const method = registry.get(id);
          if (!method.accepts(problem).ok) continue;
          const { answer } = method.light(problem, { school: { ...method.defaultSchool, cancel } });
          expect(answer.equals(a.times(b))).toBe(true);
        }
      }),
    );
  });

  it('is the quotient by both methods', () => {
    fc.assert(
      fc.property(fractionShares(), (problem) => {
        const [a, b] = value(problem) as [Exact, Exact];
        for (const id of ['fraction-reciprocal', 'fraction-common-denominator']) {
          const { answer } = registry.get(id).light(problem, {});
          expect(answer.times(b).equals(a)).toBe(true);
        }
      }),
    );
  });
});

describe('what is refused', () => {
  const reason = (id: string, text: string) => {
    const accepted = registry.get(id).accepts(problemFrom(text));
    return accepted.ok ? null : accepted.reason.code;
  };

  it.each([
    ['fraction-product', '46 × 58', 'no-fractions'],
    ['fraction-product', '3/4 + 1/6', 'kind-not-worked'],
    ['fraction-product', '1/400 × 1/300', 'denominator-too-large'],
    ['fraction-area', '1/13 × 1/2', 'too-fine-to-draw'],
    ['fraction-area', '7 × 1/2', 'too-fine-to-draw'],
    ['fraction-area', '1/2 × 1/3 × 1/4', 'two-operands-only'],
    ['fraction-reciprocal', '952 ÷ 7', 'no-fractions'],
    ['long-division', '3/4 ÷ 2/3', 'has-fractions'],
    ['column-multiplication', '3/4 × 2/3', 'has-fractions'],
  ])('by %s: %s is %s', (id, text, code) => {
    expect(reason(id, text)).toBe(code);
  });

  it('nothing is divided by nothing', () => {
    expect(readProblem('3/4 ÷ 0/5').ok).toBe(false);
    expect(readProblem('3/4 ÷ 0').ok).toBe(false);
  });
});
