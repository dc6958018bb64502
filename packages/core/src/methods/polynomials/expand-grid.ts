import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { expand } from './expand-work.ts';
import { expandSheet } from './expand-sheets.ts';
import { KIND_SLIPS, PRODUCT_SLIPS } from './letter-slips.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import {
  LOST_SIGN,
  MISSED_PRODUCT,
  START,
  startOrder,
  laterStages,
  TIDY,
  UNLIKE_GATHERED,
} from './schools.ts';
import { acceptsTerms } from './term-list.ts';

export const expandGrid = defineMethod({
  id: 'expand-grid',
  family: 'polynomials',
  name: 'Grid of terms',
  shortName: 'Grid of terms',
  alsoCalled: ['box method for brackets', 'area model with letters'],
  mind: 'The cells hold products of terms, not of digits; there is no carrying between them.',
  summary:
    'The terms of both brackets, with their signs, around a grid; a product in each cell; like terms put together.',
  why: 'A rectangle is made of the rectangles into which its sides cut it; a negative term counts its cells against the rest.',
  leadsTo: 'Factoring: the cells are known and the sides are looked for.',
  medium: 'on paper',
  direction: 'free',
  freeOrder: true,
  hasCells: true,
  bridge: [{ method: 'grid-multiplication', school: {} }],
  schools: [START, TIDY, ...laterStages('grid')],
  slips: [
    LOST_SIGN,
    MISSED_PRODUCT,
    ...PRODUCT_SLIPS,
    UNLIKE_GATHERED,
    ...KIND_SLIPS,
    slipOf('sum-joined-to-one-term'),
  ],
  stageOrder: startOrder,
  phrases: polynomialPhrases.book,
  accepts: acceptsTerms('product'),
  work: (scribe, problem, school) => expand(scribe, problem, school, 'grid'),
  sheet: expandSheet,
});
