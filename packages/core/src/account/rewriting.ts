import type { Exact } from '../exact/exact.ts';
import type { Entry, Role, Step, Trace } from './account.ts';
import { tally } from './ledger.ts';

/**
 * Whether a step only writes what is owed in another way, so that it is still to be dealt with: a place
 * opened into ten of the next, the same change made to both numbers, a fraction renamed, or a mere copy.
 * Simplifying comes when everything is dealt with.
 */
export function isRewriting({ law, gives }: Step): boolean {
  return (
    law === 'same-change' ||
    (law === 'scale-both' && !gives.some(({ role }) => role === 'simplified')) ||
    law === 'reorder' ||
    gives.some((mark) => REWRITTEN.has(mark.role))
  );
}

/** Figures that stand for what they come from, still to be dealt with. */
const REWRITTEN: ReadonlySet<Role> = new Set([
  'regrouped digit',
  'brought down',
  'renamed fraction',
  'fraction product',
  'opened whole',
  'turned term',
  'copied term',
  'ladder number',
]);

/** Marks that are parts of a quotient found so far; all else of a division is still to be shared. */
export const IN_QUOTIENT: ReadonlySet<Role> = new Set(['answer', 'chunk']);

/** How much of a quotient is found, before the first step and after every step. */
export function foundShares(trace: Trace): readonly Exact[] {
  return tally(trace, (entry) =>
    entry.standing === 'marked' && IN_QUOTIENT.has(entry.role) ? entry.worth : null,
  );
}

/** What stands for everything that a step has not dealt with. */
const LEFT: ReadonlySet<Role> = new Set(['doubled', 'remainder']);

/**
 * The entries of a step that carry on what is still to be dealt with: all that a rewriting gives, what a
 * stage opens, the double that stands for everything a halved row has not kept, and a remainder.
 */
export function carriedOn(step: Step): readonly Entry[] {
  if (step.opens.length > 0) return step.opens;
  return isRewriting(step) ? step.gives : step.gives.filter(({ role }) => LEFT.has(role));
}
