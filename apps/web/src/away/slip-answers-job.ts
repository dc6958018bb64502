import {
  answerText,
  readAddress,
  readProblem,
  workOfChoice,
  type PaperWork,
  type Problem,
} from '@levee/core';
import { cleanChoice } from './clean-choice.ts';
import { inPieces, type Tell } from './long.ts';

/** What a slip gives where it is made once: the answer as its paper has it, and its amount as an exact number. */
export interface SlipAnswer {
  readonly slip: string;
  readonly answer: string;
  readonly amount: string;
}

/**
 * Works a paper with each of some slips, one at a time, and tells what they give as it goes. RangeError for a text that is no
 * problem.
 * @param slips addresses on the paper.
 */
export async function slipAnswers(
  problem: string,
  paper: PaperWork,
  slips: readonly string[],
  tell: Tell<readonly SlipAnswer[]>,
): Promise<void> {
  const read = readProblem(problem);
  if (!read.ok) throw new RangeError(`slipAnswers: "${problem}" is not a problem`);
  let made: SlipAnswer[] = [];
  await inPieces(
    slips.length,
    (from) => {
      made.push(slipAnswer(read.problem, paper, slips[from]!));
      return from + 1;
    },
    () => {
      const told = made;
      made = [];
      return tell(told);
    },
  );
}

/** What one slip on a paper gives. RangeError for a slip that has no address. */
function slipAnswer(problem: Problem, paper: PaperWork, slip: string): SlipAnswer {
  const address = readAddress(slip);
  if (!address) throw new RangeError(`slipAnswer: "${slip}" is no address`);
  const trace = workOfChoice(problem, { ...cleanChoice(paper), slips: [address] });
  return { slip, answer: answerText(trace), amount: trace.answer.toString() };
}
