import { changedPair } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const SAME_CHANGE_ON_SUM: FalseRule = {
  id: 'same-change-on-sum',
  truth: 'The same may be put to both numbers of a difference, where the distance stays.',
  counter: { from: '38 + 27', line: '40 + 29' },
  write: changedPair(['+'], ({ a, b }, first) => b.plus(first.minus(a))),
};
