import type { Term } from '../../../line/node.ts';

/** A rule that holds somewhere, used where it does not. */
export interface FalseRule {
  readonly id: string;
  /** Where the true rule holds, in one sentence. */
  readonly truth: string;
  /** A line that it writes falsely. */
  readonly counter: { readonly from: string; readonly line: string };
  /** Whether it comes out right now and then, so that a right line may come from it. */
  readonly isLucky?: true;
  /** The lines that it writes in place of another; `aim` is the line that stands there, for the numbers it may choose. */
  readonly write: (from: readonly Term[], aim: readonly Term[]) => readonly (readonly Term[])[];
}
