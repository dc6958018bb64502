import fc from 'fast-check';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { readProblem, type Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';
import { comparisons } from '../testing/arbitraries.ts';
import { blockPlaces, blocksAt } from './blocks.ts';
import { lineAt, lineExtent, liveEntries } from './line.ts';

function problem(text: string): Problem {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return read.problem;
}

const traceOf = (id: string, text: string) => registry.get(id).trace(problem(text));

const shown = (id: string, text: string, step: number) => {
  const { plus, minus, stretch } = lineAt(traceOf(id, text), step);
  const list = (segments: typeof plus) => segments.map((s) => `${s.text}@${s.from}`).join(' ');
  return `${list(plus)} | ${list(minus)} | ${stretch.from}–${stretch.to}`;
};

describe('the line', () => {
  it('lays addends end to end and regroups them', () => {
    expect(shown('partial-sums', '46 + 58', 0)).toBe('40@0 6@40 50@46 8@96 |  | 0–104');
    expect(shown('partial-sums', '46 + 58', 1)).toBe('40@0 10@40 4@50 50@54 |  | 0–104');
    expect(shown('partial-sums', '46 + 58', 4)).toMatch(/\| 0–104$/);
  });

  it('shows a difference as a stretch, which the same change slides', () => {
    expect(shown('compensation-subtraction', '642 − 387', 0)).toBe('642@0 | 387@0 | 387–642');
    expect(shown('compensation-subtraction', '642 − 387', 1)).toBe('655@0 | 400@0 | 400–655');
    expect(shown('equal-additions', '642 − 387', 1)).toMatch(/\| 397–652$/);
    expect(shown('counting-up', '642 − 387', 2)).toBe(
      '387@0 3@387 200@390 50@590 2@640 | 387@0 | 387–642',
    );
  });

  it('shows one of a place opened into ten of the next', () => {
    const { plus } = lineAt(traceOf('decomposition', '642 − 387'), 1);
    expect(plus.map(({ text, unit }) => `${text} ${unit}`)).toEqual([
      '600 null',
      '30 null',
      '12 1',
    ]);
    const expanded = lineAt(traceOf('expanded-subtraction', '642 − 387'), 3).plus;
    expect(expanded.find(({ text }) => text === '130')!.unit!.toString()).toBe('10');
  });

  it('keeps its stretch as long as the total, every live amount a segment of its own length', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem: own, chosen }) => {
        if (own.kind !== 'sum' && own.kind !== 'difference') return;
        if (scriptOf(own) === 'terms') return;
        for (const { method, school } of chosen) {
          const trace = method.trace(own, { school });
          const { low, high } = lineExtent([trace]);
          for (let step = 0; step <= trace.steps.length; step++) {
            const { plus, minus, stretch, hops } = lineAt(trace, step);
            expect(stretch.to.minus(stretch.from).equals(trace.total)).toBe(true);
            const live = liveEntries(trace, step);
            expect(plus.length + minus.length).toBe(live.length);
            for (const { entry, from, to } of [...plus, ...minus]) {
              const { worth } = live.find(({ id }) => id === entry)!;
              const length = to.minus(from);
              expect(length.equals(worth) || length.equals(worth.negate())).toBe(true);
              expect(high.compare(to)).not.toBe(-1);
            }
            for (const { from, to } of hops) {
              for (const at of [from, to]) {
                expect(low.compare(at) <= 0 && high.compare(at) >= 0).toBe(true);
              }
            }
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('follows hops forward and back', () => {
    const method = registry.get('counting-up');
    const hops = [13, 300, -45].map((by) => Exact.of(by));
    const trace = method.trace(problem('642 − 387'), { hops });
    expect(lineAt(trace, 3).hops.map(({ text, from, to }) => `${text} ${from}>${to}`)).toEqual([
      '+13 387>400',
      '+300 400>700',
      '−45 700>655',
    ]);
    expect(trace.balanced).toBe(true);
  });
});

describe('base blocks', () => {
  it('count each place, those there and those to be taken away', () => {
    const counts = (step: number) =>
      blocksAt(traceOf('decomposition', '642 − 387'), step).map(({ place, plus, minus }) => {
        const total = (runs: typeof plus) => runs.reduce((sum, { count }) => sum + count, 0);
        return `${place}: ${total(plus)}−${total(minus)}`;
      });
    expect(counts(0)).toEqual(['2: 6−3', '1: 4−8', '0: 2−7']);
    expect(counts(1)).toEqual(['2: 6−3', '1: 3−8', '0: 12−7']);
    expect(counts(5)).toEqual(['2: 2−0', '1: 5−0', '0: 5−0']);
    expect(blockPlaces(traceOf('column-addition', '46 + 58'))).toBe(3);
  });

  it('are worth the total at every moment', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem: own, chosen }) => {
        if (own.kind !== 'sum' && own.kind !== 'difference') return;
        if (scriptOf(own) !== 'figures') return;
        const trace = chosen[0]!.method.trace(own, { school: chosen[0]!.school });
        for (let step = 0; step <= trace.steps.length; step++) {
          const worth = blocksAt(trace, step).reduce((sum, { place, plus, minus }) => {
            const unit = BigInt(own.base) ** BigInt(place);
            const runs = [...plus.map((r) => r.count), ...minus.map((r) => -r.count)];
            return runs.reduce((so, count) => so + BigInt(count) * unit, sum);
          }, 0n);
          expect(worth).toBe((trace.whole ?? trace).total.numerator);
        }
      }),
      { numRuns: 60 },
    );
  });
});
