import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { worthOf, type Frac } from '../fractions/fraction.ts';
import { TIDYING_SLIPS } from '../fractions/fraction-slips.ts';
import { ADDED_WHOLE, FORM, SIMPLIFY, TURNING_SLIPS } from '../fractions/schools.ts';
import { tidyUp } from '../fractions/tidy.ts';
import { wholesAndPartsApart } from './apart.ts';
import { acceptsFactors, asFractions, cancelled, multiplied, openFactors } from './factors.ts';
import { factorSheet } from './factor-sheet.ts';
import { productPhrases } from './product-words.ts';
import { CANCEL } from './schools.ts';

/** Rows of the paper: the factors, the same as fractions, then a row for everything that is cancelled. */
const [GIVEN, IMPROPER, CANCELLED] = [0, 1, 2];

export const fractionProduct = defineMethod({
  id: 'fraction-product',
  family: 'fraction-products',
  name: 'Tops and bottoms',
  shortName: 'Tops and bottoms',
  alsoCalled: ['straight across', 'numerator by numerator'],
  summary: 'Numerators are multiplied, and denominators; mixed numbers are fractions first.',
  why: 'A part of a part is as small as both denominators together say, and there are as many of them as both numerators together say.',
  leadsTo: 'Products of fractions with letters, where common factors are cancelled before.',
  medium: 'on paper',
  direction: 'as fractions, above, below; then the form of the answer',
  freeOrder: false,
  takesAllFactors: true,
  schools: [CANCEL, SIMPLIFY, FORM],
  slips: [
    slipOf('wholes-and-parts-apart'),
    ADDED_WHOLE,
    slipOf('same-side-cancelled'),
    slipOf('crossed-product'),
    slipOf('bottom-kept'),
    ...TIDYING_SLIPS,
    ...TURNING_SLIPS,
  ],
  phrases: productPhrases.book,
  accepts: acceptsFactors('product'),
  work,
  sheet: (trace: Trace): Sheet => factorSheet(trace, 'times'),
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const owed = openFactors(scribe, problem, GIVEN);
  const apart = wholesAndPartsApart(scribe, problem, owed);
  if (apart) return tidyUp(scribe, apart, school, IMPROPER + 1);
  const fractions = asFractions(scribe, problem, owed, { row: IMPROPER, sign: '×' });
  const isBefore = school['cancel'] === 'before';
  const { made: row, row: next } = isBefore
    ? cancelled(scribe, fractions, CANCELLED)
    : { made: fractions, row: CANCELLED };
  const made = multiplied(scribe, row.entry, slippedProduct(scribe, row.all), next);
  return tidyUp(scribe, { entry: made.entry, frac: made.frac, whole: null }, school, made.row);
}

/** What is multiplied with what: numerators and denominators, or as a learner has it. */
function slippedProduct(scribe: Scribe, all: readonly Frac[]) {
  const [first, second, ...more] = all;
  const tops = all.map(({ top }) => top);
  const bottoms = all.map(({ bottom }) => bottom);
  const at = where('answer', 0);
  const isTwo = first !== undefined && second !== undefined && more.length === 0;
  const across =
    isTwo && second.top !== 0n
      ? { top: first.top * second.bottom, bottom: first.bottom * second.top }
      : null;
  const product = { top: tops.reduce((a, b) => a * b), bottom: bottoms.reduce((a, b) => a * b) };
  const mayCross = across !== null && !worthOf(across).equals(worthOf(product));
  const crosses = scribe.slip('crossed-product', mayCross, { at, ahead: 1 });
  const isAlike = isTwo && first.bottom === second.bottom && first.bottom > 1n && product.top > 0n;
  const keeps = scribe.slip('bottom-kept', isAlike, { at, ahead: 1 });
  if (crosses && isTwo) {
    return {
      tops: [first.top, second.bottom],
      bottoms: [first.bottom, second.top],
      slip: 'crossed-product',
    };
  }
  if (keeps) return { tops, bottoms: bottoms.slice(0, 1), slip: 'bottom-kept' };
  return { tops, bottoms, slip: '' };
}
