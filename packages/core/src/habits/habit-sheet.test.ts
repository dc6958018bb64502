import { registry } from '../methods/index.ts';
import { problemText } from '../problem/problem.ts';
import { always, subtracted } from '../testing/learners.ts';
import { problemFrom } from '../testing/work.ts';
import { habitSheet } from './habit-sheet.ts';

const method = registry.get('decomposition');
const school = method.defaultSchool;

describe('a sheet of a learner with a habit', () => {
  const habit = { slip: 'smaller-from-larger', where: 'all' } as const;
  const like = problemFrom('642 − 387');

  it('has four answers that show it, two that do not, and one to foretell', () => {
    const { items, next } = habitSheet(method, school, habit, { like, seed: 3 });
    expect(items.filter(({ shows }) => shows)).toHaveLength(4);
    expect(items.filter(({ shows }) => !shows)).toHaveLength(2);
    expect(next).toMatchObject({ shows: true });
    expect(new Set([...items, next!].map(({ problem }) => problemText(problem))).size).toBe(7);
  });

  it('answers as a learner does who works with figures alone', () => {
    for (let seed = 0; seed < 20; seed++) {
      const { items } = habitSheet(method, school, habit, { like, seed });
      for (const { problem, answer } of items) {
        const [a, b] = problemText(problem).split(' − ').map(Number) as [number, number];
        expect([problemText(problem), answer.toString()]).toEqual([
          problemText(problem),
          String(subtracted(a, b, always(habit.slip))),
        ]);
      }
    }
  });

  it('is the same for the same seed and another for another', () => {
    const texts = (seed: number) =>
      habitSheet(method, school, habit, { like, seed }).items.map(({ problem }) =>
        problemText(problem),
      );
    expect(texts(5)).toEqual(texts(5));
    expect(texts(5)).not.toEqual(texts(6));
  });

  it('is made of decimals and fractions too, and is empty where no numbers are made up', () => {
    const column = registry.get('column-multiplication');
    const decimals = habitSheet(
      column,
      column.defaultSchool,
      { slip: 'forget-carry', where: 'all' },
      {
        like: problemFrom('3.6 × 20.5'),
        seed: 1,
      },
    );
    expect(
      decimals.items.map(({ problem }) => problem.operands.map((one) => one.decimals)),
    ).toEqual(Array(6).fill([1, 1]));
    const roots = registry.get('digit-pairs');
    const none = habitSheet(
      roots,
      roots.defaultSchool,
      { slip: 'not-doubled', where: 'all' },
      {
        like: problemFrom('√7396'),
        seed: 1,
      },
    );
    expect(none).toEqual({ items: [], next: null });
  });
});
