import { fractionArea } from './fraction-area.ts';
import { fractionCommonDenominator } from './fraction-common-denominator.ts';
import { fractionProduct } from './fraction-product.ts';
import { fractionReciprocal } from './fraction-reciprocal.ts';

/** The methods for products and quotients of fractions, in the order they are offered. */
export const fractionProducts = [
  fractionProduct,
  fractionArea,
  fractionCommonDenominator,
  fractionReciprocal,
];
