import { Exact } from '../../../../exact/exact.ts';
import { fractionNode } from '../../../../line/node.ts';
import { plus } from '../../../../line/terms.ts';
import { fractionsIn, whole } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const TOPS_AND_BOTTOMS: FalseRule = {
  id: 'tops-and-bottoms',
  truth:
    'Parts of one name are counted together and keep their name; tops and bottoms are multiplied in a product.',
  counter: { from: '3/4 + 1/6', line: '4/10' },
  write: (from) => {
    const all = fractionsIn(from);
    if (!all || all.length < 2) return [];
    const total = (amounts: readonly Exact[]) =>
      from.reduce(
        (sum, term, k) => (term.minus ? sum.minus(amounts[k]!) : sum.plus(amounts[k]!)),
        Exact.ZERO,
      );
    const [top, bottom] = [
      total(all.map((own) => own.top.amount)),
      total(all.map((own) => own.bottom.amount)),
    ];
    const added = !bottom.isZero && !bottom.isNegative && !top.isNegative;
    return added ? [[plus(fractionNode(whole(top), whole(bottom)))]] : [];
  },
};
