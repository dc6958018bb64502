import { slipOf } from '../../slips/catalogue.ts';
import type { SchoolSpec, SlipSpec } from '../method-spec.ts';

/** To which place the root is worked. */
export const STOP: SchoolSpec = {
  id: 'stop',
  label: 'Work to',
  options: [
    {
      id: 'two-places',
      label: 'two figures after the point',
      reason: 'Near enough for lengths that are measured; it ends before when nothing is left.',
    },
    {
      id: 'whole-number',
      label: 'a whole number, with what is left',
      reason: 'What is left tells how far the number is from a square.',
    },
    {
      id: 'one-place',
      label: 'one figure after the point',
      reason: 'One pair of zeros: the point is met once.',
    },
    {
      id: 'three-places',
      label: 'three figures after the point',
      reason: 'The doubled root grows by a figure each time, and so do the trials.',
    },
  ],
};

/** How the next digit is looked for. */
export const TRIALS: SchoolSpec = {
  id: 'trials',
  label: 'Trial digits',
  options: [
    {
      id: 'from-a-guess',
      label: 'from a guess',
      reason: 'What is there divided by the doubled root is never too small a guess.',
    },
    {
      id: 'one-by-one',
      label: 'one by one',
      reason: 'No guess is needed; large digits take long.',
    },
  ],
};

export const NOT_DOUBLED: SlipSpec = slipOf('not-doubled');

export const ONE_BOX: SlipSpec = slipOf('one-box');

export const BOTH_OUT: SlipSpec = slipOf('both-out');

export const UNPAIRED_LOST: SlipSpec = slipOf('unpaired-lost');

export const SMALLER_SQUARE: SlipSpec = slipOf('smaller-square-taken');

export const ONE_FIGURE: SlipSpec = slipOf('one-figure-down');

export const ZERO_LEFT_OUT: SlipSpec = slipOf('root-zero-left-out');

export const PAIRS_ADDED: SlipSpec = slipOf('pairs-added');
