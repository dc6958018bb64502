import { ADDITION_SLIPS } from './catalogue/addition.ts';
import { COPIES_SLIPS } from './catalogue/copies.ts';
import { DIVISION_SLIPS } from './catalogue/division.ts';
import { FACTS_SLIPS } from './catalogue/facts.ts';
import { FRACTIONS_SLIPS } from './catalogue/fractions.ts';
import { FRACTION_PRODUCTS_SLIPS } from './catalogue/fraction-products.ts';
import { LETTERS_SLIPS } from './catalogue/letters.ts';
import { MULTIPLICATION_SLIPS } from './catalogue/multiplication.ts';
import { POINTS_SLIPS } from './catalogue/points.ts';
import { ROOTS_SLIPS } from './catalogue/roots.ts';
import { SUBTRACTION_SLIPS } from './catalogue/subtraction.ts';
import { WHOLE_ITEM_SLIPS } from './catalogue/whole-item.ts';
import type { SlipIdea } from './slip-idea.ts';

/**
 * Every slip that is known, one idea each, in the order in which explanations of an answer are given. A slip that no method
 * can make yet is here all the same; the methods say which they can.
 */
export const SLIP_IDEAS: readonly SlipIdea[] = [
  ...WHOLE_ITEM_SLIPS,
  ...ADDITION_SLIPS,
  ...SUBTRACTION_SLIPS,
  ...MULTIPLICATION_SLIPS,
  ...POINTS_SLIPS,
  ...DIVISION_SLIPS,
  ...FRACTIONS_SLIPS,
  ...FRACTION_PRODUCTS_SLIPS,
  ...LETTERS_SLIPS,
  ...ROOTS_SLIPS,
  ...FACTS_SLIPS,
  ...COPIES_SLIPS,
];

const BY_ID = new Map(SLIP_IDEAS.map((idea) => [idea.id, idea]));

/** A slip of a method as the catalogue tells it. */
export function slipOf(id: string): Pick<SlipIdea, 'id' | 'label' | 'mechanism'> {
  const { label, mechanism } = slipIdea(id);
  return { id, label, mechanism };
}

/** The idea of a slip; RangeError for an id that is not in the catalogue. */
export function slipIdea(id: string): SlipIdea {
  const idea = BY_ID.get(id);
  if (!idea) throw new RangeError(`slipIdea: "${id}" is not in the catalogue of slips`);
  return idea;
}
