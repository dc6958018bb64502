import { Exact } from '../../exact/exact.ts';
import { boxed } from './boxes.ts';
import { gathered, span, type Held, type Piece } from './held.ts';

const whole = (...sizes: readonly number[]): Held => {
  const at = sizes.map((size) => span(Exact.ZERO, Exact.of(size)));
  return [{ line: 0, at, axes: at.map((_, k) => k), own: at, count: 1n }];
};
const exact = (...sizes: readonly number[]) => sizes.map((size) => Exact.of(size));

/** The room of pieces in the space, and in the shape that they lie in. */
function room(held: Held, of: (piece: Piece) => Piece['own']): string {
  const sizes = held.map((piece) =>
    of(piece)!.reduce((size, { from, to }) => size.times(to.minus(from)), Exact.ONE),
  );
  return Exact.sum(sizes).toString();
}

/** Whether two pieces lie over each other in their shape. */
function overlaps(a: Piece, b: Piece): boolean {
  return a.own!.every(
    (at, side) => at.from.compare(b.own![side]!.to) < 0 && b.own![side]!.from.compare(at.to) < 0,
  );
}

describe('a box in another shape', () => {
  it.each([
    [[46, 58], [58, 46], 1],
    [[46, 58], [23, 116], 2],
    [[46, 58], [92, 29], 2],
    [[12, 25, 8], [12, 200, 1], 8],
    [[12, 25, 8], [300, 8, 1], 12],
    [[4, 17, 25], [17, 100, 1], 4],
    [[6, 10, 15], [60, 15, 1], 6],
    [[2, 2, 2, 2, 2], [4, 4, 2, 1, 1], 4],
  ])('%j as %j is %s slices that fill it, each place once', (from, to, count) => {
    const made = boxed(whole(...from), exact(...from), exact(...to));
    expect(made).toHaveLength(count);
    const size = from.reduce((product, side) => product * side, 1).toString();
    expect([room(made, ({ at }) => at), room(made, ({ own }) => own)]).toEqual([size, size]);
    for (const [k, a] of made.entries()) {
      for (const b of made.slice(k + 1)) expect(overlaps(a, b)).toBe(false);
      a.own!.forEach(({ to: end }, side) =>
        expect(end.compare(Exact.of(to[side]!))).toBeLessThanOrEqual(0),
      );
    }
  });

  it('has no shape where no few slices make it', () => {
    expect(boxed(whole(46, 58), exact(46, 58), exact(43, 62))[0]!.own).toBeNull();
    expect(boxed(whole(7, 997, 991), exact(7, 997, 991), exact(7, 988027, 1))[0]!.own).toBeNull();
  });
});

describe('pieces put together', () => {
  it('are one where they lie side by side, so that slices that nothing needs are no cuts', () => {
    const slices = boxed(whole(12, 25, 8), exact(12, 25, 8), exact(12, 200, 1));
    const [one, ...more] = gathered(slices);
    expect(more).toEqual([]);
    expect(one!.at.map(({ from, to }) => `${from}–${to}`)).toEqual(['0–12', '0–25', '0–8']);
  });

  it('stay apart where they are counted differently, or lie apart', () => {
    const [piece] = whole(10);
    const at = (from: number, to: number, count = 1n): Piece => ({
      ...piece!,
      at: [span(Exact.of(from), Exact.of(to))],
      count,
    });
    expect(gathered([at(0, 4), at(4, 6), at(7, 9)])).toHaveLength(2);
    expect(gathered([at(0, 4), at(4, 6, -1n)])).toHaveLength(2);
    expect(gathered([at(4, 6), at(0, 4)])).toHaveLength(1);
  });
});
