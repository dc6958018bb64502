import type { Trace } from '../account/account.ts';
import { tally } from '../account/ledger.ts';
import { IN_QUOTIENT } from '../account/rewriting.ts';
import type { Exact } from '../exact/exact.ts';

/** How much of a quotient is found, before the first step and after every step. */
export function foundShares(trace: Trace): readonly Exact[] {
  return tally(trace, (entry) =>
    entry.standing === 'marked' && IN_QUOTIENT.has(entry.role) ? entry.worth : null,
  );
}
