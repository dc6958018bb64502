import type { SlipIdea } from '../slip-idea.ts';

/** Slips with a point. */
export const POINTS_SLIPS: readonly SlipIdea[] = [
  {
    id: 'point-one-off',
    label: 'Point one place off',
    mechanism:
      'One figure too few is put after the point, so the answer is a whole place too large.',
    written: 'The point one place too far to the right.',
    effect: 'amount',
    often: 3,
    examples: [
      { method: 'column-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'partial-products', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'grid-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'lattice', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'crosswise', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'halving-doubling', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
    ],
  },
  {
    id: 'point-as-in-a-sum',
    label: 'Point as in a sum',
    mechanism: 'As many figures are put after the point as the factor with most of them has.',
    written: 'The point where a sum would have it.',
    effect: 'amount',
    often: 2,
    examples: [
      { method: 'column-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'partial-products', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'grid-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'lattice', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'crosswise', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
      { method: 'halving-doubling', problem: '3.6 × 20.5', at: 'answer-0', answer: '738' },
    ],
  },
  {
    id: 'points-misaligned',
    label: 'Misaligned',
    mechanism: 'Numbers with unlike tails are written under each other from the right.',
    written: 'Points that do not stand under each other.',
    effect: 'amount',
    often: 3,
    examples: [
      { method: 'column-addition', problem: '3.8 + 2.75', at: 'operand-0', answer: '313/100' },
    ],
  },
  {
    id: 'tail-not-filled',
    label: 'Missing tail not filled',
    mechanism: 'Where the minuend has no figure after the point, the lower one is brought down.',
    written: 'The lower figure under a blank.',
    effect: 'amount',
    often: 2,
    examples: [{ method: 'decomposition', problem: '5 − 1.75', at: 'answer-0', answer: '19/4' }],
  },
  {
    id: 'zeros-on-wrong-side',
    label: 'Zeros filled in on the wrong side',
    mechanism: 'Zeros are put before the figures after the point, not behind them.',
    written: '0.05 for 0.5.',
    effect: 'amount',
    often: 1,
    examples: [
      { method: 'column-addition', problem: '3.8 + 2.75', at: 'operand-0', answer: '583/100' },
    ],
  },
  {
    id: 'point-dropped',
    label: 'Point dropped',
    mechanism: 'The answer has no point.',
    written: 'Figures without a point.',
    effect: 'amount',
    often: 2,
    examples: [
      { method: 'column-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '7380' },
      { method: 'partial-products', problem: '3.6 × 20.5', at: 'answer-0', answer: '7380' },
      { method: 'grid-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '7380' },
      { method: 'lattice', problem: '3.6 × 20.5', at: 'answer-0', answer: '7380' },
      { method: 'crosswise', problem: '3.6 × 20.5', at: 'answer-0', answer: '7380' },
      { method: 'halving-doubling', problem: '3.6 × 20.5', at: 'answer-0', answer: '7380' },
    ],
  },
  {
    id: 'point-one-off-left',
    label: 'Point one place off the other way',
    mechanism:
      'One figure too many is put after the point, so the answer is a whole place too small.',
    written: 'The point one place too far to the left.',
    effect: 'amount',
    often: 2,
    examples: [
      { method: 'column-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '369/50' },
      { method: 'partial-products', problem: '3.6 × 20.5', at: 'answer-0', answer: '369/50' },
      { method: 'grid-multiplication', problem: '3.6 × 20.5', at: 'answer-0', answer: '369/50' },
      { method: 'lattice', problem: '3.6 × 20.5', at: 'answer-0', answer: '369/50' },
      { method: 'crosswise', problem: '3.6 × 20.5', at: 'answer-0', answer: '369/50' },
      { method: 'halving-doubling', problem: '3.6 × 20.5', at: 'answer-0', answer: '369/50' },
    ],
  },
];
