import type { Sort } from './sort.ts';

const LETTERS = {
  script: 'terms',
  isFoundInPieces: false,
  isInPlaces: false,
  leavesRest: false,
  needsLikeParts: false,
} as const;

const GATHERED = ['like-terms-row', 'like-terms-columns'];

/** Terms with letters. */
export const OF_LETTERS: readonly Sort[] = [
  { ...LETTERS, id: 'sum of terms', kind: 'sum', firstPapers: GATHERED },
  { ...LETTERS, id: 'difference of terms', kind: 'difference', firstPapers: GATHERED },
  {
    ...LETTERS,
    id: 'product of terms',
    kind: 'product',
    firstPapers: ['expand-arcs', 'expand-grid', 'expand-foil'],
  },
];
