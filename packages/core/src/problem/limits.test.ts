import fc from 'fast-check';
import { evaluate } from './evaluate.ts';
import { failureText, type ProblemFailure } from './failure.ts';
import { benchFailure, comparingFailure } from './limits.ts';
import { LIMITS } from './bounds.ts';
import { makeProblem, readProblem } from './problem.ts';
import { readExpression } from './read-expression.ts';
import { numeral } from '../exact/numeral.ts';

function refusal(text: string): ProblemFailure | null {
  const read = readProblem(text);
  return read.ok ? null : read.reason;
}

const raised = (text: string, times: number) =>
  Array.from({ length: times }).reduce<string>((inner) => `(${inner})^12`, text);

describe('a limit', () => {
  it.each<[string, string, string]>([
    ['powers of powers of a bracket', raised('x+1', 6), 'terms'],
    ['powers of powers of a letter', '(x^12)^12+1', 'exponent'],
    ['letters side by side', '2' + 'x^3'.repeat(5) + '+1', 'exponent'],
    ['powers of powers of a number', `${raised('2', 7)}x+1`, 'coefficient'],
    ['a long number before a letter', `${'9'.repeat(41)}x+1`, 'coefficient'],
    ['a long denominator before a letter', `1/${'9'.repeat(41)}x+1`, 'coefficient'],
    ['terms of all brackets', `(x${'+1'.repeat(50)})(x${'+1'.repeat(50)})`, 'terms'],
    ['brackets multiplied', '(x+1)'.repeat(9), 'factors'],
    ['brackets in a power', '((x+1)(x+2))^5', 'factors'],
    ['signs', 'x^12'.repeat(900), 'signs'],
    ['figures of factors', `${'7'.repeat(71)} × ${'7'.repeat(71)}`, 'products'],
    ['stages of factors', '777 × 777 × 777 × 777 × 777 × 777 × 777', 'products'],
    ['figures to add', Array(40).fill('7'.repeat(26)).join('+'), 'addedFigures'],
  ])('holds for %s, and is named', (_, text, limit) => {
    expect(refusal(text)).toMatchObject({ code: 'over-limit', limit });
    const failure = refusal(text)!;
    expect(failureText(failure)).toContain(String(LIMITS[limit as keyof typeof LIMITS]));
  });

  it.each([
    ['spaces', ' '.repeat(30_000), 'text-too-long'],
    ['roots inside each other', `${'√'.repeat(50)}4`, 'brackets-too-deep'],
    ['minuses in a row', `${'-'.repeat(50)}4 + 1`, 'brackets-too-deep'],
    [
      'minuses and brackets in turn',
      `${'(-'.repeat(30)}4${')'.repeat(30)} + 1`,
      'brackets-too-deep',
    ],
  ])('holds for %s', (_, text, code) => {
    expect(refusal(text)).toMatchObject({ code });
  });

  it.each([
    '(x+4)(3x-2)',
    '(3x-1)(x+4)^2',
    'x^12y^12 + 1',
    '(x+1)^8',
    '((x+1)^2)^3',
    '(x^12+1)(x^12+1)',
    `${'9'.repeat(40)}x + 1`,
    Array.from({ length: 40 }, (_, k) => `${k + 1}x`).join('+'),
    `${'7'.repeat(400)} + ${'7'.repeat(400)}`,
    `${'7'.repeat(70)} × ${'7'.repeat(70)}`,
    `${'7'.repeat(400)} ÷ ${'7'.repeat(200)}`,
    `√${'7'.repeat(400)}`,
    '2 × 3 × 4 × 5 × 6 × 7 × 8 × 9',
    '86^8',
  ])('lets %s through', (text) => {
    expect(refusal(text)).toBeNull();
  });

  it('of the calculator is named', () => {
    const read = readExpression(raised('9', 5));
    const value = read.ok ? evaluate(read.expression) : null;
    expect(value).toMatchObject({ ok: false, fault: expect.stringMatching(/4000 figures/) });
  });

  it('of the bench counts every number that is written, and stages', () => {
    const bench = (text: string) => {
      const read = readProblem(text);
      return read.ok ? benchFailure(read.problem) : null;
    };
    expect(bench('123456789012 × 123456789012')).toBeNull();
    expect(bench('1234567890123 + 1')).toMatchObject({ limit: 'benchFigures' });
    expect(bench('1/1234567890123 + 1/2')).toMatchObject({ limit: 'benchFigures' });
    expect(bench('(1234567890123x + 1)(x + 2)')).toMatchObject({ limit: 'benchFigures' });
    expect(bench(Array(40).fill('777777').join('+'))).toMatchObject({ limit: 'benchAddedFigures' });
    expect(bench('777 × 777 × 777 × 777 × 777')).toMatchObject({ limit: 'benchProducts' });
  });

  it('of comparing counts products', () => {
    const long = numeral('7'.repeat(60));
    expect(comparingFailure(makeProblem('product', [long, long]))).toMatchObject({
      limit: 'comparedProducts',
    });
    expect(comparingFailure(makeProblem('sum', [long, long]))).toBeNull();
  });
});

/** A text over and over, up to a little more than is read. */
function repeated(text: string, times: number): string {
  return text.repeat(Math.min(times, Math.ceil(5000 / (text.length + 1))));
}

/** Texts of the problem language and near it, with nesting of every kind. */
const hostile = fc.letrec<{ text: string }>((tie) => ({
  text: fc.oneof(
    { maxDepth: 14, withCrossShrink: true },
    fc.constantFrom(
      'x',
      '7',
      '0',
      '12.5',
      '1/2',
      '3 1/4',
      '1011_2',
      'ff_16',
      'y^12',
      '9'.repeat(60),
    ),
    fc.tuple(tie('text'), fc.integer({ min: 0, max: 13 })).map(([of, n]) => `(${of})^${n}`),
    fc.tuple(tie('text'), tie('text')).map(([a, b]) => `(${a})(${b})`),
    fc.tuple(tie('text'), tie('text')).map(([a, b]) => `${a} + ${b}`),
    fc.tuple(tie('text'), tie('text')).map(([a, b]) => `${a}-(${b})`),
    fc.tuple(tie('text'), tie('text')).map(([a, b]) => `${a} ÷ (${b})`),
    fc.tuple(tie('text'), tie('text')).map(([a, b]) => `${a} × ${b}`),
    tie('text').map((of) => `√(${of})`),
    tie('text').map((of) => `-${of}`),
    fc.tuple(tie('text'), fc.integer({ min: 2, max: 900 })).map(([of, n]) => repeated(of, n)),
  ),
})).text;

const noise = fc
  .array(
    fc.constantFrom('a', 'f', '1', '0', '.', '_', ' ', 'x', '-', '√', '^', '(', ')', '/', ','),
    {
      maxLength: 4000,
    },
  )
  .map((signs) => signs.join(''));

describe('reading', () => {
  it('takes no time and no memory for any text', () => {
    let slowest = 0;
    const before = process.memoryUsage().heapUsed;
    fc.assert(
      fc.property(fc.oneof(hostile, noise), (text) => {
        const started = performance.now();
        const read = readProblem(text.slice(0, LIMITS.text));
        const expression = readExpression(text.slice(0, LIMITS.text));
        if (expression.ok) evaluate(expression.expression);
        slowest = Math.max(slowest, performance.now() - started);
        if (!read.ok) expect(failureText(read.reason).length).toBeLessThan(5000);
      }),
      { numRuns: 1500 },
    );
    // Far above what it takes, and far below what anything that grows would take.
    expect(slowest).toBeLessThan(1500);
    expect(process.memoryUsage().heapUsed - before).toBeLessThan(300e6);
  });

  it('says of a text that is read again what it said before', () => {
    for (const text of [' _a_0', '5_a_0', '12.5_8', 'a1_16 + _a1_16']) {
      const first = readExpression(text);
      expect(readExpression(text)).toEqual(first);
    }
  });

  it.each([
    ['figures and letters', 'a1'.repeat(2000)],
    ['figures and letters before a base', `${'a1'.repeat(1990)}_`],
    ['letters that may be signs', '1 x '.repeat(1000)],
    ['spaces before a sign', `1${' '.repeat(3990)}=`],
    ['quotients of quotients', `1${'÷1'.repeat(499)}`],
  ])('goes through a long run of %s once', (_, text) => {
    const time = (length: number) => {
      const part = text.slice(0, length);
      readProblem(part);
      const started = performance.now();
      for (let k = 0; k < 5; k++) readProblem(part);
      return performance.now() - started;
    };
    time(500);
    expect(time(4000)).toBeLessThan(60 * Math.max(time(500), 0.5));
  });
});
