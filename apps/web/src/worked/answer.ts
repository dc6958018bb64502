import { answerAlso, answerText, type AnswerAlso, type Speaker, type Trace } from '@levee/core';

/** The answer as its paper gives it, with its unit: `136 bags`; what is left over has none of its own. */
export function answerWithUnit(trace: Trace, unit: string, say: Speaker): string {
  const [answer, left] = say.pointed(answerText(trace)).split(' r ') as [string, string?];
  const labelled = unit === '' ? answer : `${answer} ${unit}`;
  if (left === undefined) return labelled;
  return unit === '' ? `${answer} r ${left}` : `${labelled}, ${left} left over`;
}

/** The same with what helps to read it: a mixed number, the figures that come again, a root rounded. */
export function answerInFull(trace: Trace, unit: string, say: Speaker): string {
  const answer = answerWithUnit(trace, unit, say);
  const also = answerAlso(trace);
  return also ? `${answer}${ALSO[also.kind](say.pointed(also.text))}` : answer;
}

const ALSO: Readonly<Record<AnswerAlso['kind'], (text: string) => string>> = {
  mixed: (text) => ` = ${text}`,
  repeats: (text) => `, ${text} again and again`,
  rounded: (text) => ` ≈ ${text}`,
};
