import { fractionNode } from '../../../../line/node.ts';
import { fractionsIn, whole } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const SAME_ADDED_TO_BOTH: FalseRule = {
  id: 'same-added-to-both',
  truth: 'Top and bottom of a fraction are multiplied alike; to add the same to both changes it.',
  counter: { from: '3/4', line: '5/6' },
  write: (from, aim) => {
    const [old, made] = [fractionsIn(from), fractionsIn(aim)];
    if (!old || !made || old.length !== made.length) return [];
    return [
      old.map((own, k) => {
        const change = made[k]!.top.amount.minus(own.top.amount);
        const bottom = own.bottom.amount.plus(change);
        const node =
          bottom.isZero || bottom.isNegative ? own : fractionNode(made[k]!.top, whole(bottom));
        return { minus: from[k]!.minus, node };
      }),
    ];
  },
};
