import { expandArcs } from './expand-arcs.ts';
import { expandFoil } from './expand-foil.ts';
import { expandGrid } from './expand-grid.ts';
import { likeTermsColumns } from './like-terms-columns.ts';
import { likeTermsRow } from './like-terms-row.ts';

/** The methods for expressions with letters, in the order in which they are offered. */
export const polynomials = [likeTermsRow, likeTermsColumns, expandArcs, expandFoil, expandGrid];
