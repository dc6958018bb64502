import { problemFrom } from '../../testing/work.ts';
import { fittingOrder, laterStages, START, startOrder, TIDY, wayOfStage } from './schools.ts';
import { listOf } from './term-list.ts';

const brackets = (count: number) =>
  problemFrom(Array.from({ length: count }, (_, k) => `(x + ${k + 1})`).join(''));

describe('the pair to start with', () => {
  it.each([
    ['the-first-two', 2, [0, 1]],
    ['the-last-two', 2, [0, 1]],
    ['first-and-last', 2, [0, 1]],
    ['the-first-two', 4, [0, 1, 2, 3]],
    ['the-last-two', 4, [2, 3, 1, 0]],
    ['first-and-last', 4, [0, 3, 1, 2]],
  ])('%s of %i brackets', (start, count, order) => {
    expect(startOrder(brackets(count), { start })).toEqual(order);
  });

  it('takes every bracket once, whatever is chosen', () => {
    for (let count = 2; count <= 6; count++) {
      for (const { id } of START.options) {
        const order = startOrder(brackets(count), { start: id });
        expect([...order].sort((a, b) => a - b)).toEqual(
          Array.from({ length: count }, (_, k) => k),
        );
      }
    }
  });

  it('is the chosen one where it fits, else the first that does, else none', () => {
    const problem = problemFrom('(x + 1)(x^2 + x + 1)(x + 2)(x + 3)');
    const order = (start: string, terms: number) =>
      fittingOrder(problem, { start }, (a, b) =>
        [a, b].every((one) => listOf(one).length === terms),
      );
    expect(order('first-and-last', 2)).toEqual([0, 3, 1, 2]);
    expect(order('the-first-two', 2)).toEqual([2, 3, 1, 0]);
    expect(order('the-first-two', 3)).toBeNull();
  });
});

describe('the choices of later stages', () => {
  it('matter only where there are so many brackets', () => {
    const specs = [START, TIDY, ...laterStages('arcs')];
    const asked = (count: number) =>
      specs.filter(({ matters }) => matters!(brackets(count))).map(({ id }) => id);
    expect(asked(2)).toEqual([]);
    expect(asked(3)).toEqual(['start', 'tidy', 'third']);
    expect(asked(5)).toEqual(['start', 'tidy', 'third', 'fourth', 'fifth']);
  });

  it('are each their own, the last one for all that follow', () => {
    const school = { third: 'grid', fourth: 'arcs', fifth: 'grid' };
    expect([2, 3, 4, 5, 6].map((stage) => wayOfStage(stage, school))).toEqual([
      'grid',
      'arcs',
      'grid',
      'grid',
      'grid',
    ]);
    expect(wayOfStage(2, {})).toBe('arcs');
  });
});
