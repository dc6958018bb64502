import {
  type Amount,
  type Change,
  type Fault,
  firstFault,
  type LawFrame,
  otherTerms,
  unequal,
} from '../law.ts';
import { defineMove, FITS } from '../move-spec.ts';
import { denominatorOf } from '../written.ts';
import { writingOf } from './writing.ts';
import { writingsOf } from './writings.ts';

/** Wholes become as many parts as the denominator says, or the other way. */
export const WHOLE_AS_PARTS = defineMove({
  id: 'whole-as-parts',
  law: 'scale-both',
  statement: 'A whole is as many parts as the denominator says.',
  words: { brief: 'wholes as parts', says: 'wholes as parts' },
  check: wholeAsParts,
  rewrites: (old, made) => (writingOf(old, made) === 'whole-as-parts' ? FITS : null),
  write: (term, aim) => writingsOf(term, aim, 'whole-as-parts'),
});

function wholeAsParts(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  const bottoms = (side: readonly Amount[]) =>
    new Set(side.map(denominatorOf).filter((bottom) => bottom !== 1n));
  return firstFault(unequal(change), otherTerms(change, frame), () => {
    if (frame.script !== 'fractions') return 'there is no fraction';
    if (new Set(takes.map(({ worth }) => worth.isNegative)).size > 1) {
      return 'amounts against each other are worked out';
    }
    // On a paper what is owed is told by its worth alone, in lowest terms.
    if (frame.inFigures) return gives.length <= 2 ? null : 'more than one amount is left';
    const all = new Set([...bottoms(takes), ...bottoms(gives)]);
    const opened = gives.some(({ worth, written }) => written !== null || worth.denominator !== 1n);
    return all.size <= 1 && (opened || all.size === 1) && gives.length <= 2
      ? null
      : 'a whole is not opened into the parts that are there';
  });
}
