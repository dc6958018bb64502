import { digitPairs } from './digit-pairs.ts';
import { primePairs } from './prime-pairs.ts';

/** The methods for square roots, in the order in which they are offered. */
export const roots = [digitPairs, primePairs];
