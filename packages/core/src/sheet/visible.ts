import type { EntryId, Mark, Trace } from '../account/account.ts';

/** How far a mark has come by some step of its trace. */
export type MarkState = 'absent' | 'new' | 'live' | 'used' | 'struck';

/**
 * For each mark, the steps at which it is written, taken and struck. Made once a trace, so that
 * asking for any step is a comparison of numbers.
 */
export interface Timeline {
  readonly writtenAt: ReadonlyMap<EntryId, number>;
  readonly takenAt: ReadonlyMap<EntryId, number>;
  readonly struckAt: ReadonlyMap<EntryId, number>;
}

export function timeline(trace: Trace): Timeline {
  const writtenAt = new Map<EntryId, number>();
  const takenAt = new Map<EntryId, number>();
  const struckAt = new Map<EntryId, number>();
  for (const step of trace.steps) {
    for (const mark of step.gives) writtenAt.set(mark.id, step.number);
    for (const id of step.takes) takenAt.set(id, step.number);
    for (const id of step.strikes) struckAt.set(id, step.number);
  }
  for (const { id, since } of trace.givens) if (since) writtenAt.set(id, since);
  for (const { id, owed } of trace.givens) {
    const struck = owed && struckAt.get(owed);
    if (struck) struckAt.set(id, struck);
  }
  return { writtenAt, takenAt, struckAt };
}

/** The state of a mark once `step` steps are done; `new` when the last of them wrote it. */
export function markState(line: Timeline, id: EntryId, step: number): MarkState {
  const written = line.writtenAt.get(id) ?? Infinity;
  if (written > step) return 'absent';
  if ((line.struckAt.get(id) ?? Infinity) <= step) return 'struck';
  if ((line.takenAt.get(id) ?? Infinity) <= step) return 'used';
  return written === step ? 'new' : 'live';
}

/** The state of a figure of the question: there from the start or its stage on, struck once a step does so. */
export function givenState(
  line: Timeline,
  id: EntryId,
  step: number,
): 'absent' | 'live' | 'struck' {
  if ((line.writtenAt.get(id) ?? 0) > step) return 'absent';
  return (line.struckAt.get(id) ?? Infinity) <= step ? 'struck' : 'live';
}

/** All marks of a trace by id. */
export function marksById(trace: Trace): ReadonlyMap<EntryId, Mark> {
  return new Map(trace.steps.flatMap((step) => step.gives.map((mark) => [mark.id, mark] as const)));
}
