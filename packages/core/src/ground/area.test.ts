import fc from 'fast-check';
import { numeral } from '../exact/numeral.ts';
import { compare } from '../compare/compare.ts';
import { registry } from '../methods/index.ts';
import { makeProblem } from '../problem/problem.ts';
import { productProblem } from '../problem/problem.ts';
import { products } from '../testing/arbitraries.ts';
import { problemFrom } from '../testing/work.ts';
import { areaGround } from './area.ts';
import { areaTotals } from './area-totals.ts';

/** Methods that cut both factors at their places. */
const choices = registry.methods
  .filter(({ family, id }) => family === 'multiplication' && id !== 'halving-doubling')
  .map((method) => ({ method }));

describe('areaGround', () => {
  it('tiles one rectangle with the terms that are worth something', () => {
    fc.assert(
      fc.property(products(5), (problem) => {
        const { space } = compare(problem, choices);
        const ground = areaGround(space, problem.base)!;
        const area = ground.regions.reduce((sum, { width, height }) => sum + width * height, 0);
        const zero = problem.operands.some((operand) => operand.digits.every((d) => d === 0));
        expect(area).toBeCloseTo(zero ? 0 : 1, 9);
        const worth = ground.regions.reduce((sum, region) => sum + BigInt(region.worth), 0n);
        expect(worth).toBe(
          problem.operands
            .map(({ digits, base }) =>
              digits.reduceRight((total, digit) => total * BigInt(base) + BigInt(digit), 0n),
            )
            .reduce((a, b) => a * b),
        );
      }),
      { numRuns: 80 },
    );
  });

  it('puts a string of factors on two sides, and a quotient on its divisor', () => {
    const three = makeProblem(
      'product',
      ['12', '0.5', '34'].map((text) => numeral(text)),
    );
    const { space } = compare(three, [{ method: registry.get('lattice') }]);
    const strung = areaGround(space, 10)!;
    expect(strung.sides).toBe('last factor and the product of the others');
    expect(strung.down.map(({ text }) => text)).toEqual(['30', '4']);
    expect(strung.across.map(({ text }) => text)).toEqual(['10×0.5', '2×0.5']);
    expect(strung.regions.map(({ worth }) => worth)).toEqual(['150', '30', '20', '4']);

    const shared = makeProblem('quotient', [numeral('955'), numeral('7')]);
    const divided = compare(shared, [{ method: registry.get('partial-quotients') }]);
    const known = areaGround(divided.space, 10)!;
    expect(known.sides).toBe('divisor and quotient');
    expect(known.down.map(({ text }) => text)).toEqual(['7']);
    expect(known.across.map(({ text }) => text)).toEqual(['100', '20', '10', '5', '1', '']);
    expect(known.regions.map(({ area }) => area)).toEqual(['700', '140', '70', '35', '7', '3']);
  });

  it('brackets a part with a minus of its own behind a sign', () => {
    const problem = problemFrom('(x − 4)(x − 5)(2x + 1)');
    const { space } = compare(problem, [{ method: registry.get('expand-grid') }]);
    expect(areaGround(space, 10)!.across.map(({ text }) => text)).toEqual([
      'x×x',
      '−4×x',
      'x×(−5)',
      '−4×(−5)',
    ]);
  });

  it('says when strips are not to scale', () => {
    const ground = (a: string, b: string) =>
      areaGround(compare(productProblem([numeral(a), numeral(b)]), choices).space, 10)!;
    expect(ground('55', '55').toScale).toBe(false);
    expect(ground('5', '5').toScale).toBe(true);
    const widened = (a: string, b: string) =>
      ground(a, b).across.flatMap((strip) => (strip.isWidened ? [strip.text] : []));
    expect(widened('5', '55')).toEqual(['5']);
    expect(widened('5', '58')).toEqual(['8']);
    expect(widened('5', '5')).toEqual([]);
    expect(ground('30', '60').ratio).toBe(0.5);
    expect(ground('60', '30').ratio).toBe(2);
    expect(ground('46', '58').down.map((strip) => strip.text)).toEqual(['40', '6']);
    const doubling = { method: registry.get('halving-doubling') };
    const problem = productProblem([numeral('26'), numeral('34')]);
    const both = areaGround(compare(problem, [...choices, doubling]).space, 10)!;
    expect(both.down.map((strip) => strip.text)).toEqual(['16', '4', '4', '2']);
    expect(both.across.map((strip) => strip.text)).toEqual(['30', '4']);
  });
});

describe('areaTotals', () => {
  const totals = (a: string, b: string) =>
    areaTotals(compare(productProblem([numeral(a), numeral(b)]), choices).space)!;

  it('adds the rectangle by rows and by columns', () => {
    const { rows, columns, rowSum, columnSum } = totals('46', '58');
    expect(rows.map(({ text, worth }) => `${text}: ${worth}`)).toEqual(['8: 368', '50: 2300']);
    expect(columns.map(({ text, worth }) => `${text}: ${worth}`)).toEqual(['6: 348', '40: 2320']);
    expect([rowSum, columnSum].map(String)).toEqual(['2668', '2668']);
  });

  it('comes to the same both ways, whatever the factors', () => {
    fc.assert(
      fc.property(products(5), (problem) => {
        const { space, lanes } = compare(problem, choices);
        const { rowSum, columnSum } = areaTotals(space)!;
        expect(rowSum.equals(columnSum)).toBe(true);
        expect(rowSum.equals(lanes[0]!.trace.total)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('leaves out strips that are worth nothing', () => {
    expect(totals('406', '7').columns.map(({ text }) => text)).toEqual(['6', '400']);
    expect(totals('0', '7').rows).toEqual([]);
  });
});
