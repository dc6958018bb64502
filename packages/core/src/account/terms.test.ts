import fc from 'fast-check';
import { numeral } from '../exact/numeral.ts';
import { placeCut } from './cut.ts';
import { TermSet, TermSpace } from './terms.ts';

const space = new TermSpace([placeCut(numeral('4321')), placeCut(numeral('987'))]);
const someTerms = fc.uniqueArray(fc.integer({ min: 0, max: space.size - 1 }));

describe('TermSpace', () => {
  it('numbers terms so that every id leads back', () => {
    for (let index = 0; index < space.size; index++) {
      expect(space.find(space.id(index))).toBe(index);
      expect(space.index(space.parts(index))).toBe(index);
    }
    expect(space.text(space.index([1, 2]))).toBe('20×900');
    expect(space.worth(space.index([1, 2])).toString()).toBe('18000');
  });

  it('knows no other ids', () => {
    for (const id of ['', '0', '4.0', '0.3', '0.0.0', '-1.0', '1.x'])
      expect(space.find(id)).toBeNull();
  });
});

describe('TermSet', () => {
  it('behaves as a set of numbers does', () => {
    fc.assert(
      fc.property(someTerms, someTerms, (a, b) => {
        const [left, right] = [TermSet.from(space, a), TermSet.from(space, b)];
        const union = TermSet.union(space, [left, right]);
        expect([...union.indices()]).toEqual([...new Set([...a, ...b])].sort((x, y) => x - y));
        expect(union.size).toBe(new Set([...a, ...b]).size);
        expect(left.intersects(right)).toBe(a.some((index) => b.includes(index)));
        expect(left.isWithin(right)).toBe(a.every((index) => b.includes(index)));
        expect(left.equals(right)).toBe(left.key === right.key);
        expect(a.every((index) => left.has(index))).toBe(true);
        expect(left.has(space.size)).toBe(false);
      }),
    );
  });

  it('joins neighbours, so that equal sets have equal keys', () => {
    const apart = TermSet.union(
      space,
      [0, 2, 1].map((index) => TermSet.of(space, index)),
    );
    expect(apart.key).toBe(TermSet.from(space, [2, 1, 0]).key);
    expect(JSON.stringify(apart)).toBe('["0.0","1.0","2.0"]');
    expect(apart.worth().toString()).toBe(String(321 * 7));
  });
});
