import { placeNames, singular } from './place-names.ts';

describe('places', () => {
  it.each([
    [10, 1, 'tens', 'ten'],
    [10, 5, 'hundred thousands', 'hundred thousand'],
    [10, -3, 'thousandths', 'thousandth'],
    [10, -4, 'ten-thousandths', 'ten-thousandth'],
    [10, 58, 'places of 10⁵⁸', 'place of 10⁵⁸'],
    [10, -58, 'places of 10⁻⁵⁸', 'place of 10⁻⁵⁸'],
    [2, 1, 'twos', 'two'],
    [2, -1, 'halves', 'half'],
    [3, -1, 'thirds', 'third'],
    [5, 2, 'twenty-fives', 'twenty-five'],
    [5, -2, 'twenty-fifths', 'twenty-fifth'],
    [6, 1, 'sixes', 'six'],
    [8, -2, 'sixty-fourths', 'sixty-fourth'],
    [9, -2, 'eighty-firsts', 'eighty-first'],
    [12, -1, 'twelfths', 'twelfth'],
    [8, 3, 'places of 8³', 'place of 8³'],
  ])('of base %i, %i, are named %s, one of them %s', (base, place, many, one) => {
    expect(placeNames(base, place)).toBe(many);
    expect(singular(many)).toBe(one);
  });
});
