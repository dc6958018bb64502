import { compensationSubtraction } from './compensation-subtraction.ts';
import { countingUp } from './counting-up.ts';
import { decomposition } from './decomposition.ts';
import { equalAdditions } from './equal-additions.ts';
import { expandedSubtraction } from './expanded-subtraction.ts';
import { partialDifferences } from './partial-differences.ts';

/** The methods for differences, in the order they are offered. */
export const subtraction = [
  decomposition,
  expandedSubtraction,
  countingUp,
  partialDifferences,
  equalAdditions,
  compensationSubtraction,
];
