import type { Exact } from '../../exact/exact.ts';
import type { Surd } from '../../exact/surd.ts';
import type { Asked } from '../read/asked.ts';
import type { JudgedLine } from './judged.ts';
import type { Term } from '../../line/node.ts';
import type { RatioPair } from './pairs.ts';

/** A whole paper of someone's own working, judged. */
export interface JudgedPaper {
  readonly asked: Asked;
  readonly lines: readonly JudgedLine[];
  /** Whether the last rewriting, total or landing owes nothing more, whatever it is worth. */
  readonly complete: boolean;
  /** Whether it is worth the problem. */
  readonly right: boolean;
  /** Side lines that go into nothing. */
  readonly unused: readonly number[];
  readonly searched: { readonly nodes: number; readonly cut: boolean };
  /** Every rewriting and total in its order, from the problem on. */
  readonly rewritings: readonly LineStep[];
  /** Lines of true jumps that find the answer. */
  readonly hops: readonly HopLine[];
  /** Statements with the numbers of the problem and what is looked for, such as `387 + 255 = 642`. */
  readonly found: readonly FoundLine[];
  /** Lines of a ratio table on which the problem is answered. */
  readonly tables: readonly TableLine[];
  /** The pairs of ratio tables that are in the ratio of the problem, in their order. */
  readonly pairs: readonly RatioPair[];
  /** The terms of the problem. */
  readonly problem: readonly Term[];
  /** Every statement aside, by its line. */
  readonly statements: ReadonlyMap<number, Statement>;
}

/** A line that stands by itself, `6 + 8 = 14` or `6 + 8 = 14 + 5 = 19`. */
export interface Statement {
  readonly sides: readonly (readonly Term[])[];
  /** Whether every sign of it holds. */
  readonly isTrue: boolean;
  /** Whether a number in it is still looked for. */
  readonly isOpen: boolean;
}

/** The two sides of a statement that has just two; null for a longer one. */
export function bothSides({
  sides: [left, right, ...more],
}: Statement): readonly [left: readonly Term[], right: readonly Term[]] | null {
  return left && right && more.length === 0 ? [left, right] : null;
}

/** One rewriting of a paper: what it makes of the line before. */
export interface LineStep {
  readonly n: number;
  readonly from: readonly Term[];
  readonly to: readonly Term[];
  /** The lines that would stand between. */
  readonly between: readonly (readonly Term[])[];
  readonly off: Surd;
  /** What is left over beside it, behind `r`. */
  readonly rest: Exact | null;
}

/** Jumps of one line, in their order. */
export interface HopLine {
  readonly n: number;
  /** Whether they go from one number of a difference to the other; else the last one lands on the answer. */
  readonly isBetween: boolean;
  readonly hops: readonly { readonly from: Exact; readonly to: Exact }[];
}

/** A line of a ratio table with the pair that answers the problem. */
export interface TableLine {
  readonly n: number;
  readonly answer: RatioPair;
}

/** A statement that finds what is looked for, both its sides. */
export interface FoundLine {
  readonly n: number;
  readonly left: readonly Term[];
  readonly right: readonly Term[];
}
