import type { ComparisonDocument } from '@levee/core';
import { comparison } from './demo-comparison.ts';

/** Plot areas with unknown sides, and square plots of a known area. */
export const LETTERS_AND_ROOTS: readonly ComparisonDocument[] = [
  comparison({
    title: 'A plot with unknown sides',
    story:
      'inspection plot: one side 4 paces more than a peg spacing, the other 2 less than three of them',
    unit: '',
    problem: '(x + 4)(3x − 2)',
    estimate: null,
    papers: [['expand-arcs'], ['expand-grid'], ['expand-foil']],
    steps: [3, 3, 3],
  }),
  comparison({
    title: 'Three brackets, two at a time',
    story: 'earth for a bank whose three measures all change with x',
    unit: '',
    problem: '(x − 2)(x + 5)(x − 4)',
    estimate: null,
    papers: [
      ['expand-arcs', { tidy: 'before-the-next', third: 'grid' }],
      ['expand-arcs', { tidy: 'at-the-end' }],
    ],
    steps: [8, 5],
  }),
  comparison({
    title: 'Seed mixes with unknown bags',
    story: 'two orders of grass-seed mixes, the second one sent back',
    unit: '',
    problem: '(x^3 + 5x^2) − (2x^2 − 7x)',
    estimate: null,
    papers: [['like-terms-row'], ['like-terms-columns']],
    steps: [5, 2],
  }),
  comparison({
    title: 'Sandbags, ten read as x',
    story: 'the 46 pallets of 58 once more, without carrying',
    unit: '',
    problem: '(4x + 6)(5x + 8)',
    estimate: null,
    papers: [['expand-grid'], ['expand-arcs', { order: 'by-power' }], ['expand-foil']],
    steps: [2, 2, 2],
  }),
  comparison({
    title: 'Side of a square inspection plot',
    story: 'a square plot of 7396 square paces',
    unit: 'paces',
    problem: '√7396',
    estimate: {
      operands: ['8100'],
      value: '90',
      judgement: 'right size is enough',
      beforeWorking: true,
    },
    papers: [['digit-pairs'], ['prime-pairs']],
    steps: [4, 4],
  }),
  comparison({
    title: 'A plot whose side does not come out',
    story: 'a square plot of 72 square paces',
    unit: 'paces',
    problem: '√72',
    estimate: { operands: ['64'], value: '8', judgement: 'close', beforeWorking: true },
    papers: [['digit-pairs', { stop: 'one-place', trials: 'one-by-one' }], ['prime-pairs']],
    steps: [7, 7],
  }),
];
