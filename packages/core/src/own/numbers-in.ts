import type { FractionNode, MixedNode, Node, NumberNode, Term } from './node.ts';

/** All numbers that stand in a line: whole, with a point, fractions and mixed numbers. */
export function numbersIn(
  terms: readonly Term[],
): readonly (NumberNode | FractionNode | MixedNode)[] {
  return terms.flatMap(({ node }) => inNode(node));
}

function inNode(node: Node): readonly (NumberNode | FractionNode | MixedNode)[] {
  switch (node.kind) {
    case 'number':
    case 'fraction':
    case 'mixed':
      return [node];
    case 'sum':
      return numbersIn(node.terms);
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
