import { unequal } from '../law.ts';
import { defineMove } from '../move-spec.ts';

/** An amount stands in the place of another that is worth the same, and no law is told. */
export const UNNAMED = defineMove({
  id: 'unnamed',
  law: 'unnamed',
  statement: 'Amounts are replaced by others of the same worth, and no law is told.',
  words: { brief: 'same amount', says: 'the same amount' },
  check: (change, frame) =>
    frame.isOwn ? unequal(change) : 'only one’s own lines may leave a law unnamed',
});
