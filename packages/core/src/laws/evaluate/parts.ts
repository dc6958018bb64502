import { apartFrom, partsFault } from '../apart.ts';
import { defineMove } from '../move-spec.ts';

/** One number becomes several that make it. */
export const PARTS = defineMove({
  id: 'parts',
  law: 'evaluate',
  statement: 'A number is taken apart into numbers that make it.',
  words: { brief: 'taken apart', says: 'taken apart' },
  check: (change, frame) => partsFault(change, frame, false),
  recognise: (old, made, { base }) => {
    const apart = apartFrom(old, made, base);
    return apart?.as === 'parts' ? { used: apart.used } : null;
  },
  alike: 'taken apart',
  fitsAnyNumbers: true,
});
