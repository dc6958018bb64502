import { type Change, type Fault, firstFault, type LawFrame, otherTerms, unequal } from '../law.ts';
import { defineMove } from '../move-spec.ts';
import { isAlike } from '../written.ts';

/** Amounts change their places and brackets, and nothing else. */
export const ORDER = defineMove({
  id: 'order',
  law: 'reorder',
  statement: 'Amounts change places and brackets only.',
  words: { brief: 'other order', says: 'another order or other brackets' },
  check: order,
});

function order(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  if (frame.inFigures) return firstFault(unequal(change), otherTerms(change, frame));
  const rest = [...takes];
  for (const give of gives) {
    const at = rest.findIndex((take) => isAlike(take, give));
    if (at < 0) return `${give.worth} was not there before`;
    rest.splice(at, 1);
  }
  return rest.length === 0 ? null : `${rest[0]!.worth} is gone`;
}
