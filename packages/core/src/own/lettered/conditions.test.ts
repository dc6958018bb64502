import { Exact } from '../../exact/exact.ts';
import { conditionSays, isMet, readCondition, unmetSays } from './conditions.ts';

const VALUES = new Map([
  ['a', Exact.of(46)],
  ['b', Exact.of(47)],
  ['c', Exact.parse('1/3')],
  ['d', Exact.parse('5/2')],
  ['e', Exact.of(0)],
]);

function met(text: string): boolean | null {
  const condition = readCondition(text);
  return condition && isMet(condition, VALUES);
}

describe('conditions of a way', () => {
  it.each([
    ['even(a)', true],
    ['even(b)', false],
    ['even(d)', false],
    ['whole(a)', true],
    ['whole(d)', false],
    ['comes-out(d)', true],
    ['comes-out(c)', false],
    ['b > a', true],
    ['a > b', false],
    ['a > a', false],
    ['a > 0', true],
    ['e > 0', false],
    ['d > 5/2', false],
    ['d > 2.4', true],
    ['a = 46', true],
    ['a = 47', false],
    ['q > 0', false],
    ['odd(a)', null],
    ['a < b', null],
    ['a >', null],
    ['even(a, b)', null],
  ])('%s: %s', (text, due) => {
    expect(met(text)).toBe(due);
  });

  it.each([
    ['even(b)', 'b is even', 'The way takes half of b, and b is 47, which is not even.'],
    ['whole(d)', 'd is a whole number', 'In this way d is a whole number; here it would be 2.5.'],
    [
      'comes-out(c)',
      'c can be written with a point',
      'In this way c can be written with a point; here it would be 1/3.',
    ],
    ['a > b', 'a is more than b', 'In this way a is more than b, which is 47; here a is 46.'],
    ['e > 0', 'e is more than 0', 'In this way e is more than 0; here e is 0.'],
    ['a = 11', 'a is 11', 'This way is for a = 11 alone; here it is 46.'],
  ])('%s says “%s”, and where it fails “%s”', (text, says, unmet) => {
    const condition = readCondition(text)!;
    expect(conditionSays(condition)).toBe(says);
    expect(unmetSays(condition, VALUES)).toBe(unmet);
  });
});
