import { inNotation, PLAIN_NOTATION, pointTex, timesTex } from './notation.ts';

const HERS = { times: '·', point: ',' } as const;

describe('her signs', () => {
  it.each([
    ['3.6 × 20.5 = 73.8', '3,6 · 20,5 = 73,8'],
    ['0.(142857)', '0,(142857)'],
    ['A.8 × 1', 'A,8 · 1'],
    ['The end. Then 3.', 'The end. Then 3.'],
    ['m. 3', 'm. 3'],
  ])('turn %s into %s', (plain, own) => {
    expect(inNotation(plain, HERS)).toBe(own);
    expect(inNotation(plain, PLAIN_NOTATION)).toBe(plain);
  });

  it('are put into LaTeX with the comma in braces', () => {
    expect(pointTex('3.6 \\times 2', HERS)).toBe('3{,}6 \\times 2');
    expect(pointTex('3.6', PLAIN_NOTATION)).toBe('3.6');
    expect([timesTex(HERS), timesTex(PLAIN_NOTATION)]).toEqual(['\\cdot', '\\times']);
  });
});
