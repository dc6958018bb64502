import type { FractionNode, MixedNode, Node, NumberNode, Term } from './node.ts';

/** A number as it is written: whole or with a point, a fraction, or a mixed number. */
type Written = NumberNode | FractionNode | MixedNode;

/** All numbers that stand in a line: whole, with a point, fractions and mixed numbers. */
export function numbersIn(terms: readonly Term[]): readonly Written[] {
  return gathered(terms, (own) => [own]);
}

/** The numbers of a line one by one, as they are written: of a fraction what is above and what is below its bar. */
export function leavesOf(terms: readonly Term[]): readonly NumberNode[] {
  return gathered(terms, (own) => {
    if (own.kind === 'number') return [own];
    return own.kind === 'fraction'
      ? [own.top, own.bottom]
      : [own.whole, own.part.top, own.part.bottom];
  });
}

/** What each number of a line gives, in the order in which they stand. */
export function gathered<T>(
  terms: readonly Term[],
  of: (own: Written) => readonly T[],
): readonly T[] {
  return terms.flatMap(({ node }) => inNode(node));

  function inNode(node: Node): readonly T[] {
    switch (node.kind) {
      case 'number':
      case 'fraction':
      case 'mixed':
        return of(node);
      case 'sum':
        return gathered(node.terms, of);
      case 'product':
        return node.factors.flatMap((factor) => inNode(factor.node));
      case 'power':
      case 'root':
      case 'opposite':
        return inNode(node.of);
      case 'letter':
        return [];
    }
  }
}
