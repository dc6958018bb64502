import { isCounted, type OwnWork } from '@levee/core';

/** The last computations on which some lines came to the answer: most that are remembered. */
const MOST = 60;
const FITTED = new Map<string, string>();

function keyOf({ lines }: OwnWork): string {
  return JSON.stringify(lines.filter(isCounted).map(({ text }) => text));
}

/** Remembers that the lines are a way of working this computation. */
export function rememberFit(own: OwnWork, problem: string): void {
  const key = keyOf(own);
  FITTED.delete(key);
  FITTED.set(key, problem);
  if (FITTED.size > MOST) FITTED.delete(FITTED.keys().next().value!);
}

/** The computation that the lines were a way for, before the numbers on the bench were changed; null where none is known. */
export function fittedBefore(own: OwnWork, problem: string): string | null {
  const before = FITTED.get(keyOf(own));
  return before === undefined || before === problem ? null : before;
}
