import type { School } from '../../account/account.ts';
import type { Numeral } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import type { Acceptance, SchoolSpec } from '../method-spec.ts';
import { expand } from './expand-work.ts';
import { expandSheet } from './expand-sheets.ts';
import { KIND_SLIPS, PRODUCT_SLIPS } from './letter-slips.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import {
  fittingOrder,
  laterStages,
  LOST_SIGN,
  MISSED_PRODUCT,
  START,
  TIDY,
  UNLIKE_GATHERED,
} from './schools.ts';
import { acceptsTerms, listOf } from './term-list.ts';

const acceptsProduct = acceptsTerms('product');

function isOfTwo(operand: Numeral): boolean {
  return listOf(operand).length === 2;
}

/** With the pair of its school, or else the first one in which both brackets have two terms. */
function orderOf(problem: Problem, school: School): readonly number[] | null {
  return fittingOrder(problem, school, (first, second) => isOfTwo(first) && isOfTwo(second));
}

/** Its four words name the products of two brackets of two terms, and no others. */
function accepts(problem: Problem): Acceptance {
  const accepted = acceptsProduct(problem);
  if (!accepted.ok || orderOf(problem, {})) return accepted;
  const other = problem.operands.findIndex((operand) => !isOfTwo(operand));
  const terms = listOf(problem.operands[other]!).length;
  return { ok: false, reason: { code: 'not-two-terms', bracket: other + 1, terms } };
}

/** A choice only where every pair would do. */
const FOIL_START: SchoolSpec = {
  ...START,
  matters: (problem) => START.matters!(problem) && problem.operands.every(isOfTwo),
};

export const expandFoil = defineMethod({
  id: 'expand-foil',
  family: 'polynomials',
  name: 'First, outer, inner, last',
  shortName: 'First to last',
  alsoCalled: ['FOIL', 'smiley face'],
  mind: 'The four words fit two brackets of two terms only, so the work starts with such a pair; a third bracket is taken in another way.',
  summary: 'The four products of two brackets of two terms, named by where their terms stand.',
  why: 'Two terms by two are four products; the words make sure of each of them.',
  medium: 'either',
  direction: 'first terms, outer terms, inner terms, last terms',
  freeOrder: false,
  bridge: [{ method: 'partial-products', school: { order: 'largest-first' } }],
  schools: [FOIL_START, TIDY, ...laterStages('arcs')],
  // No bracket of two terms is a single term.
  slips: [
    LOST_SIGN,
    MISSED_PRODUCT,
    ...PRODUCT_SLIPS.filter(({ id }) => id !== 'second-not-multiplied'),
    UNLIKE_GATHERED,
    ...KIND_SLIPS,
    slipOf('sum-joined-to-one-term'),
  ],
  stageOrder: (problem, school) => orderOf(problem, school) ?? [],
  phrases: polynomialPhrases.book,
  accepts,
  work: (scribe, problem, school) => expand(scribe, problem, school, 'foil'),
  sheet: expandSheet,
});
