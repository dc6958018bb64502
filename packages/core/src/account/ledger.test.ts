import fc from 'fast-check';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { comparisons } from '../testing/arbitraries.ts';
import { problemFrom } from '../testing/work.ts';
import { applyStep, ledgerAt, mayFollow, openLedger, stepGraph, tally } from './ledger.ts';

const trace = registry.get('column-multiplication').trace(problemFrom('46 × 58'));

describe('a ledger', () => {
  it('opens with all that is owed, and keeps its balance to the answer', () => {
    expect(openLedger(trace.start).live.size).toBe(4);
    for (let step = 0; step <= trace.steps.length; step++) {
      expect(ledgerAt(trace, step).balance.equals(trace.total)).toBe(true);
    }
    const end = ledgerAt(trace, trace.steps.length);
    const left = [...end.live.values()].filter(({ worth }) => !worth.isZero);
    expect(left.map(({ id }) => id).sort()).toEqual([...trace.groups.at(-1)!.marks].sort());
  });

  it('is not changed by a step, and refuses what is not there', () => {
    const open = openLedger(trace.start);
    const next = applyStep(open, trace.steps[0]!);
    expect([open.live.size, next.live.size]).toEqual([4, 5]);
    expect(() => applyStep(next, trace.steps[0]!)).toThrow(
      /step 1 takes o0.0, which is not there or is gone/,
    );
  });

  it('tallies what counts, step by step', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem, chosen }) => {
        const [{ method, school }] = chosen as [(typeof chosen)[number]];
        const work = method.trace(problem, { ...(school ? { school } : {}) });
        const all = tally(work, ({ worth }) => worth);
        expect(all.map(String)).toEqual(
          work.steps.reduce((list) => [...list, String(work.total)], [String(work.total)]),
        );
        const owed = tally(work, ({ standing, worth }) => (standing === 'owed' ? worth : null));
        const own = [...ledgerAt(work, work.steps.length).live.values()];
        const left = own.filter(({ standing }) => standing === 'owed').map(({ worth }) => worth);
        expect(owed.at(-1)!.equals(Exact.sum(left))).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('what may come next', () => {
  it('is what takes only what is there', () => {
    const graph = stepGraph(trace);
    expect(mayFollow(graph, new Set())).toContain(1);
    expect(mayFollow(graph, new Set())).not.toContain(2);
    expect(mayFollow(graph, new Set([1]))).toContain(2);
  });

  it('keeps the account in any lawful order, by every method', () => {
    fc.assert(
      fc.property(comparisons(4), fc.infiniteStream(fc.nat()), ({ problem, chosen }, picks) => {
        const [{ method, school }] = chosen as [(typeof chosen)[number]];
        const work = method.trace(problem, { ...(school ? { school } : {}) });
        const graph = stepGraph(work);
        const done = new Set<number>();
        let ledger = openLedger(work.start);
        while (done.size < work.steps.length) {
          const next = mayFollow(graph, done);
          const number = next[picks.next().value! % next.length]!;
          ledger = applyStep(ledger, work.steps[number - 1]!);
          done.add(number);
          expect(ledger.balance.equals(work.total)).toBe(true);
        }
        const own = ledgerAt(work, work.steps.length);
        expect([...ledger.live.keys()].sort()).toEqual([...own.live.keys()].sort());
      }),
      { numRuns: 80 },
    );
  });
});
