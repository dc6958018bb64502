import { Exact } from '../exact/exact.ts';
import type { Trace } from '../account/account.ts';
import { answerText } from '../account/answer-text.ts';
import { rootOf } from '../account/root.ts';
import type { EstimateRecord } from '../formats/comparison-shape.ts';
import { amountWriter, scriptOf } from '../problem/script.ts';
import { problemSign } from '../problem/problem.ts';
import type { CheckFinding, CheckSpec } from './check.ts';

/**
 * How far an answer may be from its estimate. Close is within a tenth of the estimate; of the right size
 * is from half of it to twice it. Which of the two counts is her judgement; without one the size does. With a `power` both
 * are powers of what is compared.
 */
export function isNearEnough(
  answer: Exact,
  estimate: Exact,
  judgement: string,
  power = 1,
): boolean {
  if (estimate.isZero || answer.isZero) return answer.equals(estimate);
  if (estimate.isNegative !== answer.isNegative) return false;
  const ratio = answer.dividedBy(estimate);
  const [low, high] =
    judgement === 'close' ? [Exact.of(9, 10), Exact.of(11, 10)] : [Exact.of(1, 2), Exact.of(2)];
  return ratio.compare(low.power(power)) >= 0 && ratio.compare(high.power(power)) <= 0;
}

/** Of a root the estimate's square is held against the number, which tells the same. */
function ofRoot(work: Trace, { operands, value, judgement }: EstimateRecord): CheckFinding {
  const text = amountWriter(work.problem);
  const { root, under } = rootOf(work);
  const about = Exact.parse(value);
  const near = isNearEnough(root.times(root).times(under), about.times(about), judgement, 2);
  const asked = judgement === 'close' ? 'within a tenth of it' : 'from half of it to twice it';
  return {
    outcome: near ? 'agrees' : 'disagrees',
    lines: [
      `√${operands.join('')} is ${text(about)}; the paper says ${answerText(work)}.`,
      `Near enough here is ${asked}${judgement === '' ? ', as nothing else was judged' : ''}: it ${near ? 'is' : 'is not'}.`,
    ],
  };
}

export const estimateCheck: CheckSpec = {
  id: 'estimate',
  name: 'Estimate',
  asksHer: ({ comparison: { problem } }) => scriptOf(problem) !== 'terms',
  catches: 'An answer of the wrong size: a place dropped, a line left out.',
  misses: 'Slips in the small places, which hardly move the answer.',
  lacks: ({ estimate, comparison: { problem } }) => {
    if (scriptOf(problem) === 'terms') {
      return 'Expressions with letters have no size of their own; put numbers in for the letters.';
    }
    return estimate ? null : 'Record an estimate first.';
  },
  make: ({ comparison, estimate, lane }, answer, work = lane.trace) => {
    if (comparison.problem.kind === 'root') return ofRoot(work, estimate!);
    const { kind } = comparison.problem;
    const text = amountWriter(comparison.problem);
    const about = Exact.parse(estimate!.value);
    const near = isNearEnough(answer, about, estimate!.judgement);
    const off = answer.minus(about);
    const away = text(off.absolute());
    const asked =
      estimate!.judgement === 'close' ? 'within a tenth of it' : 'from half of it to twice it';
    return {
      outcome: near ? 'agrees' : 'disagrees',
      lines: [
        `${estimate!.operands.join(` ${problemSign(kind)} `)} is ${text(about)}; the answer ${text(answer)} is ${away} away.`,
        `Near enough here is ${asked}${estimate!.judgement === '' ? ', as nothing else was judged' : ''}: it ${near ? 'is' : 'is not'}.`,
      ],
    };
  },
};
