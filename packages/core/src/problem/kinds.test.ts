import fc from 'fast-check';
import { Exact } from '../exact/exact.ts';
import { fractionText, mixedNumeral, numeralText, numeralValue } from '../exact/numeral.ts';
import { amountWriter } from './script.ts';
import { estimateOf, proposedOperands, roundings } from './estimate.ts';
import { expressionTex } from './expression-tex.ts';
import { inBase, problemText, problemValue, readProblem } from './problem.ts';
import { scriptOf } from './script.ts';
import { readExpression } from './read-expression.ts';
import { scaleOf } from './scale.ts';
import { structureOf } from './structure.ts';

function problem(text: string) {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return read.problem;
}

describe('numbers with a fraction', () => {
  it('are worth their whole and their part, and are written so that they can be read again', () => {
    const number = fc.tuple(fc.nat(50), fc.nat(40), fc.integer({ min: 1, max: 40 }));
    fc.assert(
      fc.property(number, number, ([w, t, b], [x, u, c]) => {
        const [first, second] = [
          mixedNumeral(BigInt(w), BigInt(t), BigInt(b)),
          mixedNumeral(BigInt(x), BigInt(u), BigInt(c)),
        ];
        expect(numeralValue(first).equals(Exact.of(w * b + t, b))).toBe(true);
        const text = `${numeralText(first)} + ${numeralText(second)}`;
        const read = problem(text);
        expect(problemText(read)).toBe(text);
        expect(problemValue(read).equals(numeralValue(first).plus(numeralValue(second)))).toBe(
          true,
        );
      }),
    );
  });

  it('are told as a whole and a part', () => {
    const texts = [
      [7, 3],
      [-7, 3],
      [1, 2],
      [-1, 2],
      [6, 3],
      [0, 5],
    ] as const;
    expect(texts.map(([top, bottom]) => fractionText(Exact.of(top, bottom)))).toEqual([
      '2 1/3',
      '−2 1/3',
      '1/2',
      '−1/2',
      '2',
      '0',
    ]);
    expect(amountWriter(problem('1/2 + 1/3'))(Exact.of(3, 2))).toBe('1 1/2');
    expect(amountWriter(problem('1.5 + 3'))(Exact.of(3, 2))).toBe('1.5');
    expect(amountWriter(problem('7 ÷ 3'))(Exact.of(7, 3))).toBe('2 1/3');
  });

  it('stand in sums, differences, products and quotients of base ten, beside whole numbers', () => {
    expect(problem('5 1/6 − 2')).toMatchObject({ kind: 'difference', base: 10 });
    expect(scriptOf(problem('5 1/6 − 2'))).toBe('fractions');
    expect(scriptOf(problem('5 − 2'))).toBe('figures');
    expect(inBase(problem('1/2 + 3'), 8)).toBeNull();
    expect(scaleOf(problem('1/2 + 3'))).toBeNull();
    expect(readProblem('1/2 × 3').ok).toBe(true);
    expect(readProblem('1/2 ÷ 0.25').ok).toBe(true);
    expect(readProblem('1/2 + 3 − 1/4').ok).toBe(false);
  });

  it('are typeset', () => {
    const read = readExpression('5 1/6 − 2 5/6');
    expect(read.ok && expressionTex(read.expression)).toBe('5\\,\\frac{1}{6} - 2\\,\\frac{5}{6}');
  });
});

describe('estimates', () => {
  const rules = (text: string) =>
    problem(text).operands.map((operand) =>
      roundings(operand).map(({ rule, worth }) => `${rule} ${worth}`),
    );

  it('round by the kind of number', () => {
    expect(rules('3.6 × 20.5')).toEqual([
      ['leading place 4', 'as it is 18/5'],
      ['leading place 20', 'nearest whole 21', 'as it is 41/2'],
    ]);
    expect(rules('5 1/6 − 1/8')).toEqual([
      ['nearest half 5', 'as it is 31/6'],
      ['nearest half 0', 'as it is 1/8'],
    ]);
    expect(rules('2 2/3 + 1/4')).toEqual([
      ['nearest half 5/2', 'nearest whole 3', 'as it is 8/3'],
      ['nearest half 1/2', 'nearest whole 0', 'as it is 1/4'],
    ]);
  });

  it.each([
    ['952 ÷ 7', ['700', '7'], '100'],
    ['1835 ÷ 24', ['1800', '20'], '90'],
    ['31.5 ÷ 0.7', ['35', '0.7'], '50'],
    ['3 ÷ 8', ['3.2', '8'], '2/5'],
    ['3.6 × 20.5', ['4', '20'], '80'],
    ['5 1/6 − 2 5/6', ['5', '3'], '2'],
    ['2 2/3 + 1/4', ['2 1/2', '1/2'], '3'],
  ])('of %s propose %j', (text, operands, value) => {
    const asked = problem(text);
    expect(proposedOperands(asked)).toEqual(operands);
    const worths = operands.map((operand) => problemValue(problem(`0/1 + ${asWhole(operand)}`)));
    expect(estimateOf(asked.kind, worths).toString()).toBe(value);
  });

  /** A decimal as a fraction, so that it can stand in a sum of fractions. */
  function asWhole(text: string): string {
    const [whole = '', figures = ''] = text.split('.');
    return figures === '' ? text : `${whole}${figures}/1${'0'.repeat(figures.length)}`;
  }
});

describe('how hard a problem is', () => {
  it.each([
    ['84 ÷ 2', 0, 'every-place-comes-out'],
    ['72 ÷ 4', 1, 'one-remainder-is-carried-on'],
    ['952 ÷ 7', 2, 'several-remainders-are-carried-on'],
    ['612 ÷ 6', 3, 'a-zero-in-the-quotient'],
    ['1835 ÷ 24', 3, 'a-divisor-of-several-figures'],
    ['1835 ÷ 20', 1, 'one-remainder-is-carried-on'],
    ['2/7 + 3/7', 0, 'all-parts-are-alike'],
    ['1/2 + 1/4', 1, 'one-denominator-holds-the-others'],
    ['3/4 + 1/6', 2, 'denominators-with-a-common-factor'],
    ['1/3 + 1/4', 3, 'denominators-without-a-common-factor'],
    ['5 1/6 − 2 5/6', 3, 'a-whole-must-be-opened'],
    ['4 − 1 2/3', 3, 'a-whole-must-be-opened'],
    ['0.36 × 2.05', 2, 'several-carries'],
  ])('%s is of level %i: %s', (text, level, finding) => {
    expect(structureOf(problem(text))).toMatchObject({ level, finding });
  });
});
