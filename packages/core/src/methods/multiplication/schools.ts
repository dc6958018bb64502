import type { SchoolSpec } from '../method.ts';
import { orderSchool } from '../shared/schools.ts';

/** Whether parts that are zero are written: 406 as 400 + 6 or as 400 + 0 + 6. */
export const ZERO_PARTS: SchoolSpec = {
  id: 'zeros',
  label: 'Zero parts',
  options: [
    { id: 'left-out', label: 'left out', reason: 'A part worth nothing adds nothing.' },
    { id: 'written', label: 'written', reason: 'Every place is seen, at the cost of room.' },
  ],
};

/** In which order free products are worked. */
export const PRODUCT_ORDER: SchoolSpec = orderSchool('product');
