import type { Sort } from './sort.ts';

const FRACTIONS = {
  script: 'fractions',
  isFoundInPieces: false,
  isInPlaces: false,
  leavesRest: false,
  needsLikeParts: true,
} as const;

const PUT_TOGETHER = [
  'cross-products',
  'least-common-denominator',
  'mixed-separate',
  'mixed-improper',
];

/** Fractions and mixed numbers, with whole numbers beside them. */
export const OF_FRACTIONS: readonly Sort[] = [
  { ...FRACTIONS, id: 'sum of fractions', kind: 'sum', firstPapers: PUT_TOGETHER },
  { ...FRACTIONS, id: 'difference of fractions', kind: 'difference', firstPapers: PUT_TOGETHER },
  {
    ...FRACTIONS,
    id: 'product of fractions',
    kind: 'product',
    needsLikeParts: false,
    firstPapers: ['fraction-product', 'fraction-area'],
  },
  {
    ...FRACTIONS,
    id: 'quotient of fractions',
    kind: 'quotient',
    needsLikeParts: false,
    firstPapers: ['fraction-common-denominator', 'fraction-reciprocal'],
  },
];
