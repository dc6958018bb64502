import { Random } from '../exact/random.ts';
import { numeralValue } from '../exact/numeral.ts';
import { problemValue } from '../problem/problem.ts';
import { problemFrom } from '../testing/work.ts';
import { anotherLike } from './another-like.ts';

const drawn = (text: string) =>
  Array.from({ length: 300 }, (_, seed) => anotherLike(problemFrom(text), new Random(seed))!);

describe('another problem like one', () => {
  it.each(['642 − 387', '12 − 7', '5 1/6 − 2 5/6', '3.4 − 0.9'])(
    'of %s has a difference that is not below zero',
    (text) => {
      for (const problem of drawn(text)) expect(problemValue(problem).isNegative).toBe(false);
    },
  );

  it.each(['952 ÷ 7', '9 ÷ 3', '1.2 ÷ 0.4'])('of %s is never by zero', (text) => {
    for (const { operands } of drawn(text)) expect(numeralValue(operands[1]!).isZero).toBe(false);
  });

  it.each(['46 × 58', '7 + 9', '0.4 × 0.6'])('of %s has no number that is nothing', (text) => {
    for (const { operands } of drawn(text))
      for (const operand of operands) expect(numeralValue(operand).isZero).toBe(false);
  });

  it('has as many figures, or one fewer, and zeros now and then', () => {
    const numbers = drawn('6428 + 387').map(({ operands }) => operands[0].digits);
    expect(new Set(numbers.map(({ length }) => length))).toEqual(new Set([3, 4]));
    expect(numbers.every((digits) => digits.at(-1) !== 0)).toBe(true);
    const inside = numbers.filter((digits) => digits.slice(0, -1).includes(0)).length;
    expect(inside).toBeGreaterThan(60);
  });

  it('is none of letters, roots and mixed computations', () => {
    for (const text of ['(x+4)(3x−2)', '√7396'])
      expect(anotherLike(problemFrom(text), new Random(1))).toBeNull();
  });
});
