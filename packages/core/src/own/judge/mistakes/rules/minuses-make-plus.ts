import { isNumber } from '../../../../line/kinds.ts';
import type { FalseRule } from '../rule.ts';

export const MINUSES_MAKE_PLUS: FalseRule = {
  id: 'minuses-make-plus',
  truth:
    'Two minuses make plus where they meet in a product or before a bracket, not side by side in a sum.',
  counter: { from: '−3 − 5', line: '3 + 5' },
  write: (from) => {
    const below = from.filter((term) => term.minus);
    if (below.length !== 2 || !below.every(({ node }) => isNumber(node))) return [];
    return [from.map((term) => ({ minus: false, node: term.node }))];
  },
};
