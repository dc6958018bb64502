import type { Trace } from '../account/account.ts';
import { audit } from '../laws/audit.ts';

let isWatching = false;

/**
 * Replays every clean trace that is made from now on, laws and terms included, and throws an `Error` with the first
 * fault: for development and for tests, where a false step should be noticed where it is written.
 */
export function watchTraces(on = true): void {
  isWatching = on;
}

/** The trace itself, once it has been looked at where that is wanted. */
export function watched(trace: Trace): Trace {
  if (!isWatching) return trace;
  const [fault] = audit(trace);
  if (fault) throw new Error(`${trace.method}, step ${fault.step}: ${fault.fault}`);
  return trace;
}
