import { type Change, type Fault, firstFault, type LawFrame, oneForOne } from '../law.ts';
import { defineMove, FITS } from '../move-spec.ts';
import { denominatorOf } from '../written.ts';
import { writingOf } from './writing.ts';
import { writingsOf } from './writings.ts';

/** Top and bottom of a fraction are multiplied, or divided, by one whole number. */
export const RENAME = defineMove({
  id: 'rename',
  law: 'scale-both',
  statement: 'Top and bottom of a fraction are scaled alike: n/n is one.',
  words: { brief: 'scaled alike', says: 'top and bottom scaled alike' },
  check: rename,
  rewrites: (old, made) => (writingOf(old, made) === 'rename' ? FITS : null),
  write: (term, aim) => writingsOf(term, aim, 'rename'),
});

function rename(change: Change, frame: LawFrame): Fault {
  return firstFault(oneForOne(change), () => {
    if (frame.script !== 'fractions') return 'there is no fraction';
    const scaled = change.takes.map((take, k) => {
      const [before, after] = [denominatorOf(take), denominatorOf(change.gives[k]!)];
      return before !== after && (after % before === 0n || before % after === 0n);
    });
    return scaled.every(Boolean) ? null : 'top and bottom are not scaled by one number';
  });
}
