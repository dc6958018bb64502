import { Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import { flat, termValue, type Node, type Term } from '../node.ts';
import { move, type Recogniser } from '../move.ts';
import { factorsOf, isSame } from './distribute.ts';

const TWO = Surd.of(Exact.of(2));

/** (a ± b)² as a² ± 2ab + b², and (a + b)(a − b) as a² − b², either way; squares and products worked out or not. */
export const namedSquares: Recogniser = (old, made) => {
  const isNamed = isIdentity(old, made) || isIdentity(made, old);
  return isNamed ? [[move(['square', 'square'], old, made)]] : [];
};

function isIdentity(one: readonly Term[], several: readonly Term[]): boolean {
  const [only, ...more] = one;
  if (!only || only.minus || more.length > 0) return false;
  if (several.length === 3) return isSquareOfTwo(only.node, several);
  return several.length === 2 && isDifferenceOfSquares(only.node, several);
}

/** The base of a square: `46²`, or the same factor twice. */
function sideOf(node: Node): Node | null {
  if (node.kind === 'power') return node.exponent === 2 ? node.of : null;
  const [a, b, ...more] = factorsOf(node);
  const isTwice = a && b && more.length === 0 && !a.under && !b.under && a.node.key === b.node.key;
  return isTwice ? a.node : null;
}

function isSquareOfTwo(node: Node, several: readonly Term[]): boolean {
  const side = sideOf(node);
  if (!side) return false;
  const made = several.map(termValue);
  return sidesOf(side, several).some(([a, b]) =>
    isSame([a.times(a), a.times(b).times(TWO), b.times(b)], made),
  );
}

/** The two parts that a side can fall into: of its bracket, or by a square that stands there. */
function sidesOf(side: Node, several: readonly Term[]): readonly (readonly [Surd, Surd])[] {
  if (side.kind === 'sum') {
    const [a, b, ...more] = flat(side.terms).map(termValue);
    return a && b && more.length === 0 ? [[a, b]] : [];
  }
  if (!side.value.rational?.isConstant) return [];
  return several.flatMap(({ node }) => {
    const root = node.kind === 'power' ? node.of.value : Surd.root(node.value);
    return root?.rational ? [[root, side.value.minus(root)] as const] : [];
  });
}

function isDifferenceOfSquares(node: Node, several: readonly Term[]): boolean {
  const [x, y, ...more] = factorsOf(node);
  if (!x || !y || more.length > 0 || x.under || y.under || x.node.key === y.node.key) return false;
  const half = Surd.of(Exact.of(1, 2));
  const a = x.node.value.plus(y.node.value).times(half);
  const b = x.node.value.minus(y.node.value).times(half);
  return !b.isZero && isSame([a.times(a), b.times(b).negate()], several.map(termValue));
}

/** Two equal factors under a root are one before it; a root of a product is the product of the roots. */
export const pairFactors: Recogniser = (old, made) => {
  const [a, ...more] = old;
  const [b, ...others] = made;
  if (!a || !b || more.length + others.length > 0 || a.minus !== b.minus) return [];
  const isRoots = [a.node, b.node].every(isOfRoots) && (hasRoot(a.node) || hasRoot(b.node));
  const isOut = b.node.kind === 'number' && a.node.value.rational !== null;
  if (!isRoots || isOut || a.node.key === b.node.key) return [];
  return [[move(['pair-factors', 'pair-factors'], old, made)]];
};

function hasRoot(node: Node): boolean {
  return factorsOf(node).some((factor) => factor.node.kind === 'root');
}

/** Numbers and roots of numbers, powers and products of them, multiplied. */
function isOfRoots(node: Node): boolean {
  return factorsOf(node).every(({ node: factor }) => {
    if (factor.kind === 'number') return true;
    if (factor.kind === 'power') return factor.of.kind === 'number';
    return factor.kind === 'root' && isOfRoots(factor.of);
  });
}
