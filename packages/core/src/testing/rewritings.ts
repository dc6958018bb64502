import { type Random } from '../exact/random.ts';
import type { Law } from '../account/account.ts';
import type { MoveId } from '../laws/moves.ts';

/**
 * Rewritings by one law each, made and worked out here with nothing of the judge: a tree of its own, fractions of its
 * own. For tests of the judge alone.
 */

/** A fraction of two whole numbers, the lower one above zero, in lowest terms. */
export interface Ratio {
  readonly top: bigint;
  readonly bottom: bigint;
}

export type Tree =
  | { readonly kind: 'number'; readonly text: string; readonly value: Ratio }
  | {
      readonly kind: 'sum';
      readonly parts: readonly { readonly minus: boolean; readonly of: Tree }[];
    }
  | {
      readonly kind: 'product';
      readonly parts: readonly { readonly under: boolean; readonly of: Tree }[];
    };

export function ratio(top: bigint, bottom = 1n): Ratio {
  const sign = bottom < 0n ? -1n : 1n;
  const shared = common(top < 0n ? -top : top, bottom * sign);
  return { top: (sign * top) / shared, bottom: (sign * bottom) / shared };
}

function common(a: bigint, b: bigint): bigint {
  return b === 0n ? a || 1n : common(b, a % b);
}

/** What a tree is worth; null where something is divided by zero. */
export function worth(tree: Tree): Ratio | null {
  switch (tree.kind) {
    case 'number':
      return tree.value;
    case 'sum':
      return tree.parts.reduce<Ratio | null>((sum, { minus, of }) => {
        const own = worth(of);
        if (!sum || !own) return null;
        const top = minus ? -own.top : own.top;
        return ratio(sum.top * own.bottom + top * sum.bottom, sum.bottom * own.bottom);
      }, ratio(0n));
    case 'product':
      return tree.parts.reduce<Ratio | null>((made, { under, of }) => {
        const own = worth(of);
        if (!made || !own || (under && own.top === 0n)) return null;
        return under
          ? ratio(made.top * own.bottom, made.bottom * own.top)
          : ratio(made.top * own.top, made.bottom * own.bottom);
      }, ratio(1n));
  }
}

export function isSame(a: Ratio, b: Ratio): boolean {
  return a.top === b.top && a.bottom === b.bottom;
}

export function number(value: number | bigint): Tree {
  return { kind: 'number', text: `${value}`, value: ratio(BigInt(value)) };
}

export function fraction(top: bigint, bottom: bigint): Tree {
  return { kind: 'number', text: `${top}/${bottom}`, value: ratio(top, bottom) };
}

export function sum(...parts: readonly (readonly [minus: boolean, of: Tree])[]): Tree {
  return { kind: 'sum', parts: parts.map(([minus, of]) => ({ minus, of })) };
}

export function product(...of: readonly Tree[]): Tree {
  return { kind: 'product', parts: of.map((own) => ({ under: false, of: own })) };
}

export function quotient(top: Tree, ...by: readonly Tree[]): Tree {
  return {
    kind: 'product',
    parts: [{ under: false, of: top }, ...by.map((own) => ({ under: true, of: own }))],
  };
}

/** As a learner would write it. */
export function written(tree: Tree): string {
  switch (tree.kind) {
    case 'number':
      return tree.text;
    case 'sum':
      return tree.parts
        .map(({ minus, of }, k) => {
          const text = of.kind === 'sum' ? `(${written(of)})` : written(of);
          if (k === 0) return minus ? `-${text}` : text;
          return ` ${minus ? '-' : '+'} ${text}`;
        })
        .join('');
    case 'product':
      return tree.parts
        .map(({ under, of }, k) => {
          const isOpen = of.kind === 'sum' || (of.kind === 'product' && (under || k > 0));
          const text = isOpen ? `(${written(of)})` : written(of);
          return k === 0 ? text : ` ${under ? '÷' : '×'} ${text}`;
        })
        .join('');
  }
}

/** One line and the next, with the law that makes it. */
export interface Rewritten {
  readonly before: Tree;
  readonly after: Tree;
  readonly law: Law;
  readonly move: MoveId;
}

type Maker = (random: Dice) => Rewritten;

/** Draws of whole numbers. */
export class Dice {
  constructor(private readonly random: Random) {}

  /** From the least to the most, both among them. */
  from(least: number, most: number): number {
    return least + Math.floor(this.random.next() * (most - least + 1));
  }

  one<T>(list: readonly T[]): T {
    return list[this.from(0, list.length - 1)]!;
  }

  /** A number of two or three figures that is not round. */
  plain(): number {
    const value = this.one([this.from(12, 98), this.from(113, 987)]);
    return value % 10 === 0 ? value + this.from(1, 9) : value;
  }
}

const plus = (of: Tree) => [false, of] as const;
const minus = (of: Tree) => [true, of] as const;

function placesOf(value: number): readonly number[] {
  const text = String(value);
  return [...text]
    .map((glyph, k) => Number(glyph) * 10 ** (text.length - 1 - k))
    .filter((part) => part > 0);
}

/** The next number that ends in zeros, or the one before. */
function round(value: number): number {
  const ten = value > 99 ? 100 : 10;
  const near = Math.round(value / ten) * ten;
  return near === value || near === 0 ? value + (ten - (value % ten)) : near;
}

/** A number with another term beside it, so that what changes stands in a line. */
function beside(dice: Dice, before: Tree, after: Tree, law: Law, move: MoveId): Rewritten {
  const other = number(dice.plain());
  const place = dice.from(0, 2);
  const around = (tree: Tree): Tree => {
    if (place === 0) return tree;
    const parts = tree.kind === 'sum' ? tree.parts : [{ minus: false, of: tree }];
    return { kind: 'sum', parts: [...parts, { minus: false, of: other }] };
  };
  return { before: around(before), after: around(after), law, move };
}

/** Rewritings by one move, by what they are called; weights are equal. */
export const MAKERS: Readonly<Record<string, Maker>> = {
  places: (dice) => {
    const [a, b] = [dice.plain(), dice.plain()];
    const before = sum(plus(number(a)), plus(number(b)));
    const after = sum(...placesOf(b).map((part) => plus(number(part))), plus(number(a)));
    return { before, after, law: 'place-value', move: 'places' };
  },
  parts: (dice) => {
    const [a, b] = [dice.plain(), dice.from(6, 19)];
    const part = dice.from(2, b - 2);
    const sign = dice.one([plus, minus]);
    const before = sum(plus(number(a)), sign(number(b)));
    const after = sum(plus(number(a)), sign(number(part)), sign(number(b - part)));
    const isPlaces = b > 10 && (part === 10 || b - part === 10);
    return isPlaces
      ? { before, after, law: 'place-value', move: 'places' }
      : { before, after, law: 'evaluate', move: 'parts' };
  },
  overshoot: (dice) => {
    const [a, b] = [dice.plain(), dice.plain()];
    const more = b + (10 - (b % 10));
    const before = sum(plus(number(a)), plus(number(b)));
    const after = sum(plus(number(a)), plus(number(more)), minus(number(more - b)));
    return { before, after, law: 'evaluate', move: 'overshoot' };
  },
  'worked-out': (dice) => {
    const [a, b, c, d] = [dice.from(3, 99), dice.from(3, 99), dice.plain(), dice.plain()];
    const before = dice.one([
      sum(plus(number(c)), plus(number(d))),
      sum(plus(product(number(a), number(b))), plus(number(c))),
      product(number(a), number(b)),
      quotient(number(a * b), number(b)),
    ]);
    const value = worth(before)!;
    return { before, after: number(value.top), law: 'evaluate', move: 'worked-out' };
  },
  distribute: (dice) => {
    const [a, b] = [dice.plain(), dice.plain()];
    const part = dice.one([round(b), dice.from(2, b - 1)]);
    const rest = b - part;
    const before = product(number(a), number(b));
    const piece = (value: number) => product(number(a), number(Math.abs(value)));
    const parts = [plus(piece(part)), [rest < 0, piece(rest)] as const];
    return beside(dice, before, sum(...parts), 'distribute', 'distribute');
  },
  shares: (dice) => {
    const [by, a, b] = [dice.from(3, 9), dice.from(11, 99), dice.from(11, 99)];
    const before = quotient(number((a + b) * by), number(by));
    const after = sum(
      plus(quotient(number(a * by), number(by))),
      plus(quotient(number(b * by), number(by))),
    );
    return { before, after, law: 'distribute', move: 'distribute' };
  },
  'factor-out': (dice) => {
    const [a, b, c] = [dice.plain(), dice.from(11, 60), dice.from(3, 29)];
    const before = sum(plus(product(number(a), number(b))), plus(product(number(a), number(c))));
    const after = dice.one([
      product(number(a), sum(plus(number(b)), plus(number(c)))),
      product(number(a), number(b + c)),
    ]);
    return { before, after, law: 'distribute', move: 'factor-out' };
  },
  'each-with-each': (dice) => {
    const [a, b] = [11 * dice.from(1, 8) + 1, 11 * dice.from(1, 8) + 2];
    const before = product(number(a), number(b));
    const parts = placesOf(a).flatMap((x) =>
      placesOf(b).map((y) => plus(product(number(x), number(y)))),
    );
    return { before, after: sum(...parts), law: 'distribute', move: 'each-with-each' };
  },
  order: (dice) => {
    const [a, b, c] = [dice.plain(), dice.plain(), dice.plain()];
    const before = sum(plus(number(a)), plus(number(b)), minus(number(c)));
    const after = sum(plus(number(b)), minus(number(c)), plus(number(a)));
    return { before, after, law: 'reorder', move: 'order' };
  },
  'factors-moved': (dice) => {
    const by = dice.one([2, 4, 5, 10]);
    const [a, b] = [by * dice.from(3, 24), dice.plain()];
    const before = product(number(a), number(b));
    const after = product(number(a / by), number(b * by));
    return beside(dice, before, after, 'reorder', 'factors-moved');
  },
  'number-as-factors': (dice) => {
    const [a, p, q] = [dice.plain(), dice.from(2, 9), dice.from(2, 9)];
    const before = product(number(a), number(p * q));
    const after = product(number(a), number(p), number(q));
    return { before, after, law: 'reorder', move: 'factors-moved' };
  },
  'same-change': (dice) => {
    const [a, b] = [dice.from(410, 990), dice.from(113, 389)];
    const near = round(b);
    if (near === b) return MAKERS['same-change']!(dice);
    const before = sum(plus(number(a)), minus(number(b)));
    const after = sum(plus(number(a + near - b)), minus(number(near)));
    return { before, after, law: 'same-change', move: 'same-change' };
  },
  'give-and-take': (dice) => {
    const [a, b] = [dice.plain(), dice.plain()];
    const near = a + (10 - (a % 10));
    const before = sum(plus(number(a)), plus(number(b)));
    const after = sum(plus(number(near)), plus(number(b - (near - a))));
    return { before, after, law: 'same-change', move: 'give-and-take' };
  },
  scale: (dice) => {
    const [by, times, a] = [dice.from(3, 25), dice.one([2, 4, 5, 10]), dice.from(40, 990)];
    const before = quotient(number(a), number(by));
    const after = quotient(number(a * times), number(by * times));
    return { before, after, law: 'scale-both', move: 'scale' };
  },
  rename: (dice) => {
    const [a, b, c, d] = [
      dice.from(1, 6),
      dice.from(7, 11),
      dice.from(1, 4),
      dice.one([5, 12, 13]),
    ];
    const times = dice.from(2, 6);
    const other = fraction(BigInt(c), BigInt(d));
    const before = sum(plus(fraction(BigInt(a), BigInt(b))), plus(other));
    const after = sum(plus(fraction(BigInt(a * times), BigInt(b * times))), plus(other));
    return { before, after, law: 'scale-both', move: 'rename' };
  },
  'divide-by-factors': (dice) => {
    const [p, q, a] = [dice.from(2, 9), dice.from(2, 9), dice.from(100, 990)];
    const before = quotient(number(a), number(p * q));
    const after = quotient(number(a), number(p), number(q));
    return { before, after, law: 'scale-both', move: 'divide-by-factors' };
  },
  'add-take-back': (dice) => {
    const [a, b, c] = [dice.plain(), dice.plain(), dice.from(2, 40)];
    const before = sum(plus(number(a)), minus(number(b)));
    const after = sum(plus(number(a)), minus(number(b)), plus(number(c)), minus(number(c)));
    return { before, after, law: 'inverse', move: 'add-take-back' };
  },
  sign: (dice) => {
    const [a, b, c] = [dice.from(100, 900), dice.plain(), dice.from(11, 90)];
    const second = dice.one([plus, minus]);
    const before = sum(plus(number(a)), minus(sum(plus(number(b)), second(number(c)))));
    const other = second === plus ? minus : plus;
    const after = sum(plus(number(a)), minus(number(b)), other(number(c)));
    return { before, after, law: 'sign', move: 'sign' };
  },
  square: (dice) => {
    const [a, b] = [10 * dice.from(2, 9), dice.from(1, 4)];
    const before = product(number(a - b), number(a + b));
    const after = sum(plus(product(number(a), number(a))), minus(product(number(b), number(b))));
    return { before, after, law: 'square', move: 'square' };
  },
};

export function drawn(dice: Dice): Rewritten {
  return MAKERS[dice.one(Object.keys(MAKERS))]!(dice);
}
