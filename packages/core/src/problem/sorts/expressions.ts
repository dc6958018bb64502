import { SCRIPTS } from '../script.ts';
import type { Sort } from './sort.ts';

/** Computations that no method works, in whatever writing: own lines are laid. */
export const EXPRESSIONS: readonly Sort[] = SCRIPTS.map((script) => ({
  id: `expression of ${script}`,
  kind: 'expression',
  script,
  isFoundInPieces: false,
  isInPlaces: script === 'figures',
  leavesRest: false,
  needsLikeParts: script === 'fractions',
  firstPapers: [],
}));
