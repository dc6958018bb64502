import type { Law } from '../../account/account.ts';
import type { Exact } from '../../exact/exact.ts';
import type { MoveId } from '../../laws/law.ts';
import { turned, type Node, type Term } from '../node.ts';

/** Lines of more terms are not gone on from, and not written. */
export const MOST_TERMS = 48;

/** The numbers of the line that is to be reached, and of the line that is left: what a step may aim at. */
export interface Aim {
  readonly base: number;
  readonly bottoms: readonly bigint[];
  /** The numbers that multiply or divide there. */
  readonly factors: readonly Exact[];
  /** Those that divide. */
  readonly divisors: readonly Exact[];
  /** The products that stand there, by their keys. */
  readonly products: ReadonlySet<string>;
}

/** What a term can become by one move; `variant` tells ways apart that may be taken at several terms at once. */
export interface Expansion {
  readonly variant: string;
  readonly law: Law;
  readonly move: MoveId;
  readonly terms: readonly Term[];
}

/** A node in the place of a term. */
export function one({ minus }: Term, node: Node): readonly Term[] {
  return [{ minus, node }];
}

/** Terms in the place of a term, with its sign. */
export function signed({ minus }: Term, terms: readonly Term[]): readonly Term[] {
  return minus ? turned(terms) : terms;
}
