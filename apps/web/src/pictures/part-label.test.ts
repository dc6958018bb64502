import { labelsThatStand } from './part-label.ts';

const row = (...strips: readonly [width: number, room: number][]) => {
  let from = 0;
  return strips.map(([width, room]) => {
    const middle = from + room / 2;
    from += room;
    return { middle, width, room };
  });
};

describe('labels over strips', () => {
  it('all stand where they have room', () => {
    expect(labelsThatStand(row([20, 60], [14, 30], [7, 20]))).toEqual([true, true, true]);
  });

  it('do not run into each other, so that 80 and 7 are never read as 807', () => {
    expect(labelsThatStand(row([60, 120], [14, 10], [14, 10], [7, 10]))).toEqual([
      true,
      true,
      false,
      true,
    ]);
  });

  it('stand over the longer strip where two are too near', () => {
    expect(labelsThatStand(row([12, 9], [12, 11], [40, 90]))).toEqual([false, true, true]);
  });

  it('are left out where they are much longer than their strip', () => {
    expect(labelsThatStand(row([40, 20]))).toEqual([false]);
  });
});
