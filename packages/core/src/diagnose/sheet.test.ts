import type { Feature } from '../account/chance.ts';
import type { Problem } from '../problem/problem.ts';
import { always, multiplied, subtracted, type Mind, type State } from '../testing/learners.ts';
import { seeded } from '../testing/random.ts';
import { problemFrom } from '../testing/work.ts';
import { Search } from './search.ts';
import { diagnoseSheet } from './sheet.ts';

type Draw = (least: number, most: number) => number;

/** Searches are kept, since sheets share problems. */
const SEARCHES = new Map<string, Search>();
function searchFor(problem: Problem): Search {
  const name = problem.operands.map(({ digits }) => digits.join('.')).join() + problem.kind;
  const known = SEARCHES.get(name) ?? new Search(problem);
  SEARCHES.set(name, known);
  return known;
}

function diagnosed(rows: readonly (readonly [problem: string, answer: number | string])[]) {
  const items = rows.map(([text, answer]) => ({ problem: problemFrom(text), answer: `${answer}` }));
  return diagnoseSheet(items, searchFor);
}

interface Habit {
  readonly slip: string;
  readonly where: 'all' | Feature;
  readonly when: (state: State) => boolean;
}

const OF_DIFFERENCES: readonly Habit[] = [
  { slip: 'smaller-from-larger', where: 'all', when: () => true },
  { slip: 'smaller-from-larger', where: 'zero-above', when: ({ above }) => above === 0 },
  { slip: 'smaller-from-larger', where: 'neighbour-zero', when: ({ next }) => next === 0 },
  { slip: 'zero-minus-is-zero', where: 'all', when: () => true },
  { slip: 'lender-not-reduced', where: 'all', when: () => true },
  { slip: 'lender-not-reduced', where: 'neighbour-zero', when: ({ next }) => next === 0 },
  { slip: 'equal-stays', where: 'all', when: () => true },
  { slip: 'minus-zero-is-zero', where: 'all', when: () => true },
];
const OF_PRODUCTS: readonly Habit[] = [
  { slip: 'forget-carry', where: 'all', when: ({ carried }) => (carried ?? 0) > 0 },
  { slip: 'carry-before-multiplying', where: 'all', when: ({ carried }) => (carried ?? 0) > 0 },
  { slip: 'omit-placeholder', where: 'all', when: () => true },
  { slip: 'forget-carry', where: 'carry-of-more', when: ({ carried }) => (carried ?? 0) > 1 },
];

/** Six problems, the answers of a learner with one habit, and in one of them a fact one row off. */
function sheetOf(draw: Draw) {
  const isProduct = draw(0, 1) === 0;
  const pool = isProduct ? OF_PRODUCTS : OF_DIFFERENCES;
  const habit = pool[draw(0, pool.length - 1)]!;
  const careless = draw(0, 5);
  const rows = Array.from({ length: 6 }, (_, k) => {
    const mind: Mind = {
      ...always(habit.slip, habit.when),
      ...(k === careless && isProduct
        ? { product: (a, b, at) => (at === 'cell-0.0' ? (a + 1) * b : undefined) }
        : {}),
      ...(k === careless && !isProduct
        ? {
            difference: (a, b, at) =>
              at === 'place-0' && a - b < 9 && b > 0 ? a - b + 1 : undefined,
          }
        : {}),
    };
    if (isProduct) {
      const [a, b] = [draw(12, 99), draw(12, 99)];
      return { text: `${a} × ${b}`, answer: multiplied(a, b, mind), right: a * b };
    }
    const figure = () => (draw(0, 3) === 0 ? 0 : draw(1, 9));
    const a = draw(4, 9) * 1000 + figure() * 100 + figure() * 10 + figure();
    const b = draw(1, 3) * 1000 + figure() * 100 + figure() * 10 + figure();
    return { text: `${a} − ${b}`, answer: subtracted(a, b, mind), right: a - b };
  });
  return { habit, rows };
}

describe('a learner’s sheet', () => {
  it('finds the habit, how often it was made, and what it does not explain', () => {
    const { slips, items } = diagnosed([
      ['305 − 127', 288],
      ['642 − 387', 365],
      ['58 − 23', 35],
      ['704 − 256', 558],
      ['91 − 47', 9999],
    ]);
    expect(slips[0]).toMatchObject({ slip: 'lender-not-reduced', verdict: 'habit' });
    expect(items.map(({ right }) => right)).toEqual([false, false, true, false, false]);
    expect(items.map(({ habits }) => habits)).toEqual([[0], [0], [], [0], []]);
    expect(items.at(-1)).toMatchObject({ cause: null, read: true });
  });

  it('counts a slip that was made at one of its chances as now and then', () => {
    const { slips } = diagnosed([
      ['46 × 58', 2668],
      ['37 × 46', 1682],
      ['64 × 83', 5312],
      ['29 × 37', 73],
    ]);
    expect(slips.filter(({ verdict }) => verdict === 'habit')).toEqual([]);
    expect(slips.every(({ made, chances }) => made <= chances)).toBe(true);
  });

  it('says of what cannot be read that it is not read, and of blanks that they are blank', () => {
    const { items } = diagnosed([
      ['46 × 58', 'forty'],
      ['46 × 58', ''],
    ]);
    expect(items.map(({ read, answered }) => [read, answered])).toEqual([
      [false, true],
      [true, false],
    ]);
  });

  it('finds the habit in at least 90 of 100 sheets of six with one careless fact', () => {
    const draw = seeded(305_127);
    let [found, sheets] = [0, 0];
    while (sheets < 40) {
      const { habit, rows } = sheetOf(draw);
      const shown = rows.filter(({ answer, right }) => answer !== right);
      if (shown.length < 3) continue;
      sheets += 1;
      const { slips } = diagnosed(rows.map(({ text, answer }) => [text, answer] as const));
      if (slips.some(({ slip, verdict }) => slip === habit.slip && verdict === 'habit')) found += 1;
    }
    expect(found).toBeGreaterThanOrEqual(36);
  });
});
