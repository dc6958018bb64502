import { PLAIN_NOTATION } from '@levee/core';
import { calculate } from './calculate.ts';

describe('the calculator', () => {
  it.each([
    ['642 − 387', '255'],
    ['1 ÷ 3 + 1 ÷ 6', '1/2'],
    [`${'9'.repeat(40)} + 1`, `1${'0'.repeat(40)}`],
    ['0.1 + 0.2', '3/10'],
  ])('works %s out exactly', (text, value) => {
    const result = calculate(text, PLAIN_NOTATION);
    expect(result.ok && result.value.toString()).toBe(value);
  });

  it.each([
    ['642 −', /missing after/],
    ['7 ÷ 0', /divides by zero/],
    ['x + 1', /letter x/],
  ])('says what is wrong with %s', (text, fault) => {
    const result = calculate(text, PLAIN_NOTATION);
    expect(!result.ok && result.fault).toMatch(fault);
  });
});
