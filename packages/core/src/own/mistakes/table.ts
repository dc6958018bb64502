import { OF_PRODUCTS } from './products.ts';
import { OF_QUOTIENTS } from './quotients.ts';
import type { FalseRule } from './rule.ts';
import { OF_SUMS } from './sums.ts';

/** Every false rule with the true one beside it, in the order in which they are tried. */
export const FALSE_RULES: readonly FalseRule[] = [...OF_SUMS, ...OF_PRODUCTS, ...OF_QUOTIENTS];
