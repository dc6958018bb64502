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

export const expandArcs = defineMethod({
  id: 'expand-arcs',
  family: 'polynomials',
  name: 'Every term with every term',
  shortName: 'Arcs',
  alsoCalled: ['multiplying out', 'expanding term by term', 'rainbows'],
  summary: 'Each term of one bracket is joined by an arc to each term of the other and multiplied.',
  why: 'The distributive law twice: every part of one factor is taken as often as every part of the other says.',
  leadsTo: 'Products of any length, and the question which brackets make a given product.',
  medium: 'on paper',
  direction: 'free; often one term of the first bracket after the other',
  freeOrder: true,
  bridge: [{ method: 'crosswise', school: {} }],
  schools: [
    {
      id: 'order',
      label: 'Order',
      options: [
        {
          id: 'term-by-term',
          label: 'term by term',
          reason: 'One term of the first bracket is done with before the next.',
        },
        {
          id: 'by-power',
          label: 'by power',
          reason: 'All products of one power together, as one-line multiplication gathers a place.',
        },
      ],
    },
    START,
    TIDY,
    ...laterStages('arcs'),
  ],
  slips: [
    LOST_SIGN,
    MISSED_PRODUCT,
    ...PRODUCT_SLIPS,
    UNLIKE_GATHERED,
    ...KIND_SLIPS,
    slipOf('sum-joined-to-one-term'),
  ],
  stageOrder: startOrder,
  linesLike: { rank: 6, moves: ['each-with-each'] },
  phrases: polynomialPhrases.book,
  accepts: acceptsTerms('product'),
  work: (scribe, problem, school) => expand(scribe, problem, school, 'arcs'),
  sheet: expandSheet,
});
