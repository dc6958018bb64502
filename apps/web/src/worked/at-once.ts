import type { Method, OwnWork } from '@levee/core';

/** What judges own lines when they are laid. A page does not hold the judge: there it is null, and what it says arrives. */
let judge: ((own: OwnWork) => Method) | null = null;

export const judgeOfNow = () => judge;

/** From now on own lines are judged at once, or with null when what is said of them arrives. */
export function judgeAtOnce(by: ((own: OwnWork) => Method) | null): void {
  judge = by;
}
