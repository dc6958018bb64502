import { Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import { factorsOf, isSame } from '../../line/factors.ts';
import { flat, type Node, type Term, termValue } from '../../line/node.ts';

const TWO = Surd.of(Exact.of(2));

/** (a ± b)² as a² ± 2ab + b², and (a + b)(a − b) as a² − b²; squares and products worked out or not. */
export function isIdentity(one: readonly Term[], several: readonly Term[]): boolean {
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
