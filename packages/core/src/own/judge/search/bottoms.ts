import { lcm } from '../../../exact/rational.ts';
import { bottomOf } from '../../../line/kinds.ts';
import type { Node, Term } from '../../../line/node.ts';

/** Denominators to rename to: those that are aimed at, and what the present ones share. */
export function bottomsFor(old: readonly Term[], made: readonly Term[]): readonly bigint[] {
  const bottoms = (terms: readonly Term[]) =>
    terms.flatMap(({ node }) => bottomsIn(node)).filter((bottom) => bottom !== 1n);
  const own = bottoms(old);
  const shared = own.length > 1 ? [own.reduce(lcm), own.reduce((a, b) => a * b, 1n)] : [];
  return [...new Set([...bottoms(made), ...shared, ...own])];
}

function bottomsIn(node: Node): readonly bigint[] {
  switch (node.kind) {
    case 'product':
      return node.factors.flatMap((factor) => bottomsIn(factor.node));
    case 'sum':
      return node.terms.flatMap((term) => bottomsIn(term.node));
    case 'fraction':
    case 'mixed':
      return [bottomOf(node)];
    default:
      return [];
  }
}
