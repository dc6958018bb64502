import { readProblem, type Problem } from '@levee/core';
import { freshDocument } from './content.ts';
import { deskOf } from './desk.ts';
import { retold, withTyped } from './story.ts';

function problem(text: string): Problem {
  const read = readProblem(text);
  if (!read.ok) throw new Error(`"${text}" cannot be read`);
  return read.problem;
}

const told = {
  ...deskOf(freshDocument()).content,
  story: 'sandbags on 46 pallets of 58',
  unit: 'bags',
  counted: true,
};

describe('the story of a computation', () => {
  it('follows the numbers of a computation of the same kind, unit and all', () => {
    expect(withTyped(told, problem('19 × 365'))).toMatchObject({
      problem: '19 × 365',
      story: 'sandbags on 19 pallets of 365',
      unit: 'bags',
      counted: true,
    });
  });

  it('goes with its unit where another kind of computation comes', () => {
    for (const text of ['46 + 58', '√46', '(x + 4)(x + 5)']) {
      expect(withTyped(told, problem(text))).toMatchObject({ story: '', unit: '', counted: false });
    }
  });

  it('keeps the unit where whole numbers give way to fractions', () => {
    const sum = withTyped({ ...told, unit: '' }, problem('4 + 5'));
    const metres = { ...sum, story: 'a wall of 4 and one of 5', unit: 'm' };
    expect(withTyped(metres, problem('4 1/2 + 5'))).toMatchObject({
      story: 'a wall of 4 1/2 and one of 5',
      unit: 'm',
    });
  });

  it('touches only numbers that stand alone, each once', () => {
    const retell = (story: string, before: string, after: string) =>
      retold(story, problem(before), problem(after));
    expect(retell('12 of 12, not 120 or 1.12 or 12.5', '12 × 12', '7 × 9')).toBe(
      '7 of 9, not 120 or 1.12 or 12.5',
    );
    expect(retell('1,5 and 2.5 litres.', '1.5 + 2.5', '3.25 + 4')).toBe('3,25 and 4 litres.');
    expect(retell('5 1/6 of 1/6', '5 1/6 - 1/6', '3/4 - 1/2')).toBe('3/4 of 1/2');
    expect(retell('three of 3', '3 + 4', '3 + 4 + 5')).toBe('three of 3');
    expect(retell('sides x + 4 and x + 5', '(x+4)(x+5)', '(x-1)(x+2)')).toBe(
      'sides x - 1 and x + 2',
    );
  });
});
