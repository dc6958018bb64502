import { timesTerm, twoSums } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const LIKE_PLACES_ONLY: FalseRule = {
  id: 'like-places-only',
  truth:
    'Every part of one factor goes with every part of the other; only in a sum do like places go with like.',
  counter: { from: '46 × 58', line: '40 × 50 + 6 × 8' },
  write: (from) => {
    const sums = twoSums(from);
    if (!sums) return [];
    const [left, right] = sums;
    if (left.length !== right.length) return [];
    return [left.map((part, k) => timesTerm(part, right[k]!))];
  },
};
