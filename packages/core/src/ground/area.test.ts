import fc from 'fast-check';
import { numeral } from '../exact/numeral.ts';
import { compare } from '../compare/compare.ts';
import { registry } from '../methods/index.ts';
import { productProblem } from '../problem/problem.ts';
import { products } from '../testing/arbitraries.ts';
import { areaGround } from './area.ts';

const choices = registry.methods.map((method) => ({ method }));

describe('areaGround', () => {
  it('tiles one rectangle with the terms that are worth something', () => {
    fc.assert(
      fc.property(products(5), (problem) => {
        const { space } = compare(problem, choices);
        const ground = areaGround(space)!;
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

  it('says when strips are not to scale, and refuses more than two factors', () => {
    const ground = (a: string, b: string) =>
      areaGround(compare(productProblem([numeral(a), numeral(b)]), choices).space)!;
    expect(ground('55', '55').toScale).toBe(false);
    expect(ground('5', '5').toScale).toBe(true);
    expect(ground('46', '58').down.map((strip) => strip.text)).toEqual(['40', '6']);
  });
});
