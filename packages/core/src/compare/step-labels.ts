import type { Trace } from '../account/account.ts';
import type { Speaker } from '../phrases/speaker.ts';
import { scriptOf } from '../problem/script.ts';
import { KIND_WORK, SCRIPT_WORK } from './kinds.ts';

/** A word or two for every step of a trace, in order: `40×8`, `tens`, `= 368`, `00`. */
export function stepLabels(trace: Trace, say: Speaker): readonly string[] {
  const { labels } = SCRIPT_WORK[scriptOf(trace.problem)] ?? KIND_WORK[trace.problem.kind];
  return labels(trace, say);
}
