import {
  answerAlso,
  answerText,
  Exact,
  type AnswerAlso,
  type Lane,
  type Speaker,
  type Trace,
} from '@levee/core';

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

/** How far a paper that leaks is from what is right: `2 too much`; of a root, whose account is that of the square, that it is not it. */
export function offInWords({ trace, leaks }: Lane, say: Speaker): string {
  if (trace.problem.kind === 'root') return 'which is not the root';
  const off = Exact.sum(leaks.map(({ amount }) => amount));
  if (off.isZero) return 'right in the end, by leaks that cancel';
  if (!off.isConstant) return `${say.worth(off)} away from what is right`;
  return `${say.worth(off.absolute())} ${off.isNegative ? 'too little' : 'too much'}`;
}

const ALSO: Readonly<Record<AnswerAlso['kind'], (text: string) => string>> = {
  mixed: (text) => ` = ${text}`,
  repeats: (text) => `, ${text} again and again`,
  rounded: (text) => ` ≈ ${text}`,
};
