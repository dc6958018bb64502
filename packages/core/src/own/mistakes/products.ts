import { Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import { factorsOf } from '../moves/distribute.ts';
import { isPlain } from '../moves/working.ts';
import { powerNode, productNode, rootNode, termValue, type Node, type Term } from '../node.ts';
import type { FalseRule } from './rule.ts';
import {
  by,
  changedPair,
  linesOf,
  number,
  pairOf,
  partsOf,
  plus,
  single,
  times,
  twoSums,
} from './parts.ts';

/** Rules about products, powers and letters. */
export const OF_PRODUCTS: readonly FalseRule[] = [
  {
    id: 'both-scaled',
    truth:
      'Both numbers may be scaled in a quotient; in a product one is halved when the other is doubled.',
    write: changedPair(['×'], ({ a, b }, first) => (a.isZero ? null : b.times(first.dividedBy(a)))),
  },
  {
    id: 'factor-to-both',
    truth: 'A factor goes to every part of a sum, but to one factor of a product.',
    write: (from) =>
      single(from, (node) => {
        const factors = factorsOf(node);
        if (factors.length !== 3 || factors.some(({ under, node: own }) => under || !isPlain(own)))
          return null;
        const [k, a, b] = factors.map(({ node: own }) => own.value.rational!);
        return [plus(productNode([by(number(k!.times(a!))), by(number(k!.times(b!)))]))];
      }),
  },
  {
    id: 'power-over-sum',
    truth:
      'A power or a root goes to every factor of a product; a sum must be worked out or multiplied out.',
    write: (from) => single(from, powerOverSum),
  },
  {
    id: 'like-places-only',
    truth:
      'Every part of one factor goes with every part of the other; only in a sum do like places go with like.',
    write: (from) => {
      const sums = twoSums(from);
      if (!sums) return [];
      const [left, right] = sums;
      if (left.length !== right.length) return [];
      return [left.map((part, k) => times(part, right[k]!))];
    },
  },
  {
    id: 'wrong-factor',
    truth:
      'When a factor is taken apart, each of its parts goes with the other factor, which stays as it is.',
    write: (from, aim) => wrongFactor(from, aim),
  },
  {
    id: 'sum-for-product',
    truth: 'A product counts so many of one number; only now and then is it worth their sum.',
    write: (from) => {
      const pair = pairOf(from);
      return pair?.sign === '×' ? linesOf({ ...pair, sign: '+' }) : [];
    },
  },
  {
    id: 'unlike-joined',
    truth: 'Only terms with the same letters are counted together.',
    write: (from) => unlikeJoined(from),
  },
];

function powerOverSum(node: Node): readonly Term[] | null {
  const of = node.kind === 'power' || node.kind === 'root' ? node.of : null;
  const cut = of && partsOf(of);
  if (!cut) return null;
  const made = cut.map((part): Term | null => {
    const own = node.kind === 'power' ? powerNode(part.node, node.exponent) : rootNode(part.node);
    return own && { minus: node.kind === 'root' && part.minus, node: own };
  });
  return made.includes(null) ? null : (made as Term[]);
}

/** R · f as R · f₁ ± f · f₂: the second part goes with the number that was taken apart. */
function wrongFactor(from: readonly Term[], aim: readonly Term[]): readonly (readonly Term[])[] {
  const pair = pairOf(from);
  const [first, second, ...more] = aim;
  if (pair?.sign !== '×' || !first || !second || more.length > 0) return [];
  return [
    [pair.a, pair.b],
    [pair.b, pair.a],
  ].flatMap(([kept, cut]) => {
    const part = first.node.value.dividedBy(Surd.of(kept!))?.rational;
    const rest = part && cut!.minus(part);
    if (!part?.isWhole || !rest || rest.isZero || part.isZero) return [];
    const wrong = productNode([by(number(cut!)), by(number(rest.absolute()))]);
    const right = productNode([by(number(kept!)), by(number(part))]);
    return [[plus(right), { minus: rest.isNegative, node: wrong }]];
  });
}

/** A number goes to the count of a letter: 3x + 4 as 7x. */
function unlikeJoined(from: readonly Term[]): readonly (readonly Term[])[] {
  const [a, b, ...more] = from;
  if (!a || !b || more.length > 0) return [];
  const parts = [a, b].map((term) => termValue(term).rational?.parts() ?? []);
  if (parts.some((list) => list.length !== 1)) return [];
  const [x, y] = parts.map(([only]) => only!);
  if (x!.letters === y!.letters) return [];
  const count = x!.coefficient.plus(y!.coefficient);
  const letters = [...new Set([...`${x!.letters}${y!.letters}`])].filter((glyph) =>
    /[a-z]/.test(glyph),
  );
  if (count.isZero || letters.length !== 1) return [];
  const name = letters[0]!;
  const letter: Node = { kind: 'letter', name, key: name, value: Surd.of(Exact.letter(name)) };
  return [
    [{ minus: count.isNegative, node: productNode([by(number(count.absolute())), by(letter)]) }],
  ];
}
