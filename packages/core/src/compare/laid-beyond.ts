import type { Entry, Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';

/** What a work lays beyond the numbers and makes good again, 46 × 60 for 46 × 58. */
export interface LaidBeyond {
  /** The work, as it is called. */
  readonly name: string;
  readonly amount: string;
  /** Whether it was taken away too far, and is given back. */
  readonly isTaken: boolean;
}

/** The most that a work holds beyond the numbers at one time; null where it keeps within them, or never comes back. */
export function laidBeyond(trace: Trace, name: string): LaidBeyond | null {
  let most = Exact.ZERO;
  let live = new Map<string, Entry>();
  for (const { takes, gives } of trace.steps) {
    live = new Map(live);
    for (const id of takes) live.delete(id);
    for (const mark of gives) live.set(mark.id, mark);
    const now = laidIn([...live.values()]);
    if (now.absolute().compare(most.absolute()) > 0) most = now;
  }
  const isMadeGood = trace.balanced && laidIn([...live.values()]).isZero;
  if (most.isZero || !isMadeGood) return null;
  return { name, amount: most.absolute().toString(), isTaken: most.isNegative };
}

/** What amounts hold beyond the end of a number, less nothing of what takes it back; what lies beside the numbers is no part of it. */
function laidIn(entries: readonly Entry[]): Exact {
  const cells = entries.flatMap(({ beyond }) => [...(beyond?.values() ?? [])]);
  return Exact.sum(
    cells.flatMap(({ at, count, worth }) =>
      at && count > 0n && worth.isConstant ? [worth.times(Exact.of(count))] : [],
    ),
  );
}
