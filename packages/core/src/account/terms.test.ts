import fc from 'fast-check';
import { Exact } from '../exact/exact.ts';
import { numeral } from '../exact/numeral.ts';
import { placeCut } from './cut.ts';
import { TermSet } from './terms.ts';
import { ProductSpace, SumSpace } from './spaces.ts';

const space = new ProductSpace([placeCut(numeral('4321')), placeCut(numeral('987'))]);
const someTerms = fc.uniqueArray(fc.integer({ min: 0, max: space.size - 1 }));

describe('ProductSpace', () => {
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

describe('SumSpace', () => {
  const difference = new SumSpace([placeCut(numeral('642')), placeCut(numeral('87'))], [1, -1]);

  it('has a term for every part of every operand, negative in what is taken away', () => {
    expect(difference.size).toBe(5);
    for (let index = 0; index < difference.size; index++) {
      expect(difference.find(difference.id(index))).toBe(index);
      expect(difference.index(difference.parts(index))).toBe(index);
    }
    const texts = Array.from({ length: 5 }, (_, index) => difference.text(index));
    expect(texts).toEqual(['2', '40', '600', '−7', '−80']);
    expect(difference.worth(4).toString()).toBe('-80');
    expect(TermSet.from(difference, [0, 1, 2, 3, 4]).worth().toString()).toBe('555');
  });

  it('knows no other ids', () => {
    for (const id of ['', '0', '2.0', '0.3', '1.2', '0.0.0', '1.x'])
      expect(difference.find(id)).toBeNull();
  });

  it('bounds a digit by its place and a number by its length, with its sign', () => {
    expect(difference.bounds(1, 10)).toEqual({ low: 0n, high: 90n });
    expect(difference.bounds(3, 10)).toEqual({ low: -9n, high: 0n });
    const whole = new SumSpace([[{ worth: Exact.of(46), text: '46', place: undefined }]], [1]);
    expect(whole.bounds(0, 10)).toEqual({ low: 0n, high: 99n });
  });

  it('is the same kind of space over a finer cut', () => {
    const finer = difference.over([placeCut(numeral('642')), placeCut(numeral('87'))]);
    expect(finer).toBeInstanceOf(SumSpace);
    expect(difference.refined([1, 1], [[], [[0], [1, 2]]])).toEqual([
      [1, 1],
      [1, 2],
    ]);
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
