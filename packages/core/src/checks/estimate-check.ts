import { Exact } from '../exact/exact.ts';
import type { Judgement } from '../formats/comparison-document.ts';
import { amountWriter } from '../problem/amount-text.ts';
import { problemSign } from '../problem/problem.ts';
import type { CheckSpec } from './check.ts';

/**
 * How far an answer may be from its estimate. Close is within a tenth of the estimate; of the right size
 * is from half of it to twice it. Which of the two counts is her judgement; without one the size does.
 */
export function isNearEnough(answer: Exact, estimate: Exact, judgement: Judgement): boolean {
  if (estimate.isZero || answer.isZero) return answer.equals(estimate);
  if (estimate.numerator < 0n !== answer.numerator < 0n) return false;
  const ratio = answer.dividedBy(estimate);
  const [low, high] =
    judgement === 'close' ? [Exact.of(9, 10), Exact.of(11, 10)] : [Exact.of(1, 2), Exact.of(2)];
  return ratio.compare(low) >= 0 && ratio.compare(high) <= 0;
}

export const estimateCheck: CheckSpec = {
  id: 'estimate',
  name: 'Estimate',
  catches: 'An answer of the wrong size: a place dropped, a line left out.',
  misses: 'Slips in the small places, which hardly move the answer.',
  lacks: ({ estimate }) => (estimate ? null : 'Record an estimate first.'),
  make: ({ comparison, estimate }, answer) => {
    const { kind } = comparison.problem;
    const text = amountWriter(comparison.problem);
    const about = Exact.parse(estimate!.value);
    const near = isNearEnough(answer, about, estimate!.judgement);
    const off = answer.minus(about);
    const away = text(off.numerator < 0n ? off.negate() : off);
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
