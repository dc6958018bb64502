import { isPlain } from '../../../../line/kinds.ts';
import { productNode, type Term, termValue } from '../../../../line/node.ts';
import { plus, times } from '../../../../line/terms.ts';
import { number } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const LEFT_TO_RIGHT: FalseRule = {
  id: 'left-to-right',
  truth: 'Products and quotients come before sums and differences, unless brackets say otherwise.',
  counter: { from: '2 + 3 × 4', line: '5 × 4' },
  write: (from) => leftToRight(from),
};

/** A sum before a product is worked out first: 2 + 3 × 4 as 5 × 4. */
function leftToRight(from: readonly Term[]): readonly (readonly Term[])[] {
  return from.flatMap((term, k) => {
    const before = from[k - 1];
    const factors = term.node.kind === 'product' ? term.node.factors : [];
    const [first, ...rest] = factors;
    if (!before || !first || rest.length === 0 || !isPlain(before.node) || !isPlain(first.node))
      return [];
    const sum = termValue(before).plus(termValue({ minus: term.minus, node: first.node })).rational;
    if (!sum?.isConstant || sum.isNegative) return [];
    return [
      [
        ...from.slice(0, k - 1),
        plus(productNode([times(number(sum)), ...rest])),
        ...from.slice(k + 1),
      ],
    ];
  });
}
