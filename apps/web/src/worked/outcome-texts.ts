import type { Outcome } from '@levee/core';

/** Each outcome in two words, with a sign that does not depend on colour. */
export const OUTCOME_TEXTS: Record<Outcome, string> = {
  agrees: '✓ agrees',
  disagrees: '✗ disagrees',
  'cannot-tell': '? cannot tell',
};
