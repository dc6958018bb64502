import type { School } from '../../account/account.ts';
import type { Problem } from '../../problem/problem.ts';
import type { SchoolOption, SchoolSpec, SlipSpec } from '../method-spec.ts';

/** Whether there are more than two brackets, so that one product goes on into the next. */
function hasStages({ operands }: Problem): boolean {
  return operands.length > 2;
}

/** Whether like terms are gathered before the next bracket. */
export const TIDY: SchoolSpec = {
  id: 'tidy',
  label: 'Like terms',
  matters: hasStages,
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

/** With which pair of brackets the work starts. */
export const START: SchoolSpec = {
  id: 'start',
  label: 'Start with',
  matters: hasStages,
  options: [
    {
      id: 'the-first-two',
      label: 'the first two brackets',
      reason: 'As they are read.',
    },
    {
      id: 'the-last-two',
      label: 'the last two brackets',
      reason: 'Good where the last two are alike or make a short product.',
    },
  ],
};

/** Brackets in the order of that school: from the left, or from the right. */
export function startOrder({ operands }: Problem, school: School): readonly number[] {
  const order = operands.map((_, operand) => operand);
  return school['start'] === 'the-last-two' ? order.reverse() : order;
}

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
  return { id: 'then', label: 'Third bracket and on', options, matters: hasStages };
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
