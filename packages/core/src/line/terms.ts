import { type Factor, type Node, type Term, turned } from './node.ts';

/** Lines of more terms are not gone on from, and not written. */
export const MOST_TERMS = 48;

/** A node in the place of a term. */
export function one({ minus }: Term, node: Node): readonly Term[] {
  return [{ minus, node }];
}

/** Terms in the place of a term, with its sign. */
export function signed({ minus }: Term, terms: readonly Term[]): readonly Term[] {
  return minus ? turned(terms) : terms;
}

/** A node as a term that is added. */
export function plus(node: Node): Term {
  return { minus: false, node };
}

/** A node as a factor that multiplies. */
export function times(node: Node): Factor {
  return { under: false, node };
}

/** The terms of a bracket; anything else as one term. */
export function termsIn(node: Node): readonly Term[] {
  return node.kind === 'sum' ? node.terms : [plus(node)];
}
