import fc from 'fast-check';
import { addressText } from '../account/chance.ts';
import { leaksOf, type Leak } from '../account/leaks.ts';
import { lightReport } from '../formats/light-report.ts';
import { traceDocument } from '../formats/trace-document.ts';
import { choiceName, everySchool, problemsFor } from '../testing/arbitraries.ts';
import { slipIdea } from '../slips/catalogue.ts';
import { problemFrom } from '../testing/work.ts';
import { registry } from './index.ts';

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
      { numRuns: 5 },
    );
  });
});

describe('what goes to a worker', () => {
  it('is plain data: light runs and traces come back as they went', () => {
    for (const [id, text] of [
      ['column-multiplication', '3.6 × 20.5'],
      ['mixed-separate', '5 1/6 − 2 5/6'],
      ['expand-arcs', '(x+4)(3x−2)'],
      ['digit-pairs', '√72'],
    ] as const) {
      const method = registry.get(id);
      const problem = problemFrom(text);
      const chance = method
        .light(problem)
        .opportunities.find(({ slip }) => slipIdea(slip).effect === 'amount')!;
      const report = lightReport(method.light(problem, { slips: [chance] }));
      expect(structuredClone(report)).toEqual(report);
      expect(JSON.parse(JSON.stringify(report))).toEqual(report);
      expect(report.leaks.length).toBeGreaterThan(0);
      const document = traceDocument(method, method.trace(problem));
      expect(structuredClone(document)).toEqual(document);
      expect(JSON.parse(JSON.stringify(document))).toEqual(document);
    }
  });
});
