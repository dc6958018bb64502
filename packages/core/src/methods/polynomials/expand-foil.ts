import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import type { Acceptance } from '../method-spec.ts';
import { expand } from './expand-work.ts';
import { expandSheet } from './expand-sheets.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import { laterStages, LOST_SIGN, MISSED_PRODUCT, TIDY, UNLIKE_GATHERED } from './schools.ts';
import { acceptsTerms, listOf } from './term-list.ts';

const acceptsProduct = acceptsTerms('product');

/** Its four words name the products of two brackets of two terms, and no others. */
function accepts(problem: Problem): Acceptance {
  const accepted = acceptsProduct(problem);
  if (!accepted.ok) return accepted;
  const other = problem.operands.slice(0, 2).findIndex((operand) => listOf(operand).length !== 2);
  return other < 0
    ? accepted
    : {
        ok: false,
        reason: {
          code: 'not-two-terms',
          bracket: other + 1,
          terms: listOf(problem.operands[other]!).length,
        },
      };
}

export const expandFoil = defineMethod({
  id: 'expand-foil',
  family: 'polynomials',
  name: 'First, outer, inner, last',
  shortName: 'First to last',
  alsoCalled: ['FOIL', 'smiley face'],
  mind: 'The four words fit two brackets of two terms only; a third bracket is taken in another way.',
  summary: 'The four products of two brackets of two terms, named by where their terms stand.',
  why: 'Two terms by two are four products; the words make sure of each of them.',
  medium: 'either',
  direction: 'first terms, outer terms, inner terms, last terms',
  freeOrder: false,
  bridge: [{ method: 'partial-products', school: { order: 'largest-first' } }],
  schools: [TIDY, ...laterStages('arcs')],
  slips: [LOST_SIGN, MISSED_PRODUCT, UNLIKE_GATHERED],
  phrases: polynomialPhrases.book,
  accepts,
  work: (scribe, problem, school) => expand(scribe, problem, school, 'foil'),
  sheet: expandSheet,
});
