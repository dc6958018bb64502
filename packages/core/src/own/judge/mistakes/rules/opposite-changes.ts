import { changedPair } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const OPPOSITE_CHANGES: FalseRule = {
  id: 'opposite-changes',
  truth:
    'In a difference both numbers change the same way; one gives what the other takes in a sum.',
  counter: { from: '71 − 38', line: '73 − 36' },
  write: changedPair(['-'], ({ a, b }, first) => b.minus(first.minus(a))),
};
