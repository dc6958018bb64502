import type { SlipIdea } from '../slip-idea.ts';

/** Slips before any work. */
export const WHOLE_ITEM_SLIPS: readonly SlipIdea[] = [
  {
    id: 'other-operation',
    label: 'The other operation',
    mechanism: 'Another operation is worked than the one that is asked for.',
    written: 'The sum for the difference, the product for the sum.',
    effect: 'amount',
    often: 2,
    examples: [{ problem: '46 × 58', at: 'answer-0', answer: '104' }],
  },
  {
    id: 'given-number',
    label: 'A given number handed in',
    mechanism: 'One of the numbers of the question is taken for the answer.',
    written: 'A number of the question.',
    effect: 'amount',
    often: 1,
    examples: [{ problem: '46 × 58', at: 'operand-0', answer: '46' }],
  },
  {
    id: 'estimate-handed-in',
    label: 'The estimate handed in',
    mechanism: 'The estimate is taken for the answer.',
    written: 'The rounded answer.',
    effect: 'amount',
    often: 1,
    examples: [{ problem: '46 × 58', at: 'answer-0', answer: '3000' }],
  },
  {
    id: 'one-line-for-all',
    label: 'One line for the answer',
    mechanism: 'One line or one total of the work is taken for the answer.',
    written: 'A line of the work.',
    effect: 'amount',
    often: 1,
    examples: [
      { method: 'column-multiplication', problem: '46 × 58', at: 'answer-0', answer: '368' },
    ],
  },
  {
    id: 'answer-figures-exchanged',
    label: 'Figures of the answer exchanged',
    mechanism: 'Two neighbouring figures of the right answer are exchanged.',
    written: 'The answer with two figures exchanged.',
    effect: 'amount',
    often: 1,
    examples: [{ problem: '46 × 58', at: 'answer-2', answer: '6268' }],
  },
  {
    id: 'another-item',
    label: 'Another item’s answer',
    mechanism: 'The answer of another item stands here.',
    written: 'The answer of another item.',
    effect: 'amount',
    often: 1,
    examples: [],
  },
];
