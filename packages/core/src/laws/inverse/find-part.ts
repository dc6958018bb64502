import { type Change, type Fault, firstFault, type LawFrame, otherTerms, unequal } from '../law.ts';
import { defineMove } from '../move-spec.ts';

/** What must be added to one amount to make the other is what their difference is. */
export const FIND_PART = defineMove({
  id: 'find-part',
  law: 'inverse',
  statement: 'The part that is missing between two numbers is their difference.',
  words: { brief: 'missing part', says: 'the missing number is found the other way round' },
  check: (change, frame) =>
    frame.isOpen ? findPart(change, frame) : 'it is not read as an open sentence',
});

function findPart(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(
    unequal(change),
    gives.length === 1 && takes.length > 1 ? null : 'it is not one part that is found',
    () => (takes.some(({ worth }) => worth.isNegative) ? null : 'nothing is taken away'),
    otherTerms(change, frame),
  );
}
