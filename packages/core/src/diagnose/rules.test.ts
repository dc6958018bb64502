import { Exact } from '../exact/exact.ts';
import { problemFrom } from '../testing/work.ts';
import { Budget } from './budget.ts';
import { compareCauses, type Cause } from './cause.ts';
import { evidenceOf } from './evidence.ts';
import { pairCauses } from './pairs.ts';
import { Search } from './search.ts';

type Told = Partial<Omit<Cause, 'slips'>> & { readonly slips?: readonly string[] };

function cause({ slips = ['forget-carry'], ...more }: Told): Cause {
  return {
    tier: 'method',
    habit: null,
    answer: Exact.ZERO,
    works: [],
    copied: null,
    cancels: false,
    ...more,
    slips: slips.map((slip, k) => ({ slip, idea: slip, at: { what: 'place', at: [k] } })),
  };
}

describe('the order of explanations', () => {
  it.each<[string, Told, Told]>([
    ['fewer slips', { tier: 'copy' }, { slips: ['forget-carry', 'line-not-shifted'] }],
    ['the whole item', { tier: 'whole-item' }, { habit: { where: 'all' } }],
    ['a slip of a method, not a fact', { tier: 'method' }, { tier: 'fact' }],
    ['a fact, not a copy', { tier: 'fact' }, { tier: 'copy' }],
    ['a habit, not a single slip', { habit: { where: 'first' } }, {}],
    ['a habit at all chances', { habit: { where: 'all' } }, { habit: { where: 'first' } }],
  ])('has %s first', (_, first, second) => {
    expect(compareCauses(cause(first), cause(second))).toBeLessThan(0);
    expect(compareCauses(cause(second), cause(first))).toBeGreaterThan(0);
  });
});

describe('two slips at once', () => {
  const problem = problemFrom('46 × 58');
  const search = new Search(problem, ['column-multiplication']);
  const found = (off: number, budget = new Budget(1_000_000)) =>
    pairCauses(problem, search.events, Exact.of(off), budget);
  const offs = [-40 - 300, 920 - 300, 280 - 2070, -1600 + 1200, -280 + 1380];

  it('give what they are off by together, each pair once, and no slip twice at one place', () => {
    let count = 0;
    for (const off of offs) {
      const { causes } = found(off);
      const told = causes.map(({ slips, works }) =>
        JSON.stringify([works[0]!.school, slips.map((slip) => JSON.stringify(slip)).sort()]),
      );
      expect(new Set(told).size).toBe(told.length);
      for (const { answer } of causes) expect(`${answer}`).toBe(String(2668 + off));
      for (const { slips } of causes) {
        const places = slips.map(({ slip, at }) => `${slip} ${at.at.join('.')}`);
        expect(new Set(places).size).toBe(places.length);
      }
      count += causes.length;
    }
    expect(count).toBeGreaterThan(0);
  });

  it('cancel where one is off up and the other down', () => {
    const runs = new Map(
      search.events.flatMap(({ singles, facts }) =>
        [...singles, ...facts].map(({ slips, run }) => [JSON.stringify(slips), run.answer]),
      ),
    );
    const seen = new Set<boolean>();
    for (const off of offs) {
      for (const { slips, cancels } of found(off).causes) {
        const each = slips.map((slip) => runs.get(JSON.stringify([slip])));
        if (each.includes(undefined)) continue;
        const ups = each.map((answer) => answer!.compare(search.right) > 0);
        expect(cancels).toBe(ups[0] !== ups[1]);
        seen.add(cancels);
      }
    }
    expect(seen.size).toBe(2);
  });

  it('are not proved without end, and it is said that they were not', () => {
    const long = problemFrom('99999999 × 99999999');
    const many = new Search(long, ['column-multiplication']);
    const sums = new Map<string, number>();
    for (const { singles, facts } of many.events) {
      const each = [...singles, ...facts].map(({ run }) => run.answer.minus(many.right));
      each.forEach((one, k) =>
        each.slice(k + 1).forEach((other) => {
          const sum = one.plus(other).toString();
          if (sum !== '0') sums.set(sum, (sums.get(sum) ?? 0) + 1);
        }),
      );
    }
    const [[off, count]] = [...sums].sort(([, a], [, b]) => b - a) as [[string, number]];
    const ways = Array.from({ length: Math.ceil(601 / count) }, () => many.events).flat();
    const { tried, cut } = pairCauses(long, ways, Exact.parse(off), new Budget(1e9));
    expect([tried, cut]).toEqual([600, true]);
    expect(found(offs[0]!, new Budget(0))).toEqual({ causes: [], tried: 0, cut: true });
  });
});

describe('how much a search explains anyway', () => {
  const share = (problem: string, answer: number, all: number, inSize: (n: number) => boolean) => {
    const search = new Search(problemFrom(problem));
    const explained = search.reached;
    const count = [...explained].filter((text) => /^\d+$/.test(text) && inSize(Number(text)));
    const { near, reaches } = evidenceOf(search, cause({ answer: Exact.of(answer) }));
    expect(reaches).toBe(new Set(explained).size);
    expect(near).toBe(Math.round((count.length / all) * 10_000) / 10_000);
    expect(near).toBeGreaterThan(0);
  };

  it('is a share of the wrong numbers of as many figures', () => {
    share('46 × 58', 598, 900, (n) => n >= 100 && n < 1000);
    share('46 × 58', 2628, 8999, (n) => n >= 1000 && n < 10_000);
    share('3 + 4', 8, 9, (n) => n < 10);
  });

  it('is told of whole numbers alone', () => {
    const search = new Search(problemFrom('46 × 58'));
    for (const answer of [Exact.of(-18), Exact.of(27, 2)])
      expect(evidenceOf(search, cause({ answer })).near).toBeNull();
  });
});
