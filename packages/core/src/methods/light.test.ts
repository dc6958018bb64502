import fc from 'fast-check';
import { addressText } from '../account/chance.ts';
import { leaksOf, type Leak } from '../account/leaks.ts';
import { choiceName, everySchool, problemsFor } from '../testing/arbitraries.ts';

const named = everySchool.map((choice) => [choiceName(choice), choice] as const);

const plain = (leaks: readonly Leak[]) => leaks.map(({ step, amount }) => `${step}: ${amount}`);

describe.each(named)('a light run of %s', (_, { method, school }) => {
  it('comes to what the trace comes to, and leaks where it leaks, with every slip', () => {
    fc.assert(
      fc.property(problemsFor(method), fc.nat(), (problem, pick) => {
        const clean = method.trace(problem, { school });
        const chances = clean.opportunities;
        const chance = chances[pick % Math.max(1, chances.length)];
        for (const slips of chance ? [[], [chance]] : [[]]) {
          const trace = method.trace(problem, { school, slips });
          const light = method.light(problem, { school, slips });
          expect(light.answer.toString()).toBe(trace.answer.toString());
          expect(light.total.toString()).toBe(trace.total.toString());
          expect(plain(light.leaks)).toEqual(plain(leaksOf(trace)));
          expect(
            light.opportunities.map((one) => [addressText(one), one.step, one.features]),
          ).toEqual(trace.opportunities.map((one) => [addressText(one), one.step, one.features]));
        }
      }),
      { numRuns: 10 },
    );
  });
});
