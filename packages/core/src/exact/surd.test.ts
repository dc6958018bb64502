import { Exact } from './exact.ts';
import { Surd } from './surd.ts';

const whole = (value: number | bigint) => Surd.of(Exact.of(value));
const root = (value: number | bigint) => Surd.root(whole(value))!;

describe('amounts with roots', () => {
  it.each([
    [root(72), '6√2'],
    [root(7396), '86'],
    [root(2).times(root(8)), '4'],
    [root(2).times(root(3)), '√6'],
    [root(8).plus(root(2)), '3√2'],
    [whole(3).plus(root(5)), '3+√5'],
    [root(2).negate(), '-√2'],
    [root(12).minus(root(3)).minus(root(3)), '0'],
    [Surd.root(Surd.of(Exact.of(9, 8)))!, '3/4√2'],
    [whole(6).dividedBy(root(2))!, '3√2'],
    [root(3).power(4), '9'],
  ])('is written %#', (made, text) => {
    expect(made.toString()).toBe(text);
  });

  it('has no root below zero, and divides by no sum of roots', () => {
    expect(Surd.root(whole(-4))).toBeNull();
    expect(whole(1).dividedBy(whole(1).plus(root(2)))).toBeNull();
    expect(whole(1).dividedBy(Surd.ZERO)).toBeNull();
  });

  it('is equal exactly where its squares and signs are', () => {
    for (let k = 1; k < 60; k++) {
      for (let n = 1; n < 60; n++) {
        const isEqual = k * k * 3 === n * n * 12;
        expect(
          whole(k)
            .times(root(3))
            .equals(whole(n).times(root(12))),
        ).toBe(isEqual);
      }
    }
  });
});
