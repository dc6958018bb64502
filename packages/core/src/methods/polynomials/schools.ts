import { slipOf } from '../../slips/catalogue.ts';
import type { School } from '../../account/account.ts';
import type { Numeral } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import type { SchoolOption, SchoolSpec, SlipSpec } from '../method-spec.ts';

/** Whether a problem has at least so many brackets. */
function atLeast(brackets: number) {
  return ({ operands }: Problem): boolean => operands.length >= brackets;
}

/** Whether like terms are gathered before the next bracket. */
export const TIDY: SchoolSpec = {
  id: 'tidy',
  label: 'Tidy',
  matters: atLeast(3),
  options: [
    {
      id: 'before-the-next',
      label: 'each stage',
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
  matters: atLeast(3),
  options: [
    {
      id: 'the-first-two',
      label: 'first two',
      reason: 'As they are read.',
    },
    {
      id: 'the-last-two',
      label: 'last two',
      reason: 'Good where the last two are alike or make a short product.',
    },
    {
      id: 'first-and-last',
      label: 'first and last',
      reason: 'Good where these two differ in one sign only, so that their middle terms cancel.',
    },
  ],
};

/** Brackets in the order of that school: the pair to start with, then the others as they stand next to it. */
export function startOrder(problem: Problem, school: School): readonly number[] {
  return orderFrom(problem, school['start']);
}

/**
 * The same for a method that works only some pairs: the first order that starts with such a pair, the one of
 * the school before all others; null when there is none.
 */
export function fittingOrder(
  problem: Problem,
  school: School,
  fits: (first: Numeral, second: Numeral) => boolean,
): readonly number[] | null {
  const starts = [school['start'], ...START.options.map(({ id }) => id)];
  const orders = starts.map((start) => orderFrom(problem, start));
  const { operands } = problem;
  return orders.find(([a = 0, b = 0]) => fits(operands[a]!, operands[b]!)) ?? null;
}

function orderFrom({ operands }: Problem, start: string | undefined): readonly number[] {
  const order = operands.map((_, operand) => operand);
  const last = order.length - 1;
  switch (start) {
    case 'the-last-two':
      return [last - 1, last, ...order.slice(0, -2).reverse()];
    case 'first-and-last':
      return [0, last, ...order.slice(1, -1)];
    default:
      return order;
  }
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

/** What is chosen for each stage after the first; the last of them also for all that follow. */
const LATER = [
  { id: 'third', label: 'Third bracket' },
  { id: 'fourth', label: 'Fourth bracket' },
  { id: 'fifth', label: 'Fifth bracket and on' },
] as const;

/** The ways in which a third bracket and those that follow are taken, a choice for each. */
export function laterStages(usual: 'arcs' | 'grid'): readonly SchoolSpec[] {
  const options: SchoolSpec['options'] = usual === 'arcs' ? [ARCS, GRID] : [GRID, ARCS];
  return LATER.map((school, k) => ({ ...school, options, matters: atLeast(k + 3) }));
}

/** How a stage after the first is worked; stages are counted from 1. */
export function wayOfStage(number: number, school: School): 'arcs' | 'grid' {
  const { id } = LATER[Math.min(number - 2, LATER.length - 1)]!;
  return school[id] === 'grid' ? 'grid' : 'arcs';
}

export const LOST_SIGN: SlipSpec = {
  ...slipOf('lost-sign'),
  mechanism: 'A minus does not travel with its term: the product gets the other sign.',
};

export const MISSED_PRODUCT: SlipSpec = slipOf('missed-product');

export const UNLIKE_GATHERED: SlipSpec = slipOf('unlike-gathered');

export const FIRST_TERM_ONLY: SlipSpec = slipOf('first-term-only');

export const MINUS_TWICE: SlipSpec = slipOf('minus-used-twice');

export const MISSED_TERM: SlipSpec = slipOf('missed-term');
