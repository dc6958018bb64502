import { answerText } from '../account/answer-text.ts';
import { amountWriter } from '../problem/script.ts';
import { numberUnder, resultOf, sameResult, type Result } from '../account/result.ts';
import type { CheckSpec } from './check.ts';

/**
 * What two results say of each other. Results that are told in different ways cannot be the same; where each holds
 * by itself for the same numbers, neither speaks against the other.
 */
function verdict(own: Result, theirs: Result): { same: boolean; holds: boolean; how: string } {
  if (sameResult(own, theirs)) return { same: true, holds: true, how: 'the same' };
  if (own.kind === 'root' && theirs.kind === 'root') {
    const holds = numberUnder(own).equals(numberUnder(theirs));
    return {
      same: false,
      holds,
      how: holds
        ? 'not the same number, but squared, with what is left, both make the number under the root'
        : 'not the same',
    };
  }
  return { same: false, holds: false, how: 'not the same' };
}

export const secondMethodCheck: CheckSpec = {
  id: 'second-method',
  name: 'Second method',
  asksHer: () => true,
  catches: 'Every slip that only one of the two papers makes.',
  misses: 'Numbers copied wrongly onto both, and a fact that is known wrongly.',
  lacks: ({ other, lane }) =>
    other && other !== lane ? null : 'Lay a second paper with another method first.',
  make: ({ other, lane }, answer, given) => {
    const { trace, method } = other!;
    // An answer that no work of this paper gives is an amount and nothing else.
    if (!given && !answer.equals(lane.trace.answer)) {
      const same = trace.answer.equals(answer);
      const own = amountWriter(trace.problem)(answer);
      const how = same ? 'the same' : 'not the same';
      return {
        outcome: same ? 'agrees' : 'disagrees',
        lines: [`${method.name} makes ${answerText(trace)}, this answer is ${own}: ${how}.`],
      };
    }
    const work = given ?? lane.trace;
    const { holds, how } = verdict(resultOf(work), resultOf(trace));
    const agrees = holds || (resultOf(work).kind !== 'root' && trace.answer.equals(answer));
    const told = holds || !agrees ? how : 'the same amount, told in another way';
    return {
      outcome: agrees ? 'agrees' : 'disagrees',
      lines: [
        `${method.name} makes ${answerText(trace)}, this paper ${answerText(work)}: ${told}.`,
      ],
    };
  },
};
