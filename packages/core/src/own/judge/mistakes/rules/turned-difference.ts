import { linesOf, numberPairOf } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const TURNED_DIFFERENCE: FalseRule = {
  id: 'turned-difference',
  truth: 'The numbers of a sum may change places; those of a difference may not.',
  counter: { from: '32 − 17', line: '17 − 32' },
  write: (from) => {
    const pair = numberPairOf(from);
    return pair?.sign === '-' ? linesOf({ ...pair, a: pair.b, b: pair.a }) : [];
  },
};
