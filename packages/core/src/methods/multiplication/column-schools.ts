import type { SchoolSpec } from '../method.ts';

/** Where carries stand, how lines are shifted, and whether a row of zeros is written. */
export const COLUMN_SCHOOLS: readonly SchoolSpec[] = [
  {
    id: 'carries',
    label: 'Carries',
    options: [
      {
        id: 'above',
        label: 'above',
        reason: 'Seen when needed; each line needs a row of its own.',
      },
      {
        id: 'below',
        label: 'below',
        reason: 'Small under the line they join, so no two lines share them.',
      },
      {
        id: 'in-the-head',
        label: 'in the head',
        reason: 'Nothing extra on paper; each must be remembered for a step.',
      },
      {
        id: 'at-the-side',
        label: 'at the side',
        reason:
          'Beside the line they join: room over the columns stays free, but no column is told.',
      },
    ],
  },
  {
    id: 'shift',
    label: 'Shift',
    options: [
      {
        id: 'zeros',
        label: 'zeros written',
        reason: 'The zero says that the digit is worth tens.',
      },
      { id: 'gap', label: 'gap', reason: 'Shorter; the place is told by position alone.' },
    ],
  },
  {
    id: 'zero-rows',
    label: 'Rows of zeros',
    matters: ({ operands }) =>
      operands.slice(1).some(({ digits }) => digits.length > 1 && digits.includes(0)),
    options: [
      {
        id: 'written',
        label: 'written',
        reason: 'Every digit of the lower factor has its row, so none is passed over.',
      },
      {
        id: 'left-out',
        label: 'left out',
        reason:
          'Shorter; the next line begins with a zero more, which is forgotten easily. Where lines are shifted by gaps, nothing would hold the place, and the row is written.',
      },
    ],
  },
];
