import type { Exact } from '../exact/exact.ts';
import { numberOf, type Node, type Term } from '../line/node.ts';
import { nodeText, termsText } from '../line/node-text.ts';

/** What a move was used on, where the line does not show it. */
export type Used =
  /** A number that was taken apart, `58 = 60 − 2`. */
  | { readonly kind: 'cut'; readonly of: Node; readonly parts: readonly Term[] }
  /** By how much numbers change. */
  | { readonly kind: 'by'; readonly by: Node }
  /** Where jumps begin and land, `268 → 270 → 300 → 523`. */
  | { readonly kind: 'landings'; readonly at: readonly Exact[]; readonly base: number };

/** The same in the problem language. */
export function usedText(used: Used): string {
  switch (used.kind) {
    case 'cut':
      return `${nodeText(used.of)} = ${termsText(used.parts)}`;
    case 'by':
      return nodeText(used.by);
    case 'landings':
      return used.at.map((at) => nodeText(numberOf(at, used.base))).join(' → ');
  }
}
