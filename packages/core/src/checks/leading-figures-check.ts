import { scriptOf } from '../problem/script.ts';
import { rootOf } from '../account/root.ts';
import { certainties } from '../compare/looked-at.ts';
import { type Certainty } from '../compare/counted/certainty.ts';
import type { Lane } from '../compare/comparison.ts';
import type { Exact } from '../exact/exact.ts';
import { mixedText, placeValue } from '../exact/numeral.ts';
import type { CheckSpec } from './check.ts';

/** The first moment at which a leading figure is certain while something is still owed, with its step. */
export function firstCertain({ trace }: Lane): { step: number; certain: Certainty } | null {
  const all = certainties(trace).slice(0, -1);
  const step = all.findIndex(({ figures, low, high }) => figures !== '' && !low.equals(high));
  return step < 0 ? null : { step, certain: all[step]! };
}

/** A certain beginning as it is written: `2··`, a dot for every figure that can still change. */
export function certainText({ figures, length, high, decimals }: Certainty): string {
  if (length === null) return '';
  const all = figures.padEnd(length, '·').padStart(decimals + 1, '0');
  const split = all.length - decimals;
  const text = decimals === 0 ? all : `${all.slice(0, split)}.${all.slice(split)}`;
  return `${high.isNegative ? '−' : ''}${text}`;
}

/** Whether an answer's figures down to the last one that is worked lie in the range. */
function begins(answer: Exact, { low, high, decimals }: Certainty, base: number): boolean {
  const past = high.plus(placeValue(base, -decimals));
  return answer.compare(low) >= 0 && answer.compare(past) < 0;
}

export const leadingFiguresCheck: CheckSpec = {
  id: 'leading-figures',
  name: 'Leading figures',
  catches: 'An answer that leaves the range which the first steps from the left allow.',
  misses: 'Anything that happens inside that range, and all slips of those first steps.',
  asksHer: ({ lane }) => scriptOf(lane.trace.problem) !== 'terms',
  lacks: ({ lane }) =>
    scriptOf(lane.trace.problem) === 'terms'
      ? 'Expressions with letters have no leading figures; compare the highest terms.'
      : firstCertain(lane)
        ? null
        : 'This method is sure of no figure while anything is still to be worked out; choose one that begins with the largest place.',
  make: ({ lane }, given, work = lane.trace) => {
    const answer = lane.trace.problem.kind === 'root' ? rootOf(work).root : given;
    const { step, certain } = firstCertain(lane)!;
    const { base } = lane.trace.problem;
    const fits = begins(answer, certain, base);
    const text = (amount: Exact) => mixedText(amount, base);
    return {
      outcome: fits ? 'agrees' : 'disagrees',
      lines: [
        `After ${step === 0 ? 'no step' : `step ${step}`} the answer lies from ${text(certain.low)} to ${text(certain.high)}: ${certainText(certain)}.`,
        `${text(answer)} ${fits ? 'lies there' : 'does not'}.`,
      ],
    };
  },
};
