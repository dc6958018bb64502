import { registry } from '../../methods/index.ts';
import { problemFrom } from '../../testing/work.ts';
import { SORTS, sortNamed, sortOf } from './sorts.ts';

describe('sorts of problems', () => {
  it.each([
    ['46 × 58', 'product of figures'],
    ['4.6 ÷ 0.2', 'quotient of figures'],
    ['√72', 'root of figures'],
    ['3/4 + 1/6', 'sum of fractions'],
    ['5 1/6 − 2', 'difference of fractions'],
    ['3/4 × 2', 'product of fractions'],
    ['0.5 ÷ 1/4', 'quotient of fractions'],
    ['(2/3)^2', 'product of fractions'],
    ['(x + 2)(x − 3)', 'product of terms'],
    ['3x + 5 − 2x', 'sum of terms'],
  ])('%s is a %s', (text, id) => {
    expect(sortOf(problemFrom(text)).id).toBe(id);
  });

  it('have an id of their own, and lay papers that exist and work them', () => {
    expect(new Set(SORTS.map(({ id }) => id)).size).toBe(SORTS.length);
    const samples: Readonly<Record<string, string>> = {
      'sum of figures': '2 + 3',
      'difference of figures': '3 − 2',
      'product of figures': '12 × 3',
      'quotient of figures': '6 ÷ 2',
      'root of figures': '√4',
      'sum of fractions': '1/2 + 1/3',
      'difference of fractions': '1/2 − 1/3',
      'product of fractions': '1/2 × 1/3',
      'quotient of fractions': '1/2 ÷ 1/3',
      'sum of terms': '3x + 5 − 2x',
      'difference of terms': '(x + 2) − (3x − 1)',
      'product of terms': '(x + 2)(x − 3)',
    };
    for (const { id, kind, firstPapers } of SORTS) {
      if (kind === 'expression') {
        expect(firstPapers).toEqual([]);
        continue;
      }
      const problem = problemFrom(samples[id]!);
      expect(sortOf(problem).id).toBe(id);
      const works = firstPapers.filter((paper) => registry.get(paper).accepts(problem).ok);
      expect([id, works.length > 0]).toEqual([id, true]);
    }
  });

  it('names none that is not there', () => {
    expect(() => sortNamed('root of terms')).toThrow(RangeError);
  });
});
