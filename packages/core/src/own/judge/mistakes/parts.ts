import { Exact } from '../../../exact/exact.ts';
import { Surd } from '../../../exact/surd.ts';
import { factorsOf } from '../../../line/factors.ts';
import { isPlain } from '../../../line/kinds.ts';
import {
  type Factor,
  flat,
  type FractionNode,
  type Node,
  type NumberNode,
  numberOf,
  productNode,
  type Term,
} from '../../../line/node.ts';
import { placesOf } from '../../../line/places.ts';
import { plus, times } from '../../../line/terms.ts';
import type { FalseRule } from './rule.ts';

export const minus = (node: Node): Term => ({ minus: true, node });
export const over = (node: Node): Factor => ({ under: true, node });

/** A product with divisors; null where one of these is nothing that can be divided by. */
export function shared(factors: readonly Factor[]): Node | null {
  const isPossible = ({ under, node }: Factor) =>
    !under || Surd.of(Exact.ONE).dividedBy(node.value) !== null;
  const isSafe = ({ under, node }: Factor) => !under || !node.value.isZero;
  return factors.every((factor) => isSafe(factor) && isPossible(factor))
    ? productNode(factors)
    : null;
}
export const number = (amount: Exact): Node => numberOf(amount, 10);

/** Two numbers with one sign between them, where that is all there is. */
export interface NumberPair {
  readonly sign: '+' | '-' | '×' | '÷';
  readonly a: Exact;
  readonly b: Exact;
}

export function numberPairOf(terms: readonly Term[]): NumberPair | null {
  const [first, second, ...more] = terms;
  if (!first || first.minus || more.length > 0) return null;
  if (second) {
    const [a, b] = [plainOf(first.node), plainOf(second.node)];
    return a && b ? { sign: second.minus ? '-' : '+', a, b } : null;
  }
  const [top, other, ...rest] = first.node.kind === 'product' ? first.node.factors : [];
  if (!top || !other || rest.length > 0 || top.under) return null;
  const [a, b] = [plainOf(top.node), plainOf(other.node)];
  return a && b ? { sign: other.under ? '÷' : '×', a, b } : null;
}

export function plainOf(node: Node): Exact | null {
  return isPlain(node) ? node.value.rational : null;
}

/** The line of a pair; none where it would divide by zero. */
export function linesOf({ sign, a, b }: NumberPair): readonly (readonly Term[])[] {
  const [left, right] = [number(a), number(b)];
  switch (sign) {
    case '+':
      return [[plus(left), plus(right)]];
    case '-':
      return [[plus(left), minus(right)]];
    case '×':
      return [[plus(productNode([times(left), times(right)]))]];
    case '÷': {
      const share = shared([times(left), over(right)]);
      return share ? [[plus(share)]] : [];
    }
  }
}

/** Changes both numbers of a pair by what the aim says of the first: by `change` of it the second. */
export function changedPair(
  signs: readonly NumberPair['sign'][],
  change: (pair: NumberPair, first: Exact) => Exact | null,
): FalseRule['write'] {
  return (from, aim) => {
    const pair = numberPairOf(from);
    const target = numberPairOf(aim);
    if (!pair || !target || pair.sign !== target.sign || !signs.includes(pair.sign)) return [];
    if (target.a.equals(pair.a)) return [];
    const b = change(pair, target.a);
    return b && !b.equals(pair.b) ? linesOf({ ...pair, a: target.a, b }) : [];
  };
}

/** The brackets or places of the factors of a product of two. */
export function twoSums(
  terms: readonly Term[],
): readonly [readonly Term[], readonly Term[]] | null {
  const [only, ...more] = terms;
  if (!only || only.minus || more.length > 0) return null;
  const factors =
    only.node.kind === 'power' && only.node.exponent === 2
      ? [times(only.node.of), times(only.node.of)]
      : factorsOf(only.node);
  const [a, b, ...rest] = factors;
  if (!a || !b || rest.length > 0 || a.under || b.under) return null;
  const [left, right] = [partsOf(a.node), partsOf(b.node)];
  return left && right ? [left, right] : null;
}

export function partsOf(node: Node): readonly Term[] | null {
  if (node.kind === 'sum') return flat(node.terms);
  const places = node.kind === 'number' ? placesOf(node.amount, 10) : null;
  return places && places.length > 1 ? places.map((amount) => plus(number(amount))) : null;
}

export function timesTerm(a: Term, b: Term): Term {
  return { minus: a.minus !== b.minus, node: productNode([times(a.node), times(b.node)]) };
}

export function fractionsIn(terms: readonly Term[]): readonly FractionNode[] | null {
  const all = terms.map(({ node }) => (node.kind === 'fraction' ? node : null));
  return all.includes(null) ? null : (all as FractionNode[]);
}

export function whole(amount: Exact): NumberNode {
  return number(amount) as NumberNode;
}

/** A rule that rewrites one term alone. */
export function single(
  from: readonly Term[],
  write: (node: Node) => readonly Term[] | null,
): readonly (readonly Term[])[] {
  const [only, ...more] = from;
  if (!only || more.length > 0) return [];
  const made = write(only.node);
  if (!made) return [];
  return [only.minus ? made.map((term) => ({ minus: !term.minus, node: term.node })) : made];
}
