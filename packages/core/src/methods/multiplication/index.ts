import { columnMultiplication } from './column.ts';
import { gridMultiplication } from './grid.ts';
import { lattice } from './lattice.ts';
import { partialProducts } from './partial-products.ts';

/** The methods for products, in the order they are offered. */
export const multiplication = [columnMultiplication, partialProducts, gridMultiplication, lattice];
