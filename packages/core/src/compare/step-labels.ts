import type { Trace } from '../account/account.ts';
import type { Speaker } from '../phrases/speaker.ts';
import { lookedAt } from './sort-work.ts';

/** A word or two for every step of a trace, in order: `40×8`, `tens`, `= 368`, `00`. */
export function stepLabels(trace: Trace, say: Speaker): readonly string[] {
  return lookedAt(trace).labels(trace, say);
}
