import { Lexer } from 'chevrotain';
import fc from 'fast-check';
import { numeral, numeralValue } from '../exact/numeral.ts';
import { products } from '../testing/arbitraries.ts';
import { integerOf } from '../testing/expected.ts';
import { expressionText, fractionNode, type Expression } from './expression.ts';
import { failureText } from './failure.ts';
import { LIMITS } from './bounds.ts';
import { estimateOf, proposedOperands, roundings } from './estimate.ts';
import { inBase, problemText, problemValue, readProblem } from './problem.ts';
import { productProblem } from './problem.ts';
import { readExpression } from './read-expression.ts';
import { TOKENS } from './tokens.ts';

function reasonOf(text: string) {
  const read = readProblem(text);
  return read.ok ? `read as ${problemText(read.problem)}` : read.reason;
}

function sentence(text: string): string {
  const read = readProblem(text);
  return read.ok ? `read as ${problemText(read.problem)}` : failureText(read.reason);
}

it('the words of the language are valid', () => {
  expect(() => new Lexer(TOKENS, { positionTracking: 'onlyOffset' })).not.toThrow();
});

describe('readProblem', () => {
  it.each([
    ['46*58', '46 × 58'],
    [' 46 x 58 ', '46 × 58'],
    ['46X58', '46 × 58'],
    ['46·58=', '46 × 58'],
    ['0046 × 058', '46 × 58'],
    ['４６ × ５８', '46 × 58'],
    ['4６＊5８', '46 × 58'],
    ['(46)(58)', '46 × 58'],
    ['46(58)', '46 × 58'],
    ['2 × (3 × 4)', '2 × 3 × 4'],
    ['1011_2 × 110_2', '1011_2 × 110_2'],
    ['1af_16 * 2_16', '1AF_16 × 2_16'],
    ['0 × 58', '0 × 58'],
    ['7+9+4', '7 + 9 + 4'],
    ['7 + (9 + 4)', '7 + 9 + 4'],
    ['642-387', '642 − 387'],
    ['642 − (387)', '642 − 387'],
    ['101_2 + 11_2', '101_2 + 11_2'],
    ['4.6 * 1.8', '4.6 × 1.8'],
    ['04.60 + 58', '4.60 + 58'],
    ['46 − 5.8', '46 − 5.8'],
    ['31.5 ÷ 0.7', '31.5 ÷ 0.7'],
    ['612 : 6', '612 ÷ 6'],
    ['612 / 6', '612 ÷ 6'],
    ['10.1_2 × 1.1_2', '10.1_2 × 1.1_2'],
  ])('reads %s', (text, expected) => {
    const read = readProblem(text);
    expect(read.ok && problemText(read.problem)).toBe(expected);
  });

  it.each([
    ['', { code: 'empty' }],
    ['   ', { code: 'empty' }],
    ['46', { code: 'one-number', number: '46' }],
    ['46 x', { code: 'number-missing-after', sign: 'x', at: 4 }],
    ['46 ×', { code: 'number-missing-after', sign: '×', at: 4 }],
    ['× 58', { code: 'number-missing-before', sign: '×', at: 1 }],
    ['--', { code: 'number-missing-after', sign: '-', at: 2 }],
    ['46**58', { code: 'repeated-sign', found: '*', at: 4 }],
    ['46 58', { code: 'sign-missing-before', found: '58', at: 4 }],
    ['abc', { code: 'kind-not-offered', kind: 'one term' }],
    ['what is 46 times 58?', { code: 'word', found: 'what', at: 1 }],
    ['46 × 58 <b>', { code: 'unknown-character', found: '<', at: 9 }],
    ['46 × ß', { code: 'word', found: 'ß', at: 6 }],
    ['(46 × 58', { code: 'bracket-open', at: 1 }],
    ['46) × 58', { code: 'bracket-unopened', at: 3 }],
    ['1,000 × 3', { code: 'comma-in-number', at: 2 }],
    ['12_2 × 1_2', { code: 'digit-not-in-base', digit: '2', base: 2, at: 2 }],
    ['1_17 × 1_17', { code: 'base-unknown', base: '17', at: 3 }],
    ['10_2 × 10', { code: 'mixed-bases', bases: [2, 10] }],
    ['4 ÷ 0', { code: 'divides-by-zero', dividend: '4' }],
    ['0.0 ÷ 0.00', { code: 'divides-by-zero', dividend: '0.0' }],
    ['6 ÷ 3 ÷ 2', { code: 'kind-not-offered', kind: 'string of divisions' }],
    ['46 × -58', { code: 'kind-not-offered', kind: 'negative number' }],
    ['2.5 − 1 + 2', { code: 'kind-not-offered', kind: 'mixed sum' }],
    ['−4.6 + 58', { code: 'kind-not-offered', kind: 'negative number' }],
    ['--5', { code: 'kind-not-offered', kind: 'negative number' }],
    ['5/0', { code: 'divides-by-zero', dividend: '5' }],
    ['(x+1)/(x−1)', { code: 'kind-not-offered', kind: 'quotient with letters' }],
    ['46 × 58 = ?', { code: 'answer-unread', found: '?' }],
    ['46 + 5 × 8', { code: 'kind-not-offered', kind: 'mixed operations' }],
    ['1/2', { code: 'one-number', number: '1/2' }],
    ['1/2 + 3/0', { code: 'divides-by-zero', dividend: '3' }],
    ['1.5/2 + 3', { code: 'kind-not-offered', kind: 'uneven fraction' }],
    ['1_2/10_2 + 1_2', { code: 'kind-not-offered', kind: 'fraction in another base' }],
    ['1/12_5 + 1/3', { code: 'kind-not-offered', kind: 'fraction in another base' }],
    [
      Array(41).fill('7').join('+'),
      { code: 'too-many-operands', kind: 'sum', operands: 41, limit: 40 },
    ],
    ['2(x+1) + 3x', { code: 'kind-not-offered', kind: 'mixed operations' }],
    ['x ÷ 2', { code: 'kind-not-offered', kind: 'quotient with letters' }],
    ['√x', { code: 'kind-not-offered', kind: 'root of an expression' }],
    ['√(7 + 9)', { code: 'kind-not-offered', kind: 'root of an expression' }],
    ['√(1/4)', { code: 'kind-not-offered', kind: 'root of an expression' }],
    ['√-4', { code: 'kind-not-offered', kind: 'negative root' }],
    ['√(-4)', { code: 'kind-not-offered', kind: 'negative root' }],
    ['3^12', { code: 'kind-not-offered', kind: 'large power' }],
  ])('refuses %s with a reason', (text, reason) => {
    expect(reasonOf(text)).toEqual(reason);
  });

  it.each([
    ['12,5 × 3', '12.5 × 3', 'product'],
    ['12 345 + 6', '12345 + 6', 'sum'],
    ['.5 + .25', '0.5 + 0.25', 'sum'],
    ['€ 12.40 + € 3.75', '12.40 + 3.75', 'sum'],
    ['1/3 + 0.5', '1/3 + 5/10', 'sum'],
    ['5 1/6 − 2.25', '5 1/6 − 2 25/100', 'difference'],
    ['7 − 3 + 2', '7 − 3 + 2', 'sum'],
    ['46 − 5 − 8', '46 − 5 − 8', 'sum'],
    ['46 − (5 − 8)', '46 − (5 − 8)', 'difference'],
    ['3 − (−4)', '3 − (−4)', 'difference'],
    ['−46 + 58', '−46 + 58', 'sum'],
  ])('reads %s as %s, a %s', (typed, text, kind) => {
    const read = readProblem(typed);
    if (!read.ok) throw new Error(failureText(read.reason));
    expect([problemText(read.problem), read.problem.kind]).toEqual([text, kind]);
    const again = readProblem(text);
    expect(again).toMatchObject({ ok: true, problem: read.problem });
  });

  it('keeps what stands beside the problem', () => {
    expect(readProblem('€ 12.40 + € 3.75')).toMatchObject({ unit: '€' });
    expect(readProblem('46*58=2668')).toMatchObject({ claimed: { kind: 'number' } });
  });

  it('refuses numbers and texts beyond what is worked', () => {
    const long = '7'.repeat(LIMITS.figures + 1);
    expect(reasonOf(`3 × ${long}`)).toMatchObject({ code: 'number-too-long', at: 5 });
    expect(readProblem(`3 × ${'7'.repeat(LIMITS.figures)}`).ok).toBe(true);
    expect(reasonOf('1'.repeat(5000))).toMatchObject({ code: 'text-too-long' });
    expect(reasonOf(`${'('.repeat(60)}1${')'.repeat(60)}`)).toMatchObject({
      code: 'brackets-too-deep',
    });
  });

  it('says every refusal in one clear sentence', () => {
    expect(sentence('46 x')).toBe('A number is missing after “x” at character 4.');
    expect(sentence('7'.repeat(100))).toBe(
      '77777777777777777777… (100 figures) is one number; add a sign and a second one, such as × 58.',
    );
    for (const text of [
      '',
      '--',
      '46**58',
      'prose here',
      '1.5/2 + 1/2',
      '(',
      '))',
      '<',
      '1_99',
      '3_2',
      '1,2',
    ]) {
      expect(sentence(text)).toMatch(/^[^\n]+\.$/);
    }
  });

  it('reads any text at all without an exception', () => {
    const scrap = fc.array(fc.constantFrom(...'0123456789+-*/×÷()^_.,x√ ab=\n'), { maxLength: 24 });
    fc.assert(
      fc.property(scrap, (characters) => void readProblem(characters.join(''))),
      { numRuns: 1000 },
    );
    fc.assert(fc.property(fc.string({ unit: 'grapheme' }), (text) => void readProblem(text)));
  });

  it('reads back what it writes, with the value of the factors', () => {
    fc.assert(
      fc.property(products(8), (problem) => {
        expect(readProblem(problemText(problem))).toEqual({ ok: true, problem });
        expect(problemValue(problem).numerator).toBe(
          problem.operands.map(integerOf).reduce((a, b) => a * b),
        );
      }),
    );
  });

  it('guards its factory against callers', () => {
    expect(() => productProblem([numeral('4')])).toThrow(RangeError);
    expect(() => productProblem([numeral('4'), numeral('1', 2)])).toThrow(RangeError);
  });
});

describe('readExpression', () => {
  it('reads the whole problem language and prints it back', () => {
    const number = fc
      .integer({ min: 0, max: 999 })
      .map((n): Expression => ({ kind: 'number', numeral: numeral(String(n)) }));
    const letter = fc.constantFrom('x', 'y').map((name): Expression => ({ kind: 'letter', name }));
    const fraction = fc
      .tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }))
      .map(([t, b]): Expression => ({
        ...fractionNode(numeral(String(t)), numeral(String(b))),
      }));
    const { tree } = fc.letrec<{ tree: Expression }>((tie) => ({
      tree: fc.oneof(
        { maxDepth: 3 },
        number,
        letter,
        fraction,
        fc.tuple(tie('tree'), fc.boolean(), tie('tree')).map(([a, minus, b]): Expression => ({
          kind: 'sum',
          parts: [
            { minus: false, of: a },
            { minus, of: b },
          ],
        })),
        fc
          .tuple(tie('tree'), tie('tree'), fc.boolean())
          .map(([dividend, divisor, bar]): Expression => ({
            kind: 'quotient',
            dividend,
            divisor,
            bar,
          })),
        tie('tree').map((of): Expression => ({ kind: 'root', of })),
        tie('tree').map((of): Expression => ({ kind: 'negative', of })),
      ),
    }));
    fc.assert(
      fc.property(tree, (expression) => {
        const read = readExpression(expressionText(expression));
        expect(read.ok && expressionText(read.expression)).toBe(expressionText(expression));
      }),
    );
  });

  it.each([
    '5 1/6 - 2 5/6',
    '(x-2)(x+5)(x-4)',
    '(3x-1)(x+4)^2',
    '(x^3+5x^2)-(2x^2-7x)',
    'sqrt(7396)',
    '7+9+4+8',
    '4.6 × 1.8',
  ])('reads %s', (text) => expect(readExpression(text).ok).toBe(true));
});

describe('inBase', () => {
  it('writes the same numbers in another base, and back', () => {
    const rewritten = (text: string, base: number) => {
      const read = readProblem(text);
      const other = read.ok ? inBase(read.problem, base) : null;
      return other ? problemText(other) : null;
    };
    expect(rewritten('46 × 58', 2)).toBe('101110_2 × 111010_2');
    expect(rewritten('101110_2 × 111010_2', 10)).toBe('46 × 58');
    expect(rewritten('642 − 387', 16)).toBe('282_16 − 183_16');
    expect(rewritten('0 + 9', 8)).toBe('0_8 + 11_8');
    expect(rewritten('0.5 × 6.25', 2)).toBe('0.1_2 × 110.01_2');
    expect(rewritten('0.1 × 6', 2)).toBeNull();
    fc.assert(
      fc.property(products(6), fc.integer({ min: 2, max: 16 }), (problem, base) => {
        const other = inBase(problem, base)!;
        expect(problemValue(other).equals(problemValue(problem))).toBe(true);
        expect(problemText(inBase(other, problem.base)!)).toBe(problemText(problem));
      }),
    );
  });
});

describe('estimates', () => {
  it('rounds the leading place, halves up, and leaves single figures alone', () => {
    const estimate = (text: string) => {
      const read = readProblem(text);
      return read.ok ? proposedOperands(read.problem) : [];
    };
    expect(estimate('46 × 58')).toEqual(['50', '60']);
    expect(estimate('7 × 450')).toEqual(['7', '500']);
    expect(estimate('96 × 0')).toEqual(['100', '0']);
    expect(estimate('44 × 30')).toEqual(['40', '30']);
    expect(estimate('101_2 × 1_2')).toEqual(['100', '1']);
  });

  it('offers each different rounding once', () => {
    expect(roundings(numeral('346')).map((r) => `${r.rule} ${r.worth}`)).toEqual([
      'leading place 300',
      'nearest ten 350',
      'as it is 346',
    ]);
    expect(roundings(numeral('8')).map((r) => r.worth.toString())).toEqual(['8']);
    expect(
      estimateOf(
        'product',
        roundings(numeral('50')).map((r) => r.worth),
      ).toString(),
    ).toBe('50');
    const rounded = ['600', '400'].map((text) => numeralValue(numeral(text)));
    expect(estimateOf('difference', rounded).toString()).toBe('200');
    expect(estimateOf('sum', rounded).toString()).toBe('1000');
  });
});
