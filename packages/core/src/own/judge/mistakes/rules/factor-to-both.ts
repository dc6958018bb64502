import { factorsOf } from '../../../../line/factors.ts';
import { isPlain } from '../../../../line/kinds.ts';
import { productNode } from '../../../../line/node.ts';
import { plus, times } from '../../../../line/terms.ts';
import { number, single } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const FACTOR_TO_BOTH: FalseRule = {
  id: 'factor-to-both',
  truth: 'A factor goes to every part of a sum, but to one factor of a product.',
  counter: { from: '3 × 4 × 5', line: '12 × 15' },
  write: (from) =>
    single(from, (node) => {
      const factors = factorsOf(node);
      if (factors.length !== 3 || factors.some(({ under, node: own }) => under || !isPlain(own)))
        return null;
      const [k, a, b] = factors.map(({ node: own }) => own.value.rational!);
      return [plus(productNode([times(number(k!.times(a!))), times(number(k!.times(b!)))]))];
    }),
};
