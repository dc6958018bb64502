import fc from 'fast-check';
import { audit } from '../laws/audit.ts';
import { Exact } from '../exact/exact.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { accepted, kindOf, problemsFor } from '../testing/arbitraries.ts';
import { expectedValue, isFraction } from '../testing/expected.ts';
import { numeral } from '../exact/numeral.ts';
import { registry } from './index.ts';

const takers = registry.methods.filter((method) => method.ownHops);
const hopList = fc.array(
  fc
    .tuple(fc.integer({ min: -400, max: 900 }), fc.constantFrom(1, 1, 1, 2, 10))
    .map(([by, parts]) => Exact.of(by, parts)),
  { maxLength: 6 },
);

describe('hops of one’s own', () => {
  it('are taken where the user may choose', () => {
    expect(takers.map(({ id }) => id)).toEqual([
      'bridging-addition',
      'compensation-addition',
      'counting-up',
      'compensation-subtraction',
      'partial-quotients',
    ]);
  });

  it.each(takers.map((method) => [method.id, method] as const))(
    '%s keeps the account with any of them, and leaves out what cannot be made',
    (_, method) => {
      const numbers = problemsFor(method, 3).map((problem) =>
        accepted(method, makeProblem(kindOf(method) as ProblemKind, problem.operands.slice(0, 2))),
      );
      fc.assert(
        fc.property(numbers, hopList, (problem, hops) => {
          const trace = method.trace(problem, { hops });
          expect(audit(trace)).toEqual([]);
          expect(isFraction(trace.answer, expectedValue(problem))).toBe(true);
          const verdicts = method.ownHops!.judge(problem, hops, method.defaultSchool);
          const bad = verdicts.findIndex((verdict) => !verdict.ok);
          const made = bad < 0 ? verdicts.length : bad;
          expect(trace.choice.hops.length).toBe(Math.min(made, method.ownHops!.most));
          const sheet = method.sheet(trace);
          expect(sheet.cells.length).toBeGreaterThan(0);
        }),
        { numRuns: 150 },
      );
    },
  );

  const difference = (a: string, b: string): Problem =>
    makeProblem('difference', [numeral(a), numeral(b)]);
  const judged = (id: string, problem: Problem, ...by: number[]) => {
    const method = registry.get(id);
    const hops = by.map((n) => Exact.of(n));
    return method
      .ownHops!.judge(problem, hops, method.defaultSchool)
      .map((verdict) => (verdict.ok ? `${verdict.lands}` : verdict.fault));
  };

  it('are each told where they land, or what is wrong', () => {
    expect(judged('counting-up', difference('642', '387'), 13, 300, -58, 1)).toEqual([
      '400',
      '700',
      '642',
      '642 is reached; no hop is left.',
    ]);
    expect(judged('counting-up', difference('642', '387'), -400)).toEqual([
      'This hop goes back past zero.',
    ]);
    const sum = makeProblem('sum', [numeral('46'), numeral('58')]);
    expect(judged('bridging-addition', sum, 4, 60)).toEqual([
      '50',
      'Only 54 of the second addend is left; 60 is too much.',
    ]);
    expect(judged('compensation-addition', sum, 2)).toEqual(['60']);
    expect(judged('compensation-subtraction', difference('642', '387'), 13, -500)).toEqual([
      '400',
      '500 is more than one of the numbers has.',
    ]);
  });

  it('past the end leave a gap that is held until they come back', () => {
    const hops = [13, 300].map((by) => Exact.of(by));
    const trace = registry.get('counting-up').trace(difference('642', '387'), { hops });
    const gap = trace.steps[1]!.gives.find(({ role }) => role === 'hop too far')!;
    expect([gap.medium, gap.worth.toString()]).toEqual(['head', '-58']);
    expect(trace.steps.every(({ balance }) => balance.toString() === '255')).toBe(true);
  });
});
