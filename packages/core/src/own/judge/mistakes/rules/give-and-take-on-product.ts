import { changedPair } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const GIVE_AND_TAKE_ON_PRODUCT: FalseRule = {
  id: 'give-and-take-on-product',
  truth: 'One number may give what the other takes in a sum, where the total stays.',
  counter: { from: '18 × 24', line: '20 × 22' },
  write: changedPair(['×', '÷'], ({ a, b }, first) => b.minus(first.minus(a))),
};
