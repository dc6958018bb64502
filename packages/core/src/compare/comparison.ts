import type { Entry, EntryId, Given, Group, Trace } from '../account/account.ts';
import type { Leak } from '../account/leaks.ts';
import type { TermSet, TermSpace } from '../account/terms.ts';
import type { Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';

/** One method's part in a comparison. */
export interface Lane {
  readonly method: Method;
  readonly trace: Trace;
  /** Where it gains or loses something: nowhere without a slip. */
  readonly leaks: readonly Leak[];
  /** The trace's groups, in the common terms. */
  readonly amounts: readonly Amount[];
  /** The common terms of every entry and given of the trace. */
  readonly termsOf: (id: EntryId) => TermSet;
  /** An entry or given of the trace by its id. */
  readonly find: (id: EntryId) => Entry | Given | undefined;
}

/** A group of a trace in the common terms of its comparison. */
export interface Amount {
  readonly group: Group;
  readonly terms: TermSet;
  /** Whether the group is worth exactly what its terms are worth together. */
  readonly exact: boolean;
}

/** Several methods on one problem. */
export interface Comparison {
  readonly problem: Problem;
  readonly space: TermSpace;
  readonly lanes: readonly Lane[];
  /** The moments that the lanes show when they are moved by amount, as steps done in each; see `nextStop`. */
  readonly stops: readonly (readonly number[])[];
}
