import { crossProducts } from './cross-products.ts';
import { leastCommonDenominator } from './least-common-denominator.ts';
import { mixedImproper } from './mixed-improper.ts';
import { mixedSeparate } from './mixed-separate.ts';

/** The methods for sums and differences of fractions, in the order they are offered. */
export const fractions = [crossProducts, leastCommonDenominator, mixedSeparate, mixedImproper];
