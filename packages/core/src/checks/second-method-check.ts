import { amountWriter } from '../problem/amount-text.ts';
import type { CheckSpec } from './check.ts';

export const secondMethodCheck: CheckSpec = {
  id: 'second-method',
  name: 'Second method',
  catches: 'Every slip that only one of the two papers makes.',
  misses: 'Numbers copied wrongly onto both, and a fact that is known wrongly.',
  lacks: ({ other, lane }) =>
    other && other !== lane ? null : 'Lay a second paper with another method first.',
  make: ({ other, comparison }, answer) => {
    const { trace, method } = other!;
    const text = amountWriter(comparison.problem);
    const same = trace.answer.equals(answer);
    return {
      outcome: same ? 'agrees' : 'disagrees',
      lines: [
        `${method.name} makes ${text(trace.answer)}, this paper ${text(answer)}: ${same ? 'the same' : 'not the same'}.`,
      ],
    };
  },
};
