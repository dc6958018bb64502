import type { Sort } from './sort.ts';

const FIGURES = {
  script: 'figures',
  isFoundInPieces: false,
  isInPlaces: true,
  leavesRest: false,
  needsLikeParts: false,
} as const;

/** Numbers in figures with places. */
export const OF_FIGURES: readonly Sort[] = [
  {
    ...FIGURES,
    id: 'sum of figures',
    kind: 'sum',
    firstPapers: ['column-addition', 'partial-sums', 'left-to-right-addition'],
  },
  {
    ...FIGURES,
    id: 'difference of figures',
    kind: 'difference',
    firstPapers: ['decomposition', 'equal-additions', 'counting-up'],
  },
  {
    ...FIGURES,
    id: 'product of figures',
    kind: 'product',
    firstPapers: ['column-multiplication', 'grid-multiplication', 'lattice'],
  },
  {
    ...FIGURES,
    id: 'quotient of figures',
    kind: 'quotient',
    isFoundInPieces: true,
    leavesRest: true,
    firstPapers: ['long-division', 'short-division', 'partial-quotients'],
  },
  {
    ...FIGURES,
    id: 'root of figures',
    kind: 'root',
    isFoundInPieces: true,
    leavesRest: true,
    firstPapers: ['digit-pairs', 'prime-pairs'],
  },
];
