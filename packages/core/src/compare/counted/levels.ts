import type { Trace } from '../../account/account.ts';
import { tally } from '../../account/ledger.ts';
import { Exact } from '../../exact/exact.ts';
import { sortOf } from '../../problem/sorts/sorts.ts';
import { foundShares } from '../../account/rewriting.ts';

/** How an account stands after some step: what is owed, on paper and in the head, and all together. */
export interface Level {
  readonly owed: Exact;
  readonly written: Exact;
  readonly held: Exact;
  readonly balance: Exact;
}

/**
 * The level before the first step and after every step; index is the count of steps done. Of a quotient
 * all that is not found yet is owed, also where it is written as a remainder.
 */
export function levels(trace: Trace): readonly Level[] {
  if (sortOf(trace.problem).isFoundInPieces) return quotientLevels(trace);
  const owed = tally(trace, ({ standing, worth }) => (standing === 'owed' ? worth : null));
  const held = tally(trace, (entry) =>
    entry.standing === 'marked' && entry.medium === 'head' ? entry.worth : null,
  );
  const balances = [trace.total, ...trace.steps.map(({ balance }) => balance)];
  return balances.map((balance, step) => ({
    owed: owed[step]!,
    held: held[step]!,
    written: balance.minus(owed[step]!).minus(held[step]!),
    balance,
  }));
}

function quotientLevels(trace: Trace): readonly Level[] {
  const balances = [trace.total, ...trace.steps.map(({ balance }) => balance)];
  return foundShares(trace).map((written, step) => {
    const balance = balances[step]!;
    return { owed: balance.minus(written), written, held: Exact.ZERO, balance };
  });
}

/** A share of a whole as a number from 0 upward, to four figures: for drawing only. */
export function shareOf(part: Exact, whole: Exact): number {
  if (whole.isZero) return 0;
  const scaled = part.dividedBy(whole).times(Exact.of(10000));
  return Number(scaled.numerator / scaled.denominator) / 10000;
}
