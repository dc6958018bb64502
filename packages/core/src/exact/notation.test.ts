import { inNotation, PLAIN_NOTATION, pointTex, timesTex, onPaper, ungrouped } from './notation.ts';

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

describe('figures in threes', () => {
  const thin = { ...PLAIN_NOTATION, group: 'thin space' } as const;
  it.each([
    ['2668', '2\u202f668'],
    ['999', '999'],
    ['46 × 58 = 12345678', '46 × 58 = 12\u202f345\u202f678'],
    ['1234.56789', '1\u202f234.56789'],
    ['1011_2 × 110_2', '1011_2 × 110_2'],
    ['443913452800…231034', '443913452800…231034'],
    ['1000/2000', '1\u202f000/2\u202f000'],
    ['3x^2+1000', '3x^2+1\u202f000'],
  ])('%s is read as %s', (text, read) => {
    expect(inNotation(text, thin)).toBe(read);
    expect(onPaper(text, thin)).toBe(text);
  });

  it('are typed with and without them', () => {
    expect(ungrouped('12\u202f345 + 6 789', thin)).toBe('12345 + 6789');
    expect(ungrouped('12,345.5', { ...thin, group: 'comma' })).toBe('12345.5');
    expect(ungrouped('12,345', { ...thin, group: 'comma', point: ',' })).toBe('12,345');
    expect(ungrouped('5 1/6', thin)).toBe('5 1/6');
  });

  it('have a comma between them only where a comma is no point', () => {
    expect(inNotation('2668.5', { ...thin, group: 'comma' })).toBe('2,668.5');
    expect(inNotation('2668.5', { ...thin, group: 'comma', point: ',' })).toBe('2\u202f668,5');
  });
});
