import { problemText, problemValue } from './problem.ts';
import { structureOf } from './structure.ts';
import { registry } from '../methods/index.ts';
import { readComputation } from './computation.ts';

function computation(text: string) {
  const read = readComputation(text);
  if (!read.ok) throw new Error(read.reason.code);
  return read.problem;
}

describe('a computation that no method works', () => {
  it.each([
    ['3/4 × 2/3 + 1/6', '3/4 × 2/3 + 1/6', '2/3'],
    ['3 1/2 × 2 − 1', '3 1/2 × 2 − 1', '6'],
    ['25% of 80', '25% × 80', '20'],
    ['(3 + 4) × 5', '(3 + 4) × 5', '35'],
    ['3 - 7 * 2', '3 − 7 × 2', '-11'],
    ['2(x+3) − 4', '2 × (x + 3) − 4', '2x+2'],
    ['12 ÷ 4 ÷ 3', '(12 ÷ 4) ÷ 3', '1'],
  ])('%s is read, has its value, and is read again from its text', (typed, text, value) => {
    const problem = computation(typed);
    expect([problem.kind, problemText(problem)]).toEqual(['expression', text]);
    expect(problemValue(problem).toString()).toBe(value);
    expect(computation(text)).toEqual(problem);
    expect(structureOf(problem).finding).toBe('own-way-only');
    expect(registry.methods.filter((method) => method.accepts(problem).ok)).toEqual([]);
  });

  it('is a problem of its kind wherever a method works it', () => {
    expect(computation('46 × 58').kind).toBe('product');
    expect(computation('7 − 3 + 2').kind).toBe('sum');
  });

  it.each(['46', '7 +', '3 × (4', '5 ÷ 0 × 2', '√12 + √3', 'x', '3x', '-x'])(
    'gives the reason why %s is none',
    (text) => {
      expect(readComputation(text).ok).toBe(false);
    },
  );
});
