import type { SlipIdea } from '../slip-idea.ts';

/** Slips with products and quotients of fractions and mixed numbers. */
export const FRACTION_PRODUCTS_SLIPS: readonly SlipIdea[] = [
  {
    id: 'wholes-and-parts-apart',
    label: 'Wholes and parts multiplied apart',
    mechanism: 'Wholes are multiplied by wholes and parts by parts, and nothing else.',
    written: 'A whole number beside the product of the fractions.',
    effect: 'amount',
    often: 3,
    examples: [
      { method: 'fraction-product', problem: '1 1/2 × 2 1/2', at: 'answer-0', answer: '9/4' },
    ],
  },
  {
    id: 'bottom-kept',
    label: 'Denominator kept',
    mechanism: 'The common denominator is kept, as in a sum.',
    written: 'The product of the numerators over the denominator that both have.',
    effect: 'amount',
    often: 2,
    examples: [{ method: 'fraction-product', problem: '3/5 × 2/5', at: 'answer-0', answer: '6/5' }],
  },
  {
    id: 'crossed-product',
    label: 'Multiplied across',
    mechanism: 'Each numerator is multiplied by the other denominator, as if it were a quotient.',
    written: 'Products that cross.',
    effect: 'amount',
    often: 2,
    examples: [
      { method: 'fraction-product', problem: '3/4 × 2/5', at: 'answer-0', answer: '15/8' },
    ],
  },
  {
    id: 'same-side-cancelled',
    label: 'Two numerators cancelled',
    mechanism: 'A common factor of two numerators is struck in both.',
    written: 'Both numerators smaller, the denominators as they were.',
    effect: 'amount',
    often: 1,
    examples: [
      {
        method: 'fraction-product',
        problem: '4/7 × 2/5',
        at: 'answer-0',
        answer: '2/35',
        school: { cancel: 'before' },
      },
      {
        method: 'fraction-reciprocal',
        problem: '4/7 ÷ 5/2',
        at: 'answer-0',
        answer: '2/35',
        school: { cancel: 'before' },
      },
    ],
  },
  {
    id: 'any-shading-counted',
    label: 'All shaded parts counted',
    mechanism:
      'Every part that is shaded one way or the other is counted, not those in both strips.',
    written: 'The parts of both strips over the parts of a whole.',
    effect: 'amount',
    often: 2,
    examples: [{ method: 'fraction-area', problem: '2/3 × 1/4', at: 'cell-0.0', answer: '3/4' }],
  },
  {
    id: 'dividend-turned',
    label: 'The wrong one turned',
    mechanism: 'What is divided is turned upside down, and not the divisor.',
    written: 'The first fraction turned, the second as it was.',
    effect: 'amount',
    often: 2,
    examples: [
      { method: 'fraction-reciprocal', problem: '3/4 ÷ 2/3', at: 'operand-1', answer: '8/9' },
    ],
  },
  {
    id: 'nothing-turned',
    label: 'Nothing turned',
    mechanism: 'The sign becomes a times, and the divisor stays as it was.',
    written: 'A product of the fractions as they are.',
    effect: 'amount',
    often: 2,
    examples: [
      { method: 'fraction-reciprocal', problem: '3/4 ÷ 2/3', at: 'operand-1', answer: '1/2' },
    ],
  },
  {
    id: 'both-turned',
    label: 'Both turned',
    mechanism: 'Both fractions are turned upside down.',
    written: 'Two fractions that are upside down.',
    effect: 'amount',
    often: 1,
    examples: [
      { method: 'fraction-reciprocal', problem: '3/4 ÷ 2/3', at: 'operand-1', answer: '2' },
    ],
  },
  {
    id: 'name-kept',
    label: 'The parts named again',
    mechanism: 'The counts are divided, and the common denominator is written under the result.',
    written: 'The quotient of the counts over the common denominator.',
    effect: 'amount',
    often: 3,
    examples: [
      {
        method: 'fraction-common-denominator',
        problem: '3/4 ÷ 2/3',
        at: 'answer-0',
        answer: '3/32',
      },
    ],
  },
  {
    id: 'counts-exchanged',
    label: 'Counts exchanged',
    mechanism: 'The count of the divisor is divided by the other one.',
    written: 'The quotient upside down.',
    effect: 'amount',
    often: 2,
    examples: [
      {
        method: 'fraction-common-denominator',
        problem: '3/4 ÷ 2/3',
        at: 'answer-0',
        answer: '8/9',
      },
    ],
  },
];
