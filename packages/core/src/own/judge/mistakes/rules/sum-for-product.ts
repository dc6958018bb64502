import { linesOf, numberPairOf } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const SUM_FOR_PRODUCT: FalseRule = {
  id: 'sum-for-product',
  truth: 'A product counts so many of one number; only now and then is it worth their sum.',
  counter: { from: '3 × 4', line: '3 + 4' },
  isLucky: true,
  write: (from) => {
    const pair = numberPairOf(from);
    return pair?.sign === '×' ? linesOf({ ...pair, sign: '+' }) : [];
  },
};
