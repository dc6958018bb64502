import type { Trace } from '../account/account.ts';
import type { Certainty } from './certainty-of.ts';
import { lookedAt } from './sort-work.ts';

export type { Certainty } from './certainty-of.ts';

/**
 * The certainty before the first step and after every step. An owed digit may be any digit of its
 * place, an owed product of two digits anything below base² of it; what is marked is known, except for a
 * double that stands for all that its row has not kept yet. A method
 * that works from the left is sure of the size at once, one that works from the right only at its end.
 * Of a quotient it is known between which powers of the base what is left would bring it.
 */
export function certainties(trace: Trace): readonly Certainty[] {
  return lookedAt(trace).certainties(trace);
}
