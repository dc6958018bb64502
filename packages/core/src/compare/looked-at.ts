import type { Trace } from '../account/account.ts';
import type { Speaker } from '../phrases/speaker.ts';
import type { Certainty } from './counted/certainty.ts';
import { commonForesight, renamingForesight, type Foresight } from './counted/foresight.ts';
import { lookedAt, sortWork } from './sort-work.ts';

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

/**
 * What a method will have to do for a problem, read off its work before any of it is shown: carries with
 * the places they go into, places that must be filled from the next, shortfalls.
 */
export function foresee(trace: Trace): readonly Foresight[] {
  return [
    ...renamingForesight(trace),
    ...sortWork(trace.problem).foreseen(trace),
    ...commonForesight(trace),
  ];
}

/** A word or two for every step of a trace, in order: `40×8`, `tens`, `= 368`, `00`. */
export function stepLabels(trace: Trace, say: Speaker): readonly string[] {
  return lookedAt(trace).labels(trace, say);
}
