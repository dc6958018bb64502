import type { Entry, Trace } from '../account/account.ts';
import { tally } from '../account/ledger.ts';
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
  const laid = tally(trace, laidIn);
  const most = laid.reduce(
    (so, now) => (now.absolute().compare(so.absolute()) > 0 ? now : so),
    Exact.ZERO,
  );
  const isMadeGood = trace.balanced && laid.at(-1)?.isZero === true;
  if (most.isZero || !isMadeGood) return null;
  return { name, amount: most.absolute().toString(), isTaken: most.isNegative };
}

/** What an amount holds beyond the end of a number, less nothing of what takes it back; what lies beside the numbers is no part of it. */
function laidIn({ beyond }: Entry): Exact {
  return Exact.sum(
    [...(beyond?.values() ?? [])].flatMap(({ at, count, worth }) =>
      at && count > 0n && worth.isConstant ? [worth.times(Exact.of(count))] : [],
    ),
  );
}
