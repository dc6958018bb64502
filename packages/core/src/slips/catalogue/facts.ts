import type { SlipIdea } from '../slip-idea.ts';

/** Slips of a single fact. */
export const FACTS_SLIPS: readonly SlipIdea[] = [
  {
    id: 'wrong-fact',
    label: 'Wrong fact',
    mechanism: 'A fact is taken for another number, in none of the known ways.',
    written: 'Another number, which its address names.',
    effect: 'amount',
    often: 1,
    examples: [],
  },
  {
    id: 'fact-one-row-off',
    label: 'Fact one row off',
    mechanism: 'A product is taken from the row above or below.',
    written: '(a ± 1) · b.',
    effect: 'amount',
    often: 3,
    examples: [
      { method: 'column-multiplication', problem: '46 × 58', at: 'cell-0.0', answer: '2676' },
    ],
  },
  {
    id: 'fact-one-column-off',
    label: 'Fact one column off',
    mechanism: 'A product is taken from the column before or after.',
    written: 'a · (b ± 1).',
    effect: 'amount',
    often: 3,
    examples: [
      { method: 'column-multiplication', problem: '46 × 58', at: 'cell-0.0', answer: '2674' },
    ],
  },
  {
    id: 'fact-added',
    label: 'Added for multiplied',
    mechanism: 'Two figures are added where they should be multiplied.',
    written: 'a + b.',
    effect: 'amount',
    often: 2,
    examples: [
      { method: 'column-multiplication', problem: '46 × 58', at: 'cell-0.0', answer: '2634' },
    ],
  },
  {
    id: 'times-zero-is-it',
    label: 'n · 0 is n',
    mechanism: 'A figure times 0 is thought to be that figure.',
    written: 'The figure itself.',
    effect: 'amount',
    often: 2,
    feature: 'zero-below',
    examples: [
      { method: 'column-multiplication', problem: '406 × 8', at: 'cell-1.0', answer: '3328' },
    ],
  },
  {
    id: 'fact-figures-turned',
    label: 'Figures of a fact turned',
    mechanism: 'The figures of a product are exchanged.',
    written: '65 for 56.',
    effect: 'amount',
    often: 1,
    examples: [
      { method: 'column-multiplication', problem: '46 × 58', at: 'cell-0.0', answer: '2704' },
    ],
  },
  {
    id: 'sum-one-off',
    label: 'A sum one off',
    mechanism: 'The sum of two figures is one too large or too small.',
    written: 'One more or less.',
    effect: 'amount',
    often: 2,
    examples: [{ method: 'column-addition', problem: '52 + 36', at: 'place-0', answer: '89' }],
  },
  {
    id: 'difference-one-off',
    label: 'A difference one off',
    mechanism: 'The difference of two figures is one too large or too small.',
    written: 'One more or less.',
    effect: 'amount',
    often: 2,
    examples: [{ method: 'decomposition', problem: '358 − 127', at: 'place-0', answer: '232' }],
  },
];
