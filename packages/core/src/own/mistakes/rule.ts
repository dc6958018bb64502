import type { Term } from '../node.ts';

/** A rule that holds somewhere, used where it does not. */
export interface FalseRule {
  readonly id: string;
  /** Where the true rule holds, in one sentence. */
  readonly truth: string;
  /** The lines that it writes in place of another; `aim` is the line that stands there, for the numbers it may choose. */
  readonly write: (from: readonly Term[], aim: readonly Term[]) => readonly (readonly Term[])[];
}
