import fc from 'fast-check';
import { Exact } from '../../exact/exact.ts';
import { NumberLength } from './number-length.ts';

const point = fc.integer({ min: 0, max: 60 }).map((sixths) => Exact.of(sixths, 6));

describe('a number laid out as a length', () => {
  it('is cut where it is asked to be, largest figure first', () => {
    const length = new NumberLength(Exact.of(346), [Exact.of(300), Exact.of(340)], 10);
    expect(length.space.cuts[0]!.map(({ text }) => text)).toEqual(['6', '40', '300']);
    expect(length.between(Exact.ZERO, Exact.of(340)).ids()).toEqual(['1', '2']);
    expect(length.between(Exact.of(340), Exact.of(346)).worth().toString()).toBe('6');
    expect(length.between(Exact.of(340), Exact.of(340)).isEmpty).toBe(true);
    expect(new NumberLength(Exact.ZERO, [], 10).between(Exact.ZERO, Exact.ZERO).isEmpty).toBe(true);
  });

  it('holds between two of its cuts exactly what lies there, and of a cut piece nothing', () => {
    fc.assert(
      fc.property(fc.array(point), point, point, (cuts, from, to) => {
        const length = new NumberLength(Exact.of(10), cuts, 10);
        const edges = [Exact.ZERO, ...cuts, length.end];
        const start = edges.filter((edge) => edge.compare(from) >= 0).sort((a, b) => a.compare(b));
        const ends = edges.filter((edge) => edge.compare(to) <= 0).sort((a, b) => b.compare(a));
        const [first, last] = [start[0] ?? length.end, ends[0] ?? Exact.ZERO];
        const held = length.between(from, to).worth();
        const expected = first.compare(last) < 0 ? last.minus(first) : Exact.ZERO;
        expect(held.toString()).toBe(expected.toString());
      }),
    );
  });
});
