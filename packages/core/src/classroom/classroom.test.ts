import { registry } from '../methods/index.ts';
import { diagnose } from '../diagnose/diagnose.ts';
import { Search } from '../diagnose/search.ts';
import { problemFrom } from '../testing/work.ts';
import { observedSlips } from './observed.ts';
import { usualRates, type Rates } from './rates.ts';
import { ClassSimulation, type ClassRequest } from './simulation.ts';

const COLUMN = registry.get('column-multiplication');
const LATTICE = registry.get('lattice');

function classOf(more: Partial<ClassRequest>): ClassSimulation {
  const papers = [{ method: COLUMN, school: COLUMN.defaultSchool }];
  const simulation = new ClassSimulation({
    problem: problemFrom('46 × 58'),
    papers,
    learners: 30,
    runs: 200,
    seed: 7,
    rates: new Map(),
    sameLearners: true,
    ...more,
  });
  simulation.advance(Infinity);
  return simulation;
}

const only = (slip: string, habit: number, careless: number): Rates =>
  new Map([[slip, { habit, careless }]]);

describe('a class that works a problem', () => {
  it('is right to the last where nobody slips', () => {
    const [column] = classOf({}).results;
    expect(column).toMatchObject({
      right: { mean: 30, low: 30, middle: 30, high: 30 },
      losses: [],
      answers: [{ answer: '2668', right: true, count: 30 }],
      works: 1,
    });
  });

  it('is lost as a whole where all have a habit that shows, and not at all where it cannot show', () => {
    const rates = only('omit-placeholder', 1, 0);
    const lattice = { method: LATTICE, school: LATTICE.defaultSchool };
    const column = { method: COLUMN, school: COLUMN.defaultSchool };
    const [first, second] = classOf({ rates, papers: [column, lattice] }).results;
    expect(first!.answers).toEqual([{ answer: '598', right: false, count: 30 }]);
    expect(first!.losses).toMatchObject([
      { address: 'omit-placeholder@line-1', share: 0.5, lost: 30, left: 0 },
    ]);
    expect(second!.right.mean).toBe(30);
  });

  it('loses as many as the share of a careless slip says', () => {
    const [column] = classOf({ rates: only('omit-placeholder', 0, 0.2), runs: 2000 }).results;
    const { losses, right } = column!;
    expect(losses).toHaveLength(1);
    expect(Math.abs(losses[0]!.lost - 6)).toBeLessThan(0.25);
    expect(right.mean).toBeCloseTo(30 - losses[0]!.lost, 9);
  });

  it('has the same facts wrong in all papers while one learner works them', () => {
    const papers = [COLUMN, LATTICE].map((method) => ({ method, school: method.defaultSchool }));
    // 20 × 40 uses a single fact that is not of zeros alone, so both papers stand or fall by it.
    const rates = only('wrong-fact', 0, 0.3);
    const shared = classOf({ problem: problemFrom('7 × 8'), papers, rates }).results;
    expect(shared[0]!.answers).toEqual(shared[1]!.answers);
    const apart = classOf({
      problem: problemFrom('7 × 8'),
      papers,
      rates,
      sameLearners: false,
    }).results;
    expect(apart[0]!.answers).not.toEqual(apart[1]!.answers);
  });

  it('gives the same for the same seed, however it is advanced, and counts every learner once', () => {
    const slips = [...COLUMN.slips.map(({ id }) => id), 'wrong-fact'];
    const rates = usualRates(slips);
    const whole = classOf({ rates }).results;
    const again = new ClassSimulation({
      ...{ problem: problemFrom('46 × 58'), learners: 30, runs: 200, seed: 7, rates },
      papers: [{ method: COLUMN, school: COLUMN.defaultSchool }],
      sameLearners: true,
    });
    while (!again.isDone) again.advance(7);
    expect(again.results).toEqual(whole);
    expect(classOf({ rates, seed: 8 }).results).not.toEqual(whole);
    const [{ answers, losses, right }] = whole as readonly [(typeof whole)[number]];
    const all = answers.reduce((sum, { count }) => sum + count, 0);
    expect(all).toBeCloseTo(30, 9);
    const lost = losses.reduce((sum, one) => sum + one.lost, 0);
    // Who is lost on the way may still end right, when two slips take each other back.
    expect(30 - lost).toBeLessThanOrEqual(right.mean + 1e-9);
    expect(30 - lost).toBeGreaterThan(right.mean - 0.5);
    expect(whole[0]!.works).toBeLessThan(6000);
  });
});

describe('where a class is lost', () => {
  const lostBy = (method: string, problem: string, ...slips: readonly string[]) => {
    const own = registry.get(method);
    const [made] = classOf({
      problem: problemFrom(problem),
      papers: [{ method: own, school: own.defaultSchool }],
      rates: new Map(slips.map((slip) => [slip, { habit: 0, careless: 1 }])),
    }).results;
    return made!.losses.map(({ address, lost }) => [address, lost]);
  };

  it('is the slip of the first step that leaks', () => {
    expect(lostBy('column-multiplication', '46 × 58', 'omit-placeholder', 'forget-carry')).toEqual([
      ['forget-carry@line-0.1', 30],
    ]);
    expect(lostBy('column-multiplication', '46 × 50', 'omit-placeholder', 'forget-carry')).toEqual([
      ['omit-placeholder@line-1', 30],
    ]);
  });

  it('is never a slip that only goes a longer way', () => {
    const [detour, slip] = ['regrouped-without-need', 'one-column-added'];
    expect(lostBy('decomposition', '358 − 127', detour)).toEqual([]);
    expect(lostBy('decomposition', '358 − 127', detour, slip)).toEqual([
      ['one-column-added@place-2', 30],
    ]);
  });

  it('is told of the middle half of all runs', () => {
    const seen = new Set<number>();
    for (let seed = 1; seed <= 20; seed++) {
      const rates = only('omit-placeholder', 0, 0.5);
      const [{ right }] = classOf({ rates, learners: 1, runs: 4, seed }).results as [
        ReturnType<typeof classOf>['results'][number],
      ];
      // Of four runs with one learner so many are right; a quarter of the way in order is the second.
      const rights = Math.round(right.mean * 4);
      const sorted = [3, 2, 1, 0].map((k) => (rights > k ? 1 : 0));
      expect(right).toEqual({
        mean: rights / 4,
        low: sorted[1],
        middle: sorted[2],
        high: sorted[3],
      });
      seen.add(rights);
    }
    expect(seen.size).toBeGreaterThan(3);
  });
});

describe('what was met among explained answers', () => {
  type Told = Parameters<typeof observedSlips>[0][number];
  const answer = (...explanations: readonly [string, string, 'habit' | 'once'][]) =>
    ({
      answered: true,
      right: false,
      explanations: explanations.map(([slips, method, how]) => ({
        slips: slips.split(' ').map((slip) => ({ slip })),
        methods: [{ method, school: {} }],
        habit: how === 'habit' ? { where: 'all' } : null,
      })),
    }) as unknown as Told;
  const met = (answers: readonly Told[], method: string | null) =>
    observedSlips(answers, method).map(({ slip, count, asHabit }) => [
      slip,
      `${count}`,
      `${asHabit}`,
    ]);

  it('counts habits apart', () => {
    const once = answer(['forget-carry', 'column-multiplication', 'once']);
    const habit = answer(['forget-carry', 'column-multiplication', 'habit']);
    expect(met([once, habit, habit], null)).toEqual([['forget-carry', '3', '2']]);
  });

  it('counts one slip made twice, and no two slips at once', () => {
    const twice = answer(['forget-carry forget-carry', 'lattice', 'once']);
    const two = answer(['forget-carry wrong-fact', 'lattice', 'once']);
    expect(met([twice, two], null)).toEqual([['forget-carry', '1', '0']]);
  });

  it('shares what several explain only where the method is named, among its own', () => {
    const tied = answer(
      ['forget-carry', 'column-multiplication', 'once'],
      ['line-not-shifted', 'column-multiplication', 'habit'],
      ['skip-cell', 'lattice', 'once'],
    );
    expect(met([tied], null)).toEqual([]);
    expect(met([tied], 'column-multiplication')).toEqual([
      ['forget-carry', '1/2', '0'],
      ['line-not-shifted', '1/2', '1/2'],
    ]);
    expect(met([tied], 'lattice')).toEqual([['skip-cell', '1', '0']]);
  });
});

describe('what was met among real answers', () => {
  const search = new Search(problemFrom('46 × 58'));
  const diagnosed = (texts: readonly string[]) =>
    texts.map((text) => {
      const made = diagnose(search, text);
      if (!made.ok) throw new Error(text);
      return made.diagnosis;
    });

  it('shares an answer among the slips of a named method that explain it', () => {
    const answers = diagnosed([
      '2668',
      '598',
      '598',
      '2628',
      '',
      '1234',
      ...Array<string>(6).fill('2668'),
    ]);
    const met = observedSlips(answers, 'column-multiplication');
    expect(met.find(({ slip }) => slip === 'omit-placeholder')).toMatchObject({
      of: 11,
      isFew: false,
    });
    expect(met.find(({ slip }) => slip === 'omit-placeholder')!.count.toString()).toBe('2');
    const total = met.reduce((sum, { count }) => sum + Number(count.toString().split('/')[0]), 0);
    expect(total).toBeGreaterThan(2);
  });

  it('counts without a method only what has a single explanation, and says when there are too few', () => {
    const met = observedSlips(diagnosed(['598', '2368', '2668']), null);
    expect(met.map(({ slip, isFew }) => [slip, isFew])).toEqual([['omit-placeholder', true]]);
  });
});
