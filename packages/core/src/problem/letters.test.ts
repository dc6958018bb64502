import fc from 'fast-check';
import { Exact } from '../exact/exact.ts';
import { numeralText } from '../exact/numeral.ts';
import { letterProducts, letterSums, roots } from '../testing/arbitraries.ts';
import { problemFrom } from '../testing/work.ts';
import { asBrackets, asFigures, bridgeRows } from './bridge.ts';
import { contextWarnings } from './context.ts';
import { estimateOf, proposedOperands, roundings } from './estimate.ts';
import { problemText, problemValue, readProblem } from './problem.ts';
import { amountWriter, scriptOf } from './script.ts';
import { structureOf } from './structure.ts';
import { substitutionOf, substitutionText } from './substitution.ts';

describe('expressions with letters', () => {
  it.each([
    ['(x+4)(3x-2)', 'product', ['x + 4', '3x - 2'], '3x^2+10x-8'],
    ['(x-2)(x+5)(x-4)', 'product', ['x - 2', 'x + 5', 'x - 4'], 'x^3-x^2-22x+40'],
    ['(3x−1)(x+4)^2', 'product', ['3x - 1', 'x + 4', 'x + 4'], '3x^3+23x^2+40x-16'],
    ['(x+1)²', 'product', ['x + 1', 'x + 1'], 'x^2+2x+1'],
    ['3x(x-2)', 'product', ['3x', 'x - 2'], '3x^2-6x'],
    ['-(x+2)(x-1)', 'product', ['-1', 'x + 2', 'x - 1'], '-x^2-x+2'],
    ['(x+2) * 3 * x', 'product', ['x + 2', '3x'], '3x^2+6x'],
    ['(x^3+5x^2)-(2x^2-7x)', 'difference', ['x^3 + 5x^2', '2x^2 - 7x'], 'x^3+3x^2+7x'],
    ['3x - 2x', 'difference', ['3x', '2x'], 'x'],
    ['3x + 5 - 2x + 7', 'sum', ['3x', '5', '-2x', '7'], 'x+12'],
    ['(x+1) - (x-1) + 2x', 'sum', ['x + 1', 'x - 1', '2x'], '2x+2'],
    ['3x + (-2x)', 'sum', ['3x', '-2x'], 'x'],
    ['1/2 x + 0.25x', 'sum', ['1/2x', '1/4x'], '3/4x'],
    ['0.5x + 1.25', 'sum', ['0.5x', '1.25'], '1/2x+5/4'],
    ['(0.5x - 0.25)(1/2 x + 1)', 'product', ['1/2x - 1/4', '1/2x + 1'], '1/4x^2+3/8x-1/4'],
    ['1/2 x + 1/3 x', 'sum', ['1/2x', '1/3x'], '5/6x'],
    ['46 - 3 x', 'difference', ['46', '3x'], '-3x+46'],
    ['2x²y − xy^2', 'difference', ['2x^2y', 'xy^2'], '2x^2y-xy^2'],
  ])('%s is a %s', (text, kind, operands, value) => {
    const problem = problemFrom(text);
    expect(problem.kind).toBe(kind);
    expect(problem.operands.map(numeralText)).toEqual(operands);
    expect(problemValue(problem).toString()).toBe(value);
    expect(scriptOf(problem)).toBe('terms');
  });

  it('are written so that reading them again gives the same problem', () => {
    fc.assert(
      fc.property(fc.oneof(letterSums(), letterProducts(), roots(6)), (problem) => {
        const again = readProblem(problemText(problem));
        const same = again.ok && JSON.stringify(again.problem) === JSON.stringify(problem);
        // Two single terms side by side, and a lone number, would be one term.
        const merges = problem.kind === 'product' && problemText(problem).includes(')(') === false;
        expect([problemText(problem), same || merges]).toEqual([problemText(problem), true]);
      }),
      { numRuns: 300 },
    );
  });

  it('keep powers and signs as people write them', () => {
    expect(problemText(problemFrom('(3x-1)(x+4)(x+4)'))).toBe('(3x − 1)(x + 4)^2');
    expect(problemText(problemFrom('-(x-y)+(2x-3y)-(x^2-y)'))).toBe(
      '−(x − y) + (2x − 3y) − (x^2 − y)',
    );
    expect(problemText(problemFrom('2x-(-3x)'))).toBe('2x − (−3x)');
  });

  it('have no size, but numbers can be put in', () => {
    const problem = problemFrom('(x+y)(x-2)');
    expect(substitutionText(substitutionOf(problem))).toBe('x = 3, y = 5');
    expect(problemValue(problem).at(substitutionOf(problem)).toString()).toBe('8');
    expect(substitutionOf(problemFrom('46 × 58')).size).toBe(0);
    expect(contextWarnings(problem, { unit: 'bags', counted: true })).toEqual([]);
    expect(amountWriter(problem)(problemValue(problem))).toBe('x² + xy − 2x − 2y');
  });

  it.each([
    ['(x+1)(x+2)', 'only-pluses'],
    ['(x+1)(x-2)', 'a-minus-travels-with-its-term'],
    ['(x-1)(x-2)', 'minus-meets-minus'],
    ['(x+1)^3', 'three-brackets-and-more'],
    ['(x+1)+(x+2)', 'only-pluses'],
    ['3x-2x', 'a-minus-travels-with-its-term'],
    ['(x+1)-(x+2)', 'a-bracket-is-taken-away'],
    ['(x+1)-(x-2)', 'a-minus-before-a-minus'],
  ])('%s: %s', (text, finding) => {
    expect(structureOf(problemFrom(text)).finding).toBe(finding);
  });
});

describe('square roots', () => {
  it.each([
    ['sqrt(7396)', '√7396', 'two-pairs'],
    ['√7921', '√7921', 'two-pairs'],
    ['√9', '√9', 'one-pair'],
    ['√72', '√72', 'the-root-does-not-come-out'],
    ['√10609', '√10609', 'a-zero-in-the-root'],
    ['√17424', '√17424', 'three-pairs-and-more'],
    ['√0.25', '√0.25', 'one-pair'],
    ['√1100100_2', '√1100100_2', 'a-zero-in-the-root'],
  ])('%s is read as %s: %s', (text, written, finding) => {
    const problem = problemFrom(text);
    expect([problemText(problem), structureOf(problem).finding]).toEqual([written, finding]);
  });

  it('are estimated by the nearest square that is known by heart', () => {
    expect(proposedOperands(problemFrom('√7396'))).toEqual(['8100']);
    expect(proposedOperands(problemFrom('√0.3'))).toEqual(['0.25']);
    expect(roundings(problemFrom('√72').operands[0], 'root')).toEqual([
      { rule: 'nearest square', worth: Exact.of(64) },
    ]);
    expect(estimateOf('root', [Exact.of(8100)]).toString()).toBe('90');
    expect(estimateOf('root', [Exact.of(90)]).toString()).toBe('9');
  });

  it('refuse what has no root here', () => {
    for (const text of ['√(1/4)', '√√16', '√-4']) expect(readProblem(text).ok).toBe(false);
  });
});

describe('the bridge between figures and letters', () => {
  it.each([
    ['46 × 58', '(4x + 6)(5x + 8)'],
    ['346 × 125', '(3x^2 + 4x + 6)(x^2 + 2x + 5)'],
    ['406 × 7', '(4x^2 + 6)(7)'],
    ['AF_16 × 2C_16', '(10x + 15)(2x + 12)'],
  ])('reads %s as %s and back', (figures, letters) => {
    const problem = problemFrom(figures);
    const brackets = asBrackets(problem)!;
    expect(problemText(brackets)).toBe(letters);
    const { base } = problem;
    expect(problemText(asFigures(brackets, base)!)).toBe(problemText(problem));
    const values = new Map([['x', Exact.of(base)]]);
    expect(problemValue(brackets).at(values).equals(problemValue(problem))).toBe(true);
  });

  it.each(['7 × 8', '40 × 50', '3.6 × 20.5', '46 + 58', '0 × 46'])('leaves %s as it is', (text) => {
    expect(asBrackets(problemFrom(text))).toBeNull();
  });

  it.each(['(x-1)(x+2)', '(12x+1)(x+2)', '(x+y)(x+1)', '(x+x)(x+1)', '(1/2x+1)(x+2)', '3x+2x'])(
    'finds no figures in %s',
    (text) => expect(asFigures(problemFrom(text))).toBeNull(),
  );

  it('carries the totals of the powers into figures', () => {
    const rows = bridgeRows(problemFrom('346 × 125'));
    expect(rows.map(({ total }) => total)).toEqual([30, 32, 29, 10, 3]);
    expect(
      rows
        .map(({ figure }) => figure)
        .reverse()
        .join(''),
    ).toBe('43250');
    expect(rows.map(({ carried }) => carried)).toEqual([0, 3, 3, 3, 1]);
    expect(rows[1]!.pairs).toEqual([
      [6, 2],
      [4, 5],
    ]);
    const brackets = asBrackets(problemFrom('346 × 125'))!;
    const coefficients = problemValue(brackets)
      .parts()
      .map(({ coefficient }) => coefficient.toString());
    expect(coefficients).toEqual(rows.map(({ total }) => String(total)).reverse());
  });
});
