import { amountWriter } from '../problem/amount-text.ts';
import type { CheckSpec } from './check.ts';

export const calculatorCheck: CheckSpec = {
  id: 'calculator',
  name: 'Calculator',
  catches: 'Every wrong answer, when this very computation is keyed in.',
  misses: 'Where and why it went wrong, and a computation that was keyed in wrongly.',
  lacks: ({ calculated }) => (calculated ? null : 'Use the calculator first.'),
  make: ({ calculated, comparison }, answer) => {
    const { value, same } = calculated!;
    const text = amountWriter(comparison.problem);
    const shown = text(value);
    if (!same) {
      return {
        outcome: 'cannot-tell',
        lines: [`The calculator shows ${shown}, but for another computation.`],
      };
    }
    const agrees = value.equals(answer);
    return {
      outcome: agrees ? 'agrees' : 'disagrees',
      lines: [`The calculator shows ${shown}; the paper says ${text(answer)}.`],
    };
  },
};
