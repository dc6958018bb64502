import type { Trace } from '../account/account.ts';
import type { Comparison } from '../compare/comparison.ts';
import type { Lane } from '../compare/comparison.ts';
import type { Exact } from '../exact/exact.ts';
import type { EstimateRecord } from '../formats/comparison-shape.ts';
import type { CheckId, Outcome } from '../formats/check-ids.ts';

export { CHECKS, OUTCOMES, type CheckId, type Outcome } from '../formats/check-ids.ts';

/** What a check is made with. */
export interface CheckSubject {
  readonly comparison: Comparison;
  /** The paper whose answer is checked. */
  readonly lane: Lane;
  readonly estimate: EstimateRecord | null;
  /** The other paper, for a second method. */
  readonly other: Lane | null;
  /** What the calculator showed, and whether it was asked for this very computation. */
  readonly calculated: { readonly value: Exact; readonly same: boolean } | null;
}

/** A check made on one answer. */
export interface CheckFinding {
  readonly outcome: Outcome;
  /** The working of the check, a line a sentence. */
  readonly lines: readonly string[];
}

export interface CheckSpec {
  readonly id: CheckId;
  readonly name: string;
  /** What it is good for and what it lets through, in a sentence each. */
  readonly catches: string;
  readonly misses: string;
  /** Whether what it lacks is hers to give: an estimate, another paper, the calculator. Of other checks the numbers alone decide. */
  readonly asksHer?: (subject: CheckSubject) => boolean;
  /** Why it cannot be made, in a sentence, or null when it can. */
  readonly lacks: (subject: CheckSubject) => string | null;
  /**
   * Makes the check on an answer, and on the work that gave it where that is not the paper's own; what it
   * lacks must be ruled out first.
   */
  readonly make: (subject: CheckSubject, answer: Exact, work?: Trace) => CheckFinding;
}
