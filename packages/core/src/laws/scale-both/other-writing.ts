import { type Change, type Fault, firstFault, type LawFrame, oneForOne } from '../law.ts';
import { defineMove, FITS } from '../move-spec.ts';
import { writingOf } from './writing.ts';
import { writingsOf } from './writings.ts';

/** The same amount is written in another way: as a fraction, with a point, in hundredths. */
export const OTHER_WRITING = defineMove({
  id: 'other-writing',
  law: 'scale-both',
  statement: 'The same number in another writing.',
  words: { brief: 'written otherwise', says: 'the same number in another writing' },
  check: otherWriting,
  rewrites: (old, made) => (writingOf(old, made) === 'other-writing' ? FITS : null),
  write: (term, aim) => writingsOf(term, aim, 'other-writing'),
});

function otherWriting(change: Change, frame: LawFrame): Fault {
  const isOther = change.gives.some(
    ({ written }, k) => JSON.stringify(written) !== JSON.stringify(change.takes[k]?.written),
  );
  const isWorked = change.takes.every(({ owed }) => !owed);
  return firstFault(
    oneForOne(change),
    isOther && isWorked ? null : 'it is written as before',
    frame.script === 'fractions' ? null : 'there is nothing to write otherwise',
    () =>
      change.gives.every(({ written }) => written === null) ? null : 'a fraction stands there',
  );
}
