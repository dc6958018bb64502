import { columnMultiplication } from './column.ts';
import { crosswise } from './crosswise.ts';
import { gridMultiplication } from './grid.ts';
import { halvingDoubling } from './halving-doubling.ts';
import { lattice } from './lattice.ts';
import { partialProducts } from './partial-products.ts';

/** The methods for products, in the order they are offered. */
export const multiplication = [
  columnMultiplication,
  partialProducts,
  gridMultiplication,
  lattice,
  crosswise,
  halvingDoubling,
];
