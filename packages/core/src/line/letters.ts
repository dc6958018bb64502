import { Exact } from '../exact/exact.ts';
import { Surd } from '../exact/surd.ts';
import { type Factor, type Node, numberOf, oppositeNode, powerNode, productNode } from './node.ts';

/** A single term as it is written: `3x^2`, `−x`. */
export function monomial(value: Exact, base: number): Node {
  const { coefficient, letters } = value;
  const size = coefficient.absolute();
  const factors: Factor[] = [...letters.matchAll(/([a-z])(?:\^(\d+))?/g)].map(
    ([, name = '', power]) => {
      const letter: Node = { kind: 'letter', name, key: name, value: Surd.of(Exact.letter(name)) };
      return { under: false, node: power ? powerNode(letter, Number(power)) : letter };
    },
  );
  if (!size.equals(Exact.ONE) || factors.length === 0) {
    factors.unshift({ under: false, node: numberOf(size, base) });
  }
  const node = productNode(factors);
  return coefficient.isNegative ? oppositeNode(node) : node;
}
