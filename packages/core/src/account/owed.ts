import type { Entry, OwedEntry, Trace } from './account.ts';

/** Every amount that is ever owed: from the start, and from the steps that open a stage. */
export function owedEntries({ start, steps }: Trace): readonly OwedEntry[] {
  return [...start, ...steps.flatMap(({ opens }) => opens)];
}

/** Every entry of a trace: owed, then marked. */
export function allEntries(trace: Trace): readonly Entry[] {
  return [...owedEntries(trace), ...trace.steps.flatMap(({ gives }) => gives)];
}
