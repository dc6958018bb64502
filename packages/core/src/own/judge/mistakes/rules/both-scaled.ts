import { changedPair } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const BOTH_SCALED: FalseRule = {
  id: 'both-scaled',
  truth:
    'Both numbers may be scaled in a quotient; in a product one is halved when the other is doubled.',
  counter: { from: '12 × 15', line: '24 × 30' },
  write: changedPair(['×'], ({ a, b }, first) => (a.isZero ? null : b.times(first.dividedBy(a)))),
};
