import type { Node, Term } from './node.ts';

/** The worths of all numbers that stand in a line. */
export function numbersIn(terms: readonly Term[]): readonly string[] {
  const inNode = (node: Node): readonly string[] => {
    switch (node.kind) {
      case 'number':
      case 'fraction':
      case 'mixed':
        return [node.value.toString()];
      case 'sum':
        return node.terms.flatMap((term) => inNode(term.node));
      case 'product':
        return node.factors.flatMap((factor) => inNode(factor.node));
      case 'power':
      case 'root':
      case 'opposite':
        return inNode(node.of);
      case 'letter':
        return [];
    }
  };
  return terms.flatMap(({ node }) => inNode(node));
}
