import type { ProblemKind } from '../../problem/kinds.ts';

/**
 * A way of working with letters for its numbers, so that it can be laid on others. Letters follow where a number came
 * from in the step that wrote it, never that two are worth the same.
 */
export interface LetteredWay {
  readonly kind: ProblemKind;
  readonly name: string;
  /** What it was first worked on, `46 × 58`. */
  readonly from: string;
  /** What is worked, `a × b`. */
  readonly asked: string;
  /** The letters of the numbers that are given, as they first stand in it. */
  readonly given: readonly string[];
  /** Lines as they are written, `= a × c − a × d`. */
  readonly lines: readonly string[];
  /** Every other letter: how it comes from those before it, or the number that it is. */
  readonly rules: Readonly<Record<string, string>>;
  /** What must hold of the numbers. */
  readonly holds: readonly string[];
}
