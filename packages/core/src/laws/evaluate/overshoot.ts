import { apartFrom, partsFault } from '../apart.ts';
import { defineMove } from '../move-spec.ts';

/** A number becomes more than it is, and what is too much is taken back. */
export const OVERSHOOT = defineMove({
  id: 'overshoot',
  law: 'evaluate',
  statement: 'A number is written as a larger one with something taken back.',
  words: { brief: 'too much, less a part', says: 'more, and what is too much taken back' },
  check: (change, frame) => partsFault(change, frame, true),
  recognise: (old, made, { base }) => {
    const apart = apartFrom(old, made, base);
    return apart?.as === 'overshoot' ? { used: apart.used } : null;
  },
  alike: 'taken apart',
  fitsAnyNumbers: true,
});
