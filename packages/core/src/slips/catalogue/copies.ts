import type { SlipIdea } from '../slip-idea.ts';

/** Slips in copying. */
export const COPIES_SLIPS: readonly SlipIdea[] = [
  {
    id: 'neighbours-exchanged',
    label: 'Neighbours exchanged in copying',
    mechanism: 'Two neighbouring figures of a number are exchanged when it is copied.',
    written: '64 for 46.',
    effect: 'amount',
    often: 1,
    examples: [
      { method: 'column-multiplication', problem: '46 × 58', at: 'operand-0.0', answer: '3712' },
    ],
  },
  {
    id: 'double-lost',
    label: 'One of two equal figures lost',
    mechanism: 'Of two equal figures beside each other one is not copied.',
    written: 'One figure fewer.',
    effect: 'amount',
    often: 1,
    feature: 'equal-figures',
    examples: [
      { method: 'column-addition', problem: '558 + 76', at: 'operand-0.1', answer: '134' },
    ],
  },
  {
    id: 'wrong-one-doubled',
    label: 'The wrong figure doubled',
    mechanism: 'Beside a pair of equal figures the other one is doubled.',
    written: 'The other figure twice.',
    effect: 'amount',
    often: 1,
    feature: 'equal-figures',
    examples: [
      { method: 'column-addition', problem: '558 + 76', at: 'operand-0.1', answer: '664' },
    ],
  },
  {
    id: 'look-alike',
    label: 'A look-alike copied',
    mechanism: 'A figure is copied as one that looks like it.',
    written: '7 for 1, 8 for 3, 9 for 6, 6 for 0.',
    effect: 'amount',
    often: 1,
    examples: [{ method: 'column-addition', problem: '52 + 36', at: 'operand-1.0', answer: '91' }],
  },
  {
    id: 'from-the-line-above',
    label: 'Taken from the line above',
    mechanism: 'A figure is copied from the line above.',
    written: 'A figure of the line above.',
    effect: 'amount',
    often: 1,
    examples: [{ method: 'column-addition', problem: '52 + 36', at: 'operand-1.0', answer: '84' }],
  },
];
