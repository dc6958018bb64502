import { worked } from '../testing/work.ts';
import { certainties } from './looked-at.ts';
import { cost } from './counted/cost.ts';

const counted = (id: string, text: string, school = {}) => {
  const { facts, additions, carries, figures, heldAtOnce, largestHeld } = cost(
    worked(id, text, { school }),
  );
  return [facts, additions, carries, figures, heldAtOnce, Number(largestHeld.toString())];
};

describe('what sums and differences cost', () => {
  it.each([
    ['column-addition', [5, 5, 2, 5, 0, 0]],
    ['partial-sums', [5, 5, 0, 11, 0, 0]],
    ['left-to-right-addition', [3, 3, 0, 9, 0, 0]],
    ['bridging-addition', [3, 4, 0, 12, 0, 0]],
    ['compensation-addition', [3, 2, 0, 12, 0, 0]],
    ['running-total', [3, 1, 0, 3, 1, 386]],
    ['scratch-addition', [5, 7, 4, 10, 0, 0]],
  ])('%s on 386 + 478', (id, expected) => expect(counted(id, '386 + 478')).toEqual(expected));

  it.each([
    ['decomposition', [3, 3, 2, 9, 0, 0]],
    ['equal-additions', [5, 7, 2, 7, 0, 0]],
    ['counting-up', [1, 3, 0, 23, 0, 0]],
    ['compensation-subtraction', [1, 1, 0, 9, 0, 0]],
  ])('%s on 642 − 387', (id, expected) => expect(counted(id, '642 − 387')).toEqual(expected));

  it('counts a gap that is held in the head by its size', () => {
    const gap = cost(worked('counting-up', '642 − 387', { hops: [300] }));
    expect([gap.heldAtOnce, gap.largestHeld.toString()]).toEqual([1, '45']);
  });
});

describe('what is certain', () => {
  const sure = (id: string, text: string, school = {}) =>
    certainties(worked(id, text, { school })).map(({ figures, length }) =>
      length === null ? '' : figures.padEnd(length, '·'),
    );

  it('comes early from the left and late from the right', () => {
    expect(sure('partial-sums', '314 + 523', { order: 'largest-first' }).slice(0, 4)).toEqual([
      '',
      '···',
      '8··',
      '837',
    ]);
    expect(sure('column-addition', '314 + 523')).toEqual(['', '', '', '837']);
  });

  it('bounds what is owed by its places, so that the answer is always inside', () => {
    for (const [id, text] of [
      ['left-to-right-addition', '386 + 478'],
      ['decomposition', '7002 − 2586'],
      ['partial-differences', '38 − 52'],
      ['crosswise', '346 × 125'],
      ['halving-doubling', '26 × 34'],
    ] as const) {
      const trace = worked(id, text);
      const all = certainties(trace);
      for (const { low, high } of all) {
        expect(low.compare(trace.total) <= 0 && high.compare(trace.total) >= 0).toBe(true);
      }
      const last = all.at(-1)!;
      expect([last.low, last.high].map(String)).toEqual(Array(2).fill(`${trace.total}`));
    }
  });

  it('is not had from a row that only says what is still to be done', () => {
    expect(cost(worked('halving-doubling', '26 × 34')).leadingCertainAt).toBeGreaterThan(4);
  });
});
