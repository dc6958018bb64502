import type { Trace } from '../account/account.ts';
import { answerText } from '../account/answer-text.ts';
import { rootOf } from '../account/root.ts';
import { Exact } from '../exact/exact.ts';
import { amountWriter, scriptOf } from '../problem/script.ts';
import type { CheckSpec } from './check.ts';

/** Whether a root that comes out is this number. */
function isExactRoot(value: Exact, work: Trace): boolean {
  const { root, under, left } = rootOf(work);
  return left.isZero && under.equals(Exact.ONE) && root.equals(value);
}

export const calculatorCheck: CheckSpec = {
  id: 'calculator',
  name: 'Calculator',
  asksHer: ({ comparison: { problem } }) => scriptOf(problem) !== 'terms',
  catches: 'Every wrong answer, when this very computation is keyed in.',
  misses: 'Where and why it went wrong, and a computation that was keyed in wrongly.',
  lacks: ({ calculated, comparison: { problem } }) => {
    if (scriptOf(problem) === 'terms') {
      return 'The calculator has no letters; put numbers in for them and check those.';
    }
    return calculated ? null : 'Use the calculator first.';
  },
  make: ({ calculated, comparison, lane }, answer, work = lane.trace) => {
    const { value, same } = calculated!;
    const text = amountWriter(comparison.problem);
    const shown = text(value);
    if (!same) {
      return {
        outcome: 'cannot-tell',
        lines: [`The calculator shows ${shown}, but for another computation.`],
      };
    }
    const isRoot = comparison.problem.kind === 'root';
    const agrees = isRoot ? isExactRoot(value, work) : value.equals(answer);
    return {
      outcome: agrees ? 'agrees' : 'disagrees',
      lines: [
        `The calculator shows ${shown}; the paper says ${isRoot ? answerText(work) : text(answer)}.`,
      ],
    };
  },
};
