import { answerText, type Speaker, type Trace } from '@levee/core';

/** The answer as its paper gives it, with its unit: `136 bags`; what is left over has none of its own. */
export function answerWithUnit(trace: Trace, unit: string, say: Speaker): string {
  const [answer, left] = say.pointed(answerText(trace)).split(' r ') as [string, string?];
  const labelled = unit === '' ? answer : `${answer} ${unit}`;
  if (left === undefined) return labelled;
  return unit === '' ? `${answer} r ${left}` : `${labelled}, ${left} left over`;
}
