import { Exact } from '../exact/exact.ts';
import type { Trace } from './account.ts';

/** An amount that a work has gained, or lost when it is negative. */
export interface Leak {
  /** The step that gains or loses it; 0 before the first, as when a number is copied wrongly. */
  readonly step: number;
  readonly amount: Exact;
}

/** Where a work gains or loses something: nowhere in a clean one; after a slip, often in several steps. */
export function leaksOf({ start, steps, total }: Trace): readonly Leak[] {
  let balance = Exact.sum(start.map(({ worth }) => worth));
  const leaks: Leak[] = [];
  if (!balance.equals(total)) leaks.push({ step: 0, amount: balance.minus(total) });
  for (const step of steps) {
    if (!step.balance.equals(balance)) {
      leaks.push({ step: step.number, amount: step.balance.minus(balance) });
    }
    balance = step.balance;
  }
  return leaks;
}
