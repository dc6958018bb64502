import { fraction, number, product, quotient, sum, type Dice, type Tree } from './rewritings.ts';

/** A line and a wrong one that a false rule writes, made here without the judge's table. */
export interface NearMiss {
  readonly before: Tree | string;
  readonly after: Tree | string;
}

const plus = (of: Tree) => [false, of] as const;
const minus = (of: Tree) => [true, of] as const;

function tensAndOnes(value: number): readonly [number, number] {
  return [value - (value % 10), value % 10];
}

/** Two figures, neither of them a zero. */
function two(dice: Dice): number {
  return 10 * dice.from(2, 9) + dice.from(2, 9);
}

/** By the id of the false rule. */
export const NEAR_MISSES: Readonly<Record<string, (dice: Dice) => NearMiss>> = {
  'give-and-take-on-product': (dice) => {
    const [a, b, by] = [two(dice), two(dice), dice.from(1, 6)];
    return {
      before: product(number(a), number(b)),
      after: product(number(a + by), number(b - by)),
    };
  },
  'same-change-on-sum': (dice) => {
    const [a, b, by] = [two(dice), two(dice), dice.from(1, 9)];
    return {
      before: sum(plus(number(a)), plus(number(b))),
      after: sum(plus(number(a + by)), plus(number(b + by))),
    };
  },
  'opposite-changes': (dice) => {
    const [a, b, by] = [dice.from(500, 900), dice.from(111, 399), dice.from(2, 19)];
    return {
      before: sum(plus(number(a)), minus(number(b))),
      after: sum(plus(number(a + by)), minus(number(b - by))),
    };
  },
  'too-much-again': (dice) => {
    const [a, b, by] = [dice.from(500, 900), dice.from(111, 399), dice.from(2, 19)];
    return {
      before: sum(plus(number(a)), minus(number(b))),
      after: sum(plus(number(a)), minus(number(b + by)), minus(number(by))),
    };
  },
  'one-scaled': (dice) => {
    const [a, b, by] = [dice.from(100, 900), dice.from(3, 19), dice.one([2, 5, 10])];
    const before = quotient(number(a), number(b));
    return {
      before,
      after: dice.one([quotient(number(a * by), number(b)), quotient(number(a), number(b * by))]),
    };
  },
  'both-scaled': (dice) => {
    const [a, b, by] = [two(dice), two(dice), dice.one([2, 5, 10])];
    return {
      before: product(number(a), number(b)),
      after: product(number(a * by), number(b * by)),
    };
  },
  'over-a-divisor': (dice) => {
    const [a, b] = [dice.from(100, 900), two(dice)];
    const [tens, ones] = tensAndOnes(b);
    const parts = [tens, ones].map((part) => plus(quotient(number(a), number(part))));
    return { before: quotient(number(a), number(b)), after: sum(...parts) };
  },
  'factor-to-both': (dice) => {
    const [k, a, b] = [dice.from(2, 9), dice.from(3, 19), dice.from(3, 19)];
    return {
      before: product(number(k), number(a), number(b)),
      after: product(number(k * a), number(k * b)),
    };
  },
  'power-over-sum': (dice) => {
    const a = dice.from(2, 9);
    return { before: `(x + ${a})^2`, after: dice.one([`x^2 + ${a * a}`, `x^2 + ${a}^2`]) };
  },
  'like-places-only': (dice) => {
    const [a, b] = [two(dice), two(dice)];
    const [[x, y], [u, v]] = [tensAndOnes(a), tensAndOnes(b)];
    return {
      before: product(number(a), number(b)),
      after: dice.one([
        sum(plus(product(number(x), number(u))), plus(product(number(y), number(v)))),
        sum(plus(number(x * u)), plus(number(y * v))),
      ]),
    };
  },
  'wrong-factor': (dice) => {
    const [a, b] = [two(dice), two(dice)];
    const round = b + 10 - (b % 10);
    return {
      before: product(number(a), number(b)),
      after: sum(
        plus(product(number(a), number(round))),
        minus(product(number(b), number(round - b))),
      ),
    };
  },
  'tops-and-bottoms': (dice) => {
    const [a, b, c, d] = [dice.from(1, 4), dice.from(5, 9), dice.from(1, 4), dice.from(5, 12)];
    return {
      before: sum(plus(fraction(BigInt(a), BigInt(b))), plus(fraction(BigInt(c), BigInt(d)))),
      after: fraction(BigInt(a + c), BigInt(b + d)),
    };
  },
  'same-added-to-both': (dice) => {
    const [a, b, by] = [dice.from(1, 4), dice.from(5, 9), dice.from(1, 5)];
    const other = fraction(1n, 3n);
    return {
      before: sum(plus(fraction(BigInt(a), BigInt(b))), plus(other)),
      after: sum(plus(fraction(BigInt(a + by), BigInt(b + by))), plus(other)),
    };
  },
  'terms-struck': (dice) => {
    const [a, b] = [dice.from(11, 40), dice.from(3, 9)];
    return { before: `(${a} + ${b})/${b}`, after: `${a}` };
  },
  'figures-struck': (dice) => {
    const [a, b, c] = [dice.from(1, 3), dice.from(4, 9), dice.from(5, 9)];
    return { before: `${a}${b}/${b}${c} + 1`, after: `${a}/${c} + 1` };
  },
  'turned-difference': (dice) => {
    const [a, b] = [dice.from(11, 99), dice.from(101, 300)];
    return {
      before: sum(plus(number(b)), minus(number(a))),
      after: sum(plus(number(a)), minus(number(b))),
    };
  },
  'minus-cut-off': (dice) => {
    const [a, b, c] = [dice.from(50, 99), dice.from(3, 19), dice.from(3, 19)];
    return {
      before: sum(plus(number(a)), minus(number(b)), plus(number(c))),
      after: sum(plus(number(a)), minus(number(b + c))),
    };
  },
  'left-to-right': (dice) => {
    const [a, b, c] = [dice.from(3, 30), dice.from(3, 30), dice.from(3, 9)];
    return {
      before: sum(plus(number(a)), plus(product(number(b), number(c)))),
      after: dice.one([product(number(a + b), number(c)), number((a + b) * c)]),
    };
  },
  'unlike-joined': (dice) => {
    const [a, b] = [dice.from(2, 9), dice.from(2, 9)];
    return { before: `${a}x + ${b}`, after: `${a + b}x` };
  },
  'sum-for-product': (dice) => {
    const [a, b] = [dice.from(3, 9), dice.from(3, 9)];
    return {
      before: product(number(a), number(b + 3)),
      after: sum(plus(number(a)), plus(number(b + 3))),
    };
  },
  'minuses-make-plus': (dice) => {
    const [a, b] = [dice.from(3, 19), dice.from(3, 19)];
    return { before: `-${a} - ${b}`, after: dice.one([`${a} + ${b}`, `${a + b}`]) };
  },
};
