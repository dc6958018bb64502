import { slipOf } from '../../slips/catalogue.ts';
import type { SchoolSpec, SlipSpec } from '../method.ts';

/** Where a division stops. */
export const STOP: SchoolSpec = {
  id: 'stop',
  label: 'Stop',
  options: [
    {
      id: 'by-the-numbers',
      label: 'as the numbers ask',
      reason: 'Whole numbers leave a remainder; decimals go on until they end or repeat.',
    },
    {
      id: 'remainder',
      label: 'at the ones, with a remainder',
      reason: 'For things that cannot be split: what is left is told as it is.',
    },
    {
      id: 'decimals',
      label: 'when it ends or repeats',
      reason:
        'The whole quotient; figures that come again are found by their remainder, up to 240 of them.',
    },
    {
      id: 'tenths',
      label: 'at the tenths',
      reason: 'One figure after the point, and what is left.',
    },
    {
      id: 'hundredths',
      label: 'at the hundredths',
      reason: 'Two figures after the point, as money needs.',
    },
    {
      id: 'thousandths',
      label: 'at the thousandths',
      reason: 'Three figures after the point, and what is left.',
    },
  ],
};

export const SCALE_ONE: SlipSpec = slipOf('scale-one');

export const FORGET_REMAINDER: SlipSpec = slipOf('forget-remainder');

export const SKIP_ZERO: SlipSpec = slipOf('skip-zero');

export const REMAINDER_AS_TENTHS: SlipSpec = slipOf('remainder-as-tenths');
