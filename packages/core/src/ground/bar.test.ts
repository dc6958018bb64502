import fc from 'fast-check';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { readProblem } from '../problem/problem.ts';
import { fractionProblems } from '../testing/arbitraries.ts';
import { lineAt, lineExtent } from './line.ts';

function worked(id: string, text: string) {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return registry.get(id).trace(read.problem);
}

const methods = registry.methods.filter(({ family }) => family === 'fractions');

describe('the bar of fractions', () => {
  const cut = (id: string, text: string, step: number) =>
    lineAt(worked(id, text), step).plus.map(({ text: said, unit }) => `${said} by ${unit}`);

  it('cuts every length by the denominator it is written with at that moment', () => {
    expect(cut('least-common-denominator', '3/4 + 1/6', 0)).toEqual(['3/4 by 1/4', '1/6 by null']);
    expect(cut('least-common-denominator', '3/4 + 1/6', 3)).toEqual([
      '9/12 by 1/12',
      '2/12 by 1/12',
    ]);
    expect(cut('least-common-denominator', '3/4 + 1/6', 5)).toEqual(['11/12 by 1/12']);
    expect(cut('mixed-improper', '5 1/6 − 2 5/6', 1)).toEqual(['31/6 by 1/6']);
    expect(cut('mixed-separate', '5 1/6 − 2 5/6', 1)).toEqual(['4 by 1', '7/6 by 1/6']);
  });

  it.each(methods.map((method) => [method.id, method] as const))(
    '%s never lengthens it by a lawful step',
    (_, method) => {
      fc.assert(
        fc.property(fractionProblems(method), (problem) => {
          const trace = method.trace(problem);
          for (let step = 0; step <= trace.steps.length; step++) {
            const { stretch, plus, minus } = lineAt(trace, step);
            expect(stretch.to.minus(stretch.from).equals(trace.total)).toBe(true);
            for (const { from, to, unit } of [...plus, ...minus]) {
              const count = unit ? to.minus(from).dividedBy(unit) : Exact.ONE;
              expect(count.isWhole).toBe(true);
            }
          }
          const { low, high } = lineExtent([trace]);
          expect(low.compare(high)).toBeLessThanOrEqual(0);
        }),
        { numRuns: 40 },
      );
    },
  );
});
