import { addressText, FEATURES, type Addressed, type Feature } from '../account/chance.ts';
import { registry } from '../methods/index.ts';
import { problemFrom } from '../testing/work.ts';
import { isOf, suits, workWithHabits, type Habit } from './habits.ts';

type Placed = Pick<Addressed, 'slip' | 'at'>;
const textOf = ({ slip, at }: Placed) => addressText({ slip, at });
const texts = (all: readonly Placed[]) => all.map(textOf).sort();

describe('a learner with habits', () => {
  it.each([
    ['decomposition', ['4002 − 1587', '700 − 268', '5311 − 2744', '642 − 387']],
    ['equal-additions', ['4002 − 1587', '700 − 268']],
    ['column-multiplication', ['307 × 46', '99 × 89', '46 × 58']],
    ['column-addition', ['999 + 87', '4086 + 5947']],
  ])(
    'follows them by %s at every chance that is like them when the work comes to it',
    (id, all) => {
      const method = registry.get(id);
      const habits = method.slips.flatMap(({ id: slip }) =>
        (['all', ...FEATURES] as const).map((where) => ({ slip, where })),
      );
      let followed = 0;
      for (const text of all) {
        for (const habit of habits) {
          const problem = problemFrom(text);
          const { run, made } = workWithHabits(method, problem, { habits: [habit] });
          const missed = run.opportunities.filter(
            (chance) => suits(habit, chance) && !texts(made).includes(textOf(chance)),
          );
          expect([text, habit, texts(missed)]).toEqual([text, habit, []]);
          // Each as it is with those alone that were decided before it.
          for (const [k, own] of made.entries()) {
            const others = made.filter((_, other) => other !== k);
            const chances = [others, made.slice(0, k), made].flatMap((slips) =>
              method
                .light(problem, { slips })
                .opportunities.filter(
                  (chance) => textOf(chance) === textOf(own) && suits(habit, chance),
                ),
            );
            expect([text, habit, textOf(own), chances.length > 0]).toEqual([
              text,
              habit,
              textOf(own),
              true,
            ]);
          }
          followed += made.length;
        }
      }
      expect(followed).toBeGreaterThan(20);
    },
  );

  it('are followed only where chances are like them', () => {
    const method = registry.get('decomposition');
    const followed = (where: 'all' | Feature) => {
      const habit = { slip: 'smaller-from-larger', where };
      return texts(workWithHabits(method, problemFrom('5040 − 1587'), { habits: [habit] }).made);
    };
    const at = (...places: readonly number[]) =>
      places.map((place) => `smaller-from-larger@place-${place}`);
    expect(followed('all')).toEqual(at(0, 1, 2));
    expect(followed('zero-above')).toEqual(at(0));
    expect(followed('zero-below')).toEqual([]);
  });

  it('decides a slip that takes away what it is made for when the work comes to it', () => {
    const method = registry.get('decomposition');
    const habit = { slip: 'smaller-from-larger', where: 'just-regrouped' } as const;
    const { run, made } = workWithHabits(method, problemFrom('4002 − 1587'), { habits: [habit] });
    expect(made.map(textOf)).toEqual(
      [0, 1, 2].map((place) => `smaller-from-larger@place-${place}`),
    );
    // 2 from 7, 0 from 8, 0 from 5, and 1 from 4.
    expect(run.answer.toString()).toBe('3585');
  });

  it('takes a fact for another wherever it is used, in either order, and no other', () => {
    const method = registry.get('column-multiplication');
    const habit: Habit = { sign: '×', of: [4, 5], value: 22 };
    const facts = (text: string) => {
      const { run, made } = workWithHabits(method, problemFrom(text), { habits: [habit] });
      const due = run.facts.filter((chance) => isOf(habit, chance));
      expect(texts(made)).toEqual(texts(due));
      return due.map(({ fact }) => `${fact.of.join(fact.sign)}`);
    };
    expect(facts('46 × 58')).toEqual(['5×4']);
    expect(facts('45 × 54')).toHaveLength(2);
    expect(facts('33 × 77')).toEqual([]);
  });

  it('does not add what is mistaken when multiplied', () => {
    const times = { sign: '×', of: [4, 5], value: 22 } as const;
    const plus = registry.get('column-addition').light(problemFrom('4 + 5'), {}).facts;
    expect(plus.map(({ fact }) => fact.of)).toEqual([[4, 5]]);
    expect(plus.some((chance) => isOf(times, chance))).toBe(false);
    expect(plus.some((chance) => isOf({ ...times, sign: '+' }, chance))).toBe(true);
  });
});
