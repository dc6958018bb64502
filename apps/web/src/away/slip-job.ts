import {
  judgeLines,
  lineSlip,
  nameOfMethod,
  problemText,
  readAsked,
  slipIdea,
  wrongWorking,
  amountsOf,
} from '@levee/core';

/**
 * By which slip the computation of an unequal line comes to what the line gives, in one sentence; null where none is
 * found. Throws `RangeError` for a text that is no computation.
 * @param n the line, from 1.
 */
export function slipSaid(problem: string, lines: readonly string[], n: number): string | null {
  const read = readAsked(problem);
  if (!read.ok) throw new RangeError(`slipSaid: "${problem}": ${read.reason}`);
  const working = wrongWorking(judgeLines(read.asked, lines), n);
  const found = working && lineSlip(working);
  if (!found) return null;
  const { label } = slipIdea(found.cause.slips[0]!.idea);
  const [work] = found.cause.works;
  const where = work ? `, in ${nameOfMethod(work.method.id).toLowerCase()}` : '';
  const answer = amountsOf(read.asked)(working.answer);
  return `${problemText(working.problem)} comes to ${answer} by “${label}”${where}.`;
}
