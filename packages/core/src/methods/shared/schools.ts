import type { SchoolSpec } from '../method.ts';

/** Whether lines are written from the ones or from the largest; `first` is what the first line holds. */
export function orderSchool(first: string): SchoolSpec {
  return {
    id: 'order',
    label: 'Order',
    options: [
      { id: 'ones-first', label: 'ones first', reason: 'The order of the column form.' },
      {
        id: 'largest-first',
        label: 'largest first',
        reason: `The first ${first} already tells the size of the answer.`,
      },
    ],
  };
}
