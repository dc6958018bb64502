import fc from 'fast-check';
import { addressText, where } from '../account/chance.ts';
import { decodeAgreement } from '../formats/agreement-document.ts';
import { problemText } from '../problem/problem.ts';
import { comparisons } from '../testing/arbitraries.ts';
import { problemFrom } from '../testing/work.ts';
import { registry } from '../methods/index.ts';
import { agreement } from './certificate/agreement.ts';
import { reasonsMarkdown } from './certificate/agreement-export.ts';
import { reasonsOf } from './certificate/reasons.ts';
import { pointAt } from './amounts.ts';
import { certainties } from './looked-at.ts';
import { compare } from './compare.ts';
import { cost } from './counted/cost.ts';
import { levels } from './counted/levels.ts';
import { verifyAgreement } from './certificate/verify-agreement.ts';
import { PLAIN_NOTATION } from '../exact/notation.ts';

/** Comparisons with one slip in the first method. */
const slipped = fc.tuple(comparisons(3), fc.nat()).map(([{ problem, chosen }, pick]) => {
  const [first, ...others] = chosen;
  const chances = first!.method.trace(problem, { school: first!.school }).opportunities;
  const chance = chances[pick % Math.max(1, chances.length)];
  const slips = chance ? [{ slip: chance.slip, at: chance.at }] : [];
  return {
    problem,
    choices: [{ ...first!, slips }, ...others],
    [fc.toStringMethod]: () =>
      `${problemText(problem)} by ${chosen.map(({ method }) => method.id).join()}, ${slips.map(addressText).join()}`,
  };
});

describe('a comparison with a slip in it', () => {
  it('has same amounts, stops, certainties, levels and costs like any other', () => {
    fc.assert(
      fc.property(slipped, ({ problem, choices }) => {
        const comparison = compare(problem, choices);
        for (const { trace, amounts } of comparison.lanes) {
          expect(certainties(trace)).toHaveLength(trace.steps.length + 1);
          expect(levels(trace)).toHaveLength(trace.steps.length + 1);
          expect(cost(trace).steps).toBe(trace.steps.length);
          for (const { group } of amounts) {
            const [id] = group.marks;
            if (id)
              pointAt(comparison, {
                kind: 'entry',
                lane: comparison.lanes.findIndex((lane) => lane.trace === trace),
                id,
              });
          }
        }
        const ends = comparison.lanes.map(({ trace }) => trace.steps.length);
        expect(comparison.stops.at(-1)).toEqual(ends);
        comparison.stops.slice(1).forEach((stop, k) => {
          stop.forEach((step, lane) => {
            expect(step).toBeGreaterThanOrEqual(comparison.stops[k]![lane]!);
          });
        });
      }),
      { numRuns: 50 },
    );
  });

  it('is certified where a fraction that stays unreduced is turned back to a whole', () => {
    const [problem, method] = [problemFrom('2/1 + 1 0/2'), registry.get('mixed-improper')];
    const slips = [{ slip: 'unreduced', at: where('answer', 0) }];
    const comparison = compare(problem, [{ method, school: method.defaultSchool, slips }]);
    expect(verifyAgreement(agreement(comparison))).toEqual({ ok: true });
  });

  it('is certified as far as it goes, and no further', () => {
    let leaking = 0;
    fc.assert(
      fc.property(slipped, ({ problem, choices }) => {
        const comparison = compare(problem, choices);
        const certificate = agreement(comparison);
        expect(verifyAgreement(certificate)).toEqual({ ok: true });
        const read = decodeAgreement(JSON.parse(JSON.stringify(certificate)));
        expect(read).toEqual({ ok: true, value: certificate });
        const [first, ...others] = certificate.methods;
        const [leak] = comparison.lanes[0]!.leaks;
        expect(others.filter((method) => method.leak)).toEqual([]);
        if (!leak) return expect(first!.leak).toBeUndefined();
        leaking += 1;
        expect(first!.leak).toEqual({ step: leak.step, amount: leak.amount.toString() });
        expect(certificate.version).toBe(3);
        const { method, moves, bracketing, brief } = first!;
        const unsaid = { method, moves, bracketing, brief };
        const silent = { ...certificate, methods: [unsaid, ...others] };
        const isOne = moves.at(-1)?.expression.kind !== 'sum' || certificate.kind === 'root';
        if (!isOne && certificate.script === 'figures') {
          expect(verifyAgreement(silent)).toMatchObject({ ok: false, method: first!.method });
        }
        const none = { ...first!, leak: { step: leak.step, amount: '0' } };
        const empty = { ...certificate, methods: [none, ...others] };
        expect(verifyAgreement(empty)).toMatchObject({ ok: false, method: first!.method });
      }),
      { numRuns: 100 },
    );
    expect(leaking).toBeGreaterThan(40);
  });

  it('is certified where a part of as many as make a whole meets it and nothing is left', () => {
    for (const text of ['2/2 - 1', '3/2 - 1 1/2', '2 2/2 - 3', '1 - 2/2', '2/2 - 1 0/2']) {
      const problem = problemFrom(text);
      const method = registry.get('mixed-separate');
      for (const { slip, at } of [
        { slip: '', at: { what: 'line', at: [] } as const },
        ...method.trace(problem).opportunities,
      ]) {
        const slips = slip === '' ? [] : [{ slip, at }];
        const certificate = agreement(compare(problem, [{ method, slips }]));
        expect(verifyAgreement(certificate)).toEqual({ ok: true });
      }
    }
  });

  it('tells in words where it stops', () => {
    const [lattice, column] = ['lattice', 'column-multiplication'].map((id) => registry.get(id));
    const slips = [{ slip: 'forget-carry', at: { what: 'line', at: [0, 2] } as const }];
    const made = compare(problemFrom('768 × 67'), [
      { method: lattice! },
      { method: column!, slips },
    ]);
    const names = { method: (id: string) => id, notation: PLAIN_NOTATION };
    const text = reasonsMarkdown(reasonsOf(made), names);
    expect(text).toMatch(/^# How far the methods agree: 768 × 67 = 51456/);
    expect(text).toContain('Step 3 loses 400; from there on it does not agree.');
    expect(made.lanes.map(({ leaks }) => leaks.length)).toEqual([0, 1]);
  });
});
