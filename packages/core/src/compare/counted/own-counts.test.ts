import { readComputation } from '../../problem/computation.ts';
import { ownLinesMethod } from '../../own/paper/method.ts';
import { workOf } from '../../own/paper/own-work.ts';
import { ownCounts } from './own-counts.ts';

/** Facts, additions, regroupings and the most that is held. */
function counts(problem: string, ...lines: readonly string[]): readonly number[] {
  const read = readComputation(problem);
  if (!read.ok) throw new Error(problem);
  const { facts, additions, regroupings, held } = ownCounts(
    ownLinesMethod(workOf(lines)).trace(read.problem),
  );
  return [facts, additions, regroupings, held];
}

describe('what is counted of own lines', () => {
  it('is the same whether products stand in one line or aside; aside less is held', () => {
    // 46 × 60: 4 · 6 and 6 · 6; 46 × 2: 4 · 2 and 6 · 2; 2760 − 92 opens two places.
    expect(counts('46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668')).toEqual([4, 1, 2, 3]);
    expect(counts('46 × 58', '46 × 60 = 2760', '46 × 2 = 92', '2760 − 92', '= 2668')).toEqual([
      4, 1, 2, 1,
    ]);
  });

  it('is the same for several signs on a line as for several lines', () => {
    expect(counts('38 + 27', '= 40 + 25 = 65')).toEqual(counts('38 + 27', '= 40 + 25', '= 65'));
  });

  it('is an addition for every jump, by arrows or by statements', () => {
    expect(counts('38 + 27', '38 +2→ 40 +25→ 65')).toEqual([0, 2, 1, 1]);
    expect(counts('38 + 27', '38 + 2 = 40', '40 + 25 = 65', '65')).toEqual([0, 2, 1, 1]);
    expect(counts('642 − 387', '387 +13→ 400 +242→ 642', '= 255')).toEqual([0, 3, 2, 1]);
    expect(counts('642 − 387', '387 + 13 = 400', '400 + 242 = 642', '13 + 242 = 255')).toEqual([
      0, 3, 2, 1,
    ]);
  });

  it('opens places where a jump goes back, and carries where it goes on', () => {
    expect(counts('642 − 387', '642 −242→ 400 −13→ 387')).toEqual([0, 2, 2, 1]);
    expect(counts('642 − 387', '387 +13→ 400 +242→ 642')).toEqual([0, 2, 2, 1]);
    expect(counts('90 − 47', '90 −3→ 87 −40→ 47')).toEqual([0, 2, 1, 1]);
    expect(counts('90 − 47', '47 +40→ 87 +3→ 90')).toEqual([0, 2, 1, 1]);
    expect(counts('98 − 45', '98 −50→ 48 −3→ 45')).toEqual([0, 2, 0, 1]);
  });

  it('is a fact for every pair that is multiplied, and additions where pairs are put together', () => {
    const table = ['1 | 7', '10 | 70', '100 | 700', '30 | 210', '6 | 42', '136 | 952'];
    expect(counts('952 ÷ 7', ...table)).toEqual([2, 2, 0, 2]);
    expect(counts('24 × 15', '20 | 300', '4 | 60', '24 | 360')).toEqual([2, 1, 0, 1]);
  });

  it('is a fact for every chunk that is told aside', () => {
    expect(counts('952 ÷ 7', '7 × 100 = 700', '7 × 36 = 252', '100 + 36', '= 136')).toEqual([
      2, 1, 0, 1,
    ]);
  });

  it('carries in the base of the problem', () => {
    // 44 + 3 in base five is 102: both places pass five.
    expect(counts('44_5 + 3_5', '= 102')).toEqual([0, 1, 2, 1]);
    expect(counts('132_5 + 44_5', '132 +3→ 140 +41→ 231')).toEqual([0, 2, 2, 1]);
    expect(counts('FF_16 + 1_16', '= 100')).toEqual([0, 1, 2, 1]);
  });

  it('takes pairs with units and fractions', () => {
    expect(counts('952 ÷ 7', '100 kg | 700', '36 kg | 252', '136 | 952')).toEqual([2, 1, 0, 1]);
    expect(counts('24 × 15', '2 1/2 | 37.5', '21 1/2 | 322.5', '24 | 360')[1]).toBe(1);
  });

  it('is the same for pairs that share a line, and for statements run on in one', () => {
    expect(counts('24 × 15', '20 | 300; 4 | 60', '24 | 360')).toEqual([2, 1, 0, 1]);
    const broken = counts('6 + 8 + 5', '6 + 8 = 14', '14 + 5 = 19', '19');
    expect(counts('6 + 8 + 5', '6 + 8 = 14 + 5 = 19')).toEqual(broken);
  });
});
