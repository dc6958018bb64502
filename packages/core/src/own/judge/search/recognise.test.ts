import { readExpression } from '../../../problem/read-expression.ts';
import { termsOf, type Term } from '../../../line/node.ts';
import { termsText } from '../../../line/node-text.ts';
import { usedText } from '../../../laws/used.ts';
import type { Move } from '../move.ts';
import { explain } from './search.ts';

function line(text: string): readonly Term[] {
  const read = readExpression(text);
  if (!read.ok) throw new Error(text);
  return termsOf(read.expression);
}

function withOf({ used }: Move): string | null {
  return used && usedText(used);
}

function explained(before: string, after: string, numbers: readonly string[] = []) {
  const page = { base: 10, numbers: new Set(numbers) };
  return explain(line(before), line(after), page).explained;
}

describe('a lawful line', () => {
  it.each([
    ['46 × 58', '46 × 60 − 46 × 2', 'distribute 58 = 60 − 2'],
    ['46 × 58', '2760 − 92', 'distribute 58 = 60 − 2'],
    ['46 × 58', '46 × 50 + 46 × 8', 'distribute 58 = 50 + 8'],
    ['36 × 15', '360 + 180', 'distribute 15 = 10 + 5'],
    ['46 × 99', '4600 − 46', 'distribute 99 = 100 − 1'],
    ['46 × 9', '46 × 10 − 46', 'distribute 9 = 10 − 1'],
    ['46 × 11', '460 + 46', 'distribute 11 = 10 + 1'],
    ['3 × 4.99', '15 − 0.03', 'distribute 4.99 = 5 − 0.01'],
    ['952 ÷ 7', '700 ÷ 7 + 252 ÷ 7', 'distribute 952 = 700 + 252'],
    ['952 ÷ 7', '100 + 36', 'distribute 952 = 700 + 252'],
    ['3 1/2 × 2', '6 + 1', 'distribute 3 1/2 = 3 + 1/2'],
    ['(x+4)(3x−2)', '3x(x+4) − 2(x+4)', 'distribute'],
    ['46 × 50 + 46 × 8', '46 × (50 + 8)', 'factor-out'],
    ['46 × 50 + 46 × 8', '46 × 58', 'factor-out 58 = 50 + 8'],
    ['46 × 58', '2000 + 320 + 300 + 48', 'each-with-each'],
    ['(x+4)(3x−2)', '3x^2 − 2x + 12x − 8', 'each-with-each'],
    ['46 × 58', '(40 + 6)(50 + 8)', 'places 46 = 40 + 6, places 58 = 50 + 8'],
    ['642 − 387', '642 − 300 − 80 − 7', 'places 387 = 300 + 80 + 7'],
    ['642 − 387', '642 − 400 + 13', 'overshoot 387 = 400 − 13'],
    ['58 + 8', '58 + 2 + 6', 'parts 8 = 2 + 6'],
    ['46 × 60 − 46 × 2', '2760 − 92', 'worked-out, worked-out'],
    ['952/7', '136', 'worked-out'],
    ['7 − 3 + 2', '4 + 2', 'worked-out'],
    ['9/12 + 2/12', '11/12', 'worked-out'],
    ['46 × 58', '23 × 116', 'factors-moved'],
    ['34 × 27', '17 × 54', 'factors-moved'],
    ['25 × 16', '25 × 4 × 4', 'factors-moved'],
    ['16 × 25', '16 × 100 ÷ 4', 'factors-moved'],
    ['642 − 387', '655 − 400', 'same-change 13'],
    ['642 − 387', '(642 + 13) − (387 + 13)', 'same-change 13'],
    ['1003 − 458', '999 − 454', 'same-change 4'],
    ['38 + 27', '40 + 25', 'give-and-take 2'],
    ['4.98 + 3.45', '5 + 3.43', 'give-and-take 0.02'],
    ['31.5 ÷ 0.7', '315 ÷ 7', 'scale'],
    ['4.6 × 1.8', '46 × 18 ÷ 100', 'scale'],
    ['6 ÷ 1/2', '6 × 2', 'scale'],
    ['3/4 ÷ 2/4', '3 ÷ 2', 'scale'],
    ['3/4 × 24', '24 ÷ 4 × 3', 'scale'],
    ['3/4 + 1/6', '9/12 + 2/12', 'rename, rename'],
    ['5 1/6 − 2 5/6', '4 7/6 − 2 5/6', 'whole-as-parts'],
    ['2 1/3 + 1', '7/3 + 1', 'whole-as-parts'],
    ['11/12 + 1/5', '1 − 1/12 + 1/5', 'whole-as-parts'],
    ['0.75 × 8', '3/4 × 8', 'other-writing'],
    ['75% × 8', '75/100 × 8', 'other-writing'],
    ['864 ÷ 24', '864 ÷ 4 ÷ 6', 'divide-by-factors'],
    ['642 − 387', '642 − 387 + 13 − 13', 'add-take-back'],
    ['6 − (2 + 3)', '6 − 2 − 3', 'sign'],
    ['5 − (−3)', '5 + 3', 'sign'],
    ['5x − 2x + 4', '3x + 4', 'like-terms'],
    ['3x × 2x', '6x^2', 'like-terms'],
    ['x^2 × x^3', 'x^5', 'like-terms'],
    ['19 × 21', '20^2 − 1', 'square'],
    ['19 × 21', '400 − 1', 'square'],
    ['(a+b)^2', 'a^2 + 2ab + b^2', 'square'],
    ['46^2', '40^2 + 2×40×6 + 6^2', 'square'],
    ['√72', '√36 × √2', 'pair-factors'],
    ['√72', '6√2', 'pair-factors'],
    ['√7396', '86', 'worked-out'],
    ['√7396', '√4 × √1849', 'pair-factors'],
    ['450 ÷ 25', '450 × 4 ÷ 100', 'scale'],
  ])('%s → %s', (before, after, told) => {
    const [first] = explained(before, after);
    expect(first?.isLawful).toBe(true);
    const moves = first!.stages
      .flat()
      .map((own) => [own.move, withOf(own)].filter(Boolean).join(' '));
    expect(moves.join(', ')).toBe(told);
  });
});

describe('a line that leaps', () => {
  it.each([
    ['38 + 27', '50 + 15', 'places, worked-out', '30 + 8 + 20 + 7'],
    ['642 − 387', '300 − 45', 'places, worked-out', '600 + 40 + 2 − 300 − 80 − 7'],
    ['95 − 38', '65 − 8', 'places, worked-out', '95 − 30 − 8'],
    ['3/4 + 1/6', '11/12', 'rename, rename, worked-out', '9/12 + 2/12'],
    ['2/3 + 3/4', '1 5/12', 'rename, rename, worked-out', '8/12 + 9/12'],
    ['46 × 25', '4600 ÷ 4', 'factors-moved, worked-out', '46 × 100 ÷ 4'],
    ['(x+4)(3x−2)', '3x^2 + 10x − 8', 'each-with-each, like-terms', '3x^2 − 2x + 12x − 8'],
    ['46 × 58', '2000 + 668', 'worked-out, places', '2668'],
  ])('%s → %s', (before, after, told, between) => {
    const [first] = explained(before, after);
    expect(first?.isLawful).toBe(false);
    expect(
      first!.stages
        .flat()
        .map(({ move }) => move)
        .join(', '),
    ).toBe(told);
    expect(first!.between.map(termsText).join('; ')).toBe(between);
  });
});

describe('a line for which no law is found', () => {
  it.each([
    ['3/4 + 1/6', '8/12 + 3/12'],
    ['38 + 27', '52 + 13'],
    ['967 + 57', '1915 − 891'],
    ['565 − 33', '879 + 17 − 364'],
    ['46 × 58', '1999 + 669'],
  ])('%s → %s is equal, and no more is said', (before, after) => {
    expect(explained(before, after)).toEqual([]);
  });
});

it('names a change of both numbers that is not easier only when it puts in a number of the page', () => {
  expect(explained('642 − 387', '598 − 343')).toEqual([]);
  expect(explained('642 − 387', '598 − 343', ['598'])[0]!.stages[0]![0]!.move).toBe('same-change');
});

it('tells both good readings, places first', () => {
  const moves = explained('57 + 15', '60 + 12').map(({ stages }) => stages.flat()[0]!.move);
  expect(moves).toEqual(['places', 'give-and-take']);
});

describe('a move that fits any numbers', () => {
  it.each([
    ['5 × 5 × 8', '5 × (36 + 4)', 'parts'],
    ['5 × 5 × 8', '5 × (51 − 11)', 'more and a part taken back'],
    ['6 × 58 − 5 × 4', '346 − 18', 'the same change'],
    ['71 + 36 − 8', '59 + 40', 'give and take'],
    ['46 × 60 − 46 × 2', '2770 − 102', 'the same change'],
  ])('explains nothing behind another: %s as %s by %s', (before, after) => {
    expect(explained(before, after)).toEqual([]);
  });

  it('a cut is not made to be closed again', () => {
    const told = explained('3 × 32', '2 × (45 + 3)').map(({ stages }) =>
      stages.map(([first]) => first!.move),
    );
    expect(told).not.toContainEqual(['distribute', 'factor-out']);
  });
});

describe('a difference as its jumps', () => {
  it.each([
    ['523 − 268', '2 + 30 + 223', '268 → 270 → 300 → 523'],
    ['523 − 268', '223 + 30 + 2', '268 → 270 → 300 → 523'],
    ['523 − 268', '32 + 200 + 20 + 3', '268 → 300 → 500 → 520 → 523'],
    ['5 − 2.7', '0.3 + 2', '2.7 → 3 → 5'],
    ['5 1/6 − 2 5/6', '1/6 + 2 1/6', '17/6 → 3 → 31/6'],
  ])('%s as %s lands on round numbers', (before, after, used) => {
    const [first] = explained(before, after);
    expect(first?.stages.flat().map((own) => [own.law, own.move, withOf(own)])).toEqual([
      ['inverse', 'jumps', used],
    ]);
  });

  it.each([
    ['523 − 268', '100 + 155'],
    ['523 − 268', '200 + 50 + 5'],
    ['85 − 42', '40 + 3'],
    ['70 − 0', '30 + 40'],
    ['523 + 268', '2 + 30 + 759'],
  ])('%s as %s is none: any numbers would do', (before, after) => {
    const moves = explained(before, after).flatMap(({ stages }) => stages.flat());
    expect(moves.map(({ move }) => move)).not.toContain('jumps');
  });
});

describe('equal addends', () => {
  it.each([
    ['26 + 26 + 26', '3 × 26', ['equal-addends']],
    ['26 + 26 + 26 + 5', '26 × 3 + 5', ['equal-addends']],
    ['90 − 7 − 7', '90 − 2 × 7', ['equal-addends']],
    ['x + x + x', '3x', ['like-terms']],
    ['99 + 99 + 99', '3 × 100 − 3', ['equal-addends', 'distribute']],
  ])('%s as %s', (before, after, moves) => {
    const [first] = explained(before, after);
    expect(first?.stages.flat().map(({ move }) => move)).toEqual(moves);
  });

  it.each([
    ['26 + 27 + 25', '3 × 26'],
    ['26 + 26', '4 × 13'],
  ])('%s as %s are none', (before, after) => {
    const moves = explained(before, after).flatMap(({ stages }) => stages.flat());
    expect(moves.map(({ move }) => move)).not.toContain('equal-addends');
  });
});
