import type { SchoolSpec } from '../method-spec.ts';

/** Whether common factors go before the product, or after it. */
export const CANCEL: SchoolSpec = {
  id: 'cancel',
  label: 'Common factors',
  options: [
    {
      id: 'after',
      label: 'after the product',
      reason: 'One thing after the other; the numbers may grow large.',
    },
    {
      id: 'before',
      label: 'before the product',
      reason: 'The numbers stay small; what may be cancelled must be seen.',
    },
  ],
};
