import type { Exact } from '../exact/exact.ts';
import type { Term } from '../line/node.ts';

/** What a mark of someone's own lines is: the terms that it counts for, and what is written for them. */
export interface LineMark {
  readonly terms: readonly Term[];
  readonly stands: Stands;
}

/** What is written on a line for the terms of a mark. */
export type Stands =
  /** The terms themselves, as they are or with another sign. */
  | { readonly kind: 'terms'; readonly terms: readonly Term[] }
  /** A statement that finds them: `7 × 100 = 700`, side by side. */
  | { readonly kind: 'statement'; readonly sides: readonly (readonly Term[])[] }
  /** A pair of a ratio table, `100 | 700`, as it was typed. */
  | { readonly kind: 'pair'; readonly left: Exact; readonly text: string }
  /** What is left over, `r 3`. */
  | { readonly kind: 'rest'; readonly count: Exact }
  /** Jumps that are told as a whole, with nothing to count in them. */
  | { readonly kind: 'jumps' };

/** Whether a mark stands beside the chain of rewritings: a jump, a statement or a pair. */
export function isBeside({ stands }: LineMark): boolean {
  return stands.kind === 'statement' || stands.kind === 'pair';
}
