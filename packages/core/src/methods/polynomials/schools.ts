import type { SchoolOption, SchoolSpec, SlipSpec } from '../method-spec.ts';

/** Whether like terms are gathered before the next bracket. */
export const TIDY: SchoolSpec = {
  id: 'tidy',
  label: 'Like terms',
  options: [
    {
      id: 'before-the-next',
      label: 'before the next bracket',
      reason: 'Fewer products to come; every stage ends in a short line.',
    },
    {
      id: 'at-the-end',
      label: 'only at the end',
      reason: 'Every product is seen to the last; the lines are long and terms are overlooked.',
    },
  ],
};

const ARCS: SchoolOption = {
  id: 'arcs',
  label: 'by arcs',
  reason: 'Nothing is drawn but arcs; works for any lengths.',
};

const GRID: SchoolOption = {
  id: 'grid',
  label: 'by a grid',
  reason: 'A cell for every product, so that none is overlooked.',
};

/** The way in which a third bracket and all that follow are taken. */
export function thenSchool(first: 'arcs' | 'grid'): SchoolSpec {
  const options: SchoolSpec['options'] = first === 'arcs' ? [ARCS, GRID] : [GRID, ARCS];
  return { id: 'then', label: 'Third bracket and on', options };
}

export const LOST_SIGN: SlipSpec = {
  id: 'lost-sign',
  label: 'Sign lost',
  mechanism: 'A minus does not travel with its term: the product gets the other sign.',
};

export const MISSED_PRODUCT: SlipSpec = {
  id: 'missed-product',
  label: 'Product left out',
  mechanism: 'One pair of terms is overlooked among many.',
};

export const UNLIKE_GATHERED: SlipSpec = {
  id: 'unlike-gathered',
  label: 'Unlike terms gathered',
  mechanism: 'A term is put together with one of other letters or another power.',
};

export const FIRST_TERM_ONLY: SlipSpec = {
  id: 'first-term-only',
  label: 'Minus reaches only the first term',
  mechanism: 'The minus before a bracket is not given to the terms behind the first.',
};

export const MISSED_TERM: SlipSpec = {
  id: 'missed-term',
  label: 'Term overlooked',
  mechanism: 'A term is not crossed and copied, and is missing from the result.',
};
