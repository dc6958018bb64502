import { LAWS, type Law } from '../account/account.ts';
import { type Change, type Fault, type LawFrame, type LawRule, type MoveId } from './law.ts';
import { EVALUATE, INVERSE, isAlike, REORDER, SAME_CHANGE } from './numbers.ts';
import { PLACE_VALUE } from './places.ts';
import { DISTRIBUTE, LIKE_TERMS, PAIR_FACTORS, SCALE_BOTH, SQUARE, UNNAMED } from './products.ts';
import { SIGN } from './signs.ts';

/** Every law with its statement, its moves, and what makes a change an instance of it. */
const RULES: readonly LawRule[] = [
  PLACE_VALUE,
  DISTRIBUTE,
  REORDER,
  EVALUATE,
  SAME_CHANGE,
  SCALE_BOTH,
  INVERSE,
  SIGN,
  SQUARE,
  LIKE_TERMS,
  PAIR_FACTORS,
  UNNAMED,
];

/**
 * Pairs of laws of which one change can be an instance of both; either name is then true.
 * - Amounts of places that are put together are also a sum that is worked out: 40 + 8 = 48.
 * - Opposites that are let go are also a sum that is worked out: 5 + 387 − 387 = 5.
 * - A term that is written with its sign is also worked out, being one amount for one.
 * - A whole that becomes parts beside others is also a sum that is worked out: 2 + 1/3 = 7/3; and a whole with a part
 *   is a mixed number either way.
 * - Two opposites that are put beside an amount are also that amount with more and something taken back.
 * - A square of a sum is also a power that is worked out, and a square is a pair of factors: (80+6)² = 86².
 */
export const OF_TWO_LAWS: readonly (readonly [Law, Law])[] = [
  ['place-value', 'evaluate'],
  ['inverse', 'evaluate'],
  ['inverse', 'like-terms'],
  ['sign', 'evaluate'],
  ['scale-both', 'evaluate'],
  ['scale-both', 'place-value'],
  ['same-change', 'evaluate'],
  ['square', 'evaluate'],
  ['square', 'pair-factors'],
];

export const LAW_TABLE: ReadonlyMap<Law, LawRule> = new Map(RULES.map((rule) => [rule.law, rule]));

/** The move by which a change is an instance of a law, or what is wrong. */
export type LawVerdict =
  { readonly ok: true; readonly move: MoveId } | { readonly ok: false; readonly fault: string };

/** Whether a change is an instance of a law. Amounts that are worth nothing are no part of it. */
export function checkLaw(law: Law, change: Change, frame: LawFrame): LawVerdict {
  const { moves } = LAW_TABLE.get(law)!;
  const live: Change = {
    // A figure of nothing on a paper may still be of terms, which what comes after it then holds too.
    takes: change.takes.filter(
      ({ worth, terms }) => !worth.isZero || (frame.inFigures && terms.size > 0),
    ),
    gives: change.gives.filter(({ worth }) => !worth.isZero),
  };
  const isNothing = [...change.takes, ...change.gives].every(({ worth }) => worth.isZero);
  // Where a factor is nothing every step moves nothing.
  if (frame.inFigures && isNothing) return { ok: true, move: moves[0].id };
  let first: Fault = null;
  if (law !== 'reorder' && !frame.inFigures && isOnlyOrder(live)) {
    return { ok: false, fault: 'only order and brackets change' };
  }
  for (const { id, check } of moves) {
    const fault = check(live, frame);
    if (fault === null) return { ok: true, move: id };
    first ??= fault;
  }
  return { ok: false, fault: first! };
}

/** Whether the same amounts are there before and after. */
export function isOnlyOrder({ takes, gives }: Change): boolean {
  const rest = [...takes];
  const isThere = (give: Change['gives'][number]) => {
    const at = rest.findIndex((take) => isAlike(take, give));
    if (at >= 0) rest.splice(at, 1);
    return at >= 0;
  };
  return takes.length === gives.length && gives.every(isThere);
}

/** All laws that a change is an instance of, in the order in which laws are listed. */
export function lawsOf(change: Change, frame: LawFrame): readonly Law[] {
  return LAWS.filter((law) => checkLaw(law, change, frame).ok);
}
