import { isNumber, isPlain } from '../moves/working.ts';
import { productNode, termValue, type Term } from '../node.ts';
import type { FalseRule } from './rule.ts';
import { by, changedPair, linesOf, minus, number, pairOf, plus } from './parts.ts';

/** Rules about sums and differences. */
export const OF_SUMS: readonly FalseRule[] = [
  {
    id: 'give-and-take-on-product',
    truth: 'One number may give what the other takes in a sum, where the total stays.',
    write: changedPair(['×', '÷'], ({ a, b }, first) => b.minus(first.minus(a))),
  },
  {
    id: 'same-change-on-sum',
    truth: 'The same may be put to both numbers of a difference, where the distance stays.',
    write: changedPair(['+'], ({ a, b }, first) => b.plus(first.minus(a))),
  },
  {
    id: 'turned-difference',
    truth: 'The numbers of a sum may change places; those of a difference may not.',
    write: (from) => {
      const pair = pairOf(from);
      return pair?.sign === '-' ? linesOf({ ...pair, a: pair.b, b: pair.a }) : [];
    },
  },
  {
    id: 'opposite-changes',
    truth:
      'In a difference both numbers change the same way; one gives what the other takes in a sum.',
    write: changedPair(['-'], ({ a, b }, first) => b.minus(first.minus(a))),
  },
  {
    id: 'too-much-again',
    truth: 'What was taken too much is given back, and what was given too much is taken back.',
    write: (from, aim) => {
      const [, middle, last] = aim;
      const second = from.at(-1);
      if (aim.length !== 3 || !second || !isPlain(second.node) || !middle || !last) return [];
      const [due, used, again] = [second, middle, last].map((term) => termValue(term).rational);
      if (
        !due?.isConstant ||
        !used?.isConstant ||
        !again ||
        used.absolute().compare(due.absolute()) <= 0
      )
        return [];
      const change = used.minus(due);
      return [
        [
          ...from.slice(0, -1),
          middle,
          { minus: change.isNegative, node: number(change.absolute()) },
        ],
      ];
    },
  },
  {
    id: 'minus-cut-off',
    truth: 'A minus belongs to the one number behind it; what follows with a plus is added.',
    write: (from, aim) => minusCutOff(from, aim),
  },
  {
    id: 'minuses-make-plus',
    truth:
      'Two minuses make plus where they meet in a product or before a bracket, not side by side in a sum.',
    write: (from) => {
      const below = from.filter((term) => term.minus);
      if (below.length !== 2 || !below.every(({ node }) => isNumber(node))) return [];
      return [from.map((term) => ({ minus: false, node: term.node }))];
    },
  },
  {
    id: 'left-to-right',
    truth:
      'Products and quotients come before sums and differences, unless brackets say otherwise.',
    write: (from) => leftToRight(from),
  },
];

/** Neighbours behind a minus are put together with a plus: 12 − 4 + 5 as 12 − 9. */
function minusCutOff(from: readonly Term[], aim: readonly Term[]): readonly (readonly Term[])[] {
  return from.flatMap((term, k) => {
    const next = from[k + 1];
    if (!term.minus || !next || next.minus === term.minus) return [];
    const sum = termValue({ minus: false, node: term.node }).plus(next.node.value).rational;
    if (!sum?.isConstant || aim.length > from.length) return [];
    return [[...from.slice(0, k), minus(number(sum)), ...from.slice(k + 2)]];
  });
}

/** A sum before a product is worked out first: 2 + 3 × 4 as 5 × 4. */
function leftToRight(from: readonly Term[]): readonly (readonly Term[])[] {
  return from.flatMap((term, k) => {
    const before = from[k - 1];
    const factors = term.node.kind === 'product' ? term.node.factors : [];
    const [first, ...rest] = factors;
    if (!before || !first || rest.length === 0 || !isPlain(before.node) || !isPlain(first.node))
      return [];
    const sum = termValue(before).plus(termValue({ minus: term.minus, node: first.node })).rational;
    if (!sum?.isConstant || sum.isNegative) return [];
    return [
      [
        ...from.slice(0, k - 1),
        plus(productNode([by(number(sum)), ...rest])),
        ...from.slice(k + 1),
      ],
    ];
  });
}
