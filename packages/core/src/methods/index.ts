import { addition } from './addition/index.ts';
import { division } from './division/index.ts';
import { fractionProducts } from './fraction-products/index.ts';
import { fractions } from './fractions/index.ts';
import { multiplication } from './multiplication/index.ts';
import { polynomials } from './polynomials/index.ts';
import { roots } from './roots/index.ts';
import { createRegistry } from './registry.ts';
import { subtraction } from './subtraction/index.ts';

/** Every method Levee knows. */
export const registry = createRegistry([
  addition,
  subtraction,
  multiplication,
  division,
  fractions,
  fractionProducts,
  polynomials,
  roots,
]);
