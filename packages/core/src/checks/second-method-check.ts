import { answerText } from '../account/answer-text.ts';
import { amountWriter } from '../problem/script.ts';
import type { CheckSpec } from './check.ts';

export const secondMethodCheck: CheckSpec = {
  id: 'second-method',
  name: 'Second method',
  catches: 'Every slip that only one of the two papers makes.',
  misses: 'Numbers copied wrongly onto both, and a fact that is known wrongly.',
  lacks: ({ other, lane }) =>
    other && other !== lane ? null : 'Lay a second paper with another method first.',
  make: ({ other, comparison, lane }, answer, work = lane.trace) => {
    const { trace, method } = other!;
    const isRoot = comparison.problem.kind === 'root';
    const text = amountWriter(comparison.problem);
    const [theirs, own] = isRoot
      ? [answerText(trace), answerText(work)]
      : [text(trace.answer), text(answer)];
    const same = trace.answer.equals(answer);
    return {
      outcome: same ? 'agrees' : 'disagrees',
      lines: [
        `${method.name} makes ${theirs}, this paper ${own}: ${same ? 'the same' : 'not the same'}.`,
      ],
    };
  },
};
