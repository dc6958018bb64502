import { defineMove } from '../move-spec.ts';
import { changeBetween } from './changed-pair.ts';
import { sameChange } from './changes.ts';

/** One addend gives what the other takes. */
export const GIVE_AND_TAKE = defineMove({
  id: 'give-and-take',
  law: 'same-change',
  statement: 'One addend gives what another, or a correction, takes.',
  words: {
    brief: 'give and take',
    says: 'one number gives what the other takes',
    by: (change) => `one number gives ${change}, the other takes it`,
  },
  check: (change, frame) => sameChange(change, frame, 'sum'),
  recognise: (old, made, page) => {
    const change = changeBetween(old, made, page);
    return change && !change.isDifference ? { used: change.by } : null;
  },
  fitsAnyNumbers: true,
  lays: 'one to the other',
});
