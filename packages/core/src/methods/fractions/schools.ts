import { slipOf } from '../../slips/catalogue.ts';
import type { SchoolSpec, SlipSpec } from '../method-spec.ts';

/** How a common denominator is found. */
export const FIND: SchoolSpec = {
  id: 'find',
  label: 'Common denominator',
  options: [
    {
      id: 'multiples',
      label: 'by listing multiples',
      reason: 'Nothing but the tables is needed; long lists for large numbers.',
    },
    {
      id: 'primes',
      label: 'by prime factors',
      reason: 'Sure for any numbers; the primes must be found first.',
    },
  ],
};

/** How the greatest common factor of a fraction is found. */
export const SIMPLIFY: SchoolSpec = {
  id: 'simplify',
  label: 'Simplify',
  options: [
    {
      id: 'listing-factors',
      label: 'by listing factors',
      reason: 'The greatest common one is seen; every factor must be listed.',
    },
    {
      id: 'repeated-factors',
      label: 'by one common factor after another',
      reason: 'Small divisions on sight; one may stop too early.',
    },
    {
      id: 'greatest-common-factor',
      label: 'by dividing with remainder',
      reason: 'Short for any numbers; why it works is another lesson.',
    },
  ],
};

/** The form of the answer. */
export const FORM: SchoolSpec = {
  id: 'answer',
  label: 'Answer',
  options: [
    {
      id: 'mixed',
      label: 'as a mixed number',
      reason: 'Its size is seen at once.',
    },
    {
      id: 'fraction',
      label: 'as a fraction',
      reason: 'Ready for further work.',
    },
  ],
};

export const TOPS_AND_BOTTOMS: SlipSpec = slipOf('tops-and-bottoms');

export const WHOLE_AS_TEN: SlipSpec = slipOf('whole-as-ten');

export const WHOLE_KEPT: SlipSpec = slipOf('whole-kept');

export const ADDED_WHOLE: SlipSpec = slipOf('whole-added');

/** Slips in turning parts back into wholes. */
export const TURNING_SLIPS: readonly SlipSpec[] = [
  'whole-lost-turning-back',
  'rest-and-quotient-exchanged',
].map(slipOf);
