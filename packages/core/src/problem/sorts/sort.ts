import type { ProblemKind } from '../kinds.ts';
import type { Script } from '../script.ts';

/** Of which kinds of problem, in which writing, there are methods: what is worked × how it is written. */
export type SortId = `${ProblemKind} of ${Script}`;

/**
 * A sort of problem: what is worked and how its numbers are written. Everything that depends on both asks here, and not for
 * the one and then for the other.
 */
export interface Sort {
  readonly id: SortId;
  readonly kind: ProblemKind;
  readonly script: Script;
  /**
   * Whether the answer is found piece after piece, as the figures of a quotient are: what stands on the paper is then a
   * part of what is shared, and only the pieces found are of the answer.
   */
  readonly isFoundInPieces: boolean;
  /** Whether numbers are worked figure by figure, in places. */
  readonly isInPlaces: boolean;
  /** Whether it can leave a remainder. */
  readonly leavesRest: boolean;
  /** Whether parts that are put together must be of one denominator first. */
  readonly needsLikeParts: boolean;
  /** Which papers are laid first. */
  readonly firstPapers: readonly string[];
}
