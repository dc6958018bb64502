import { EQUAL_ADDENDS } from './distribute/equal-addends.ts';
import { JUMPS } from './inverse/jumps.ts';
import { DISTRIBUTED } from './distribute/distribute.ts';
import { EACH_WITH_EACH } from './distribute/each-with-each.ts';
import { FACTOR_OUT } from './distribute/factor-out.ts';
import { OVERSHOOT } from './evaluate/overshoot.ts';
import { PARTS } from './evaluate/parts.ts';
import { WORKED_OUT } from './evaluate/worked-out.ts';
import { ADD_TAKE_BACK } from './inverse/add-take-back.ts';
import { FIND_PART } from './inverse/find-part.ts';
import { LIKE_TERMS } from './like-terms/like-terms.ts';
import type { MoveSpec } from './move-spec.ts';
import { PAIR_FACTORS } from './pair-factors/pair-factors.ts';
import { PLACES } from './place-value/places.ts';
import { FACTORS_MOVED } from './reorder/factors-moved.ts';
import { ORDER } from './reorder/order.ts';
import { GIVE_AND_TAKE } from './same-change/give-and-take.ts';
import { SAME_CHANGE } from './same-change/same-change.ts';
import { DIVIDE_BY_FACTORS } from './scale-both/divide-by-factors.ts';
import { OTHER_WRITING } from './scale-both/other-writing.ts';
import { RENAME } from './scale-both/rename.ts';
import { SCALE } from './scale-both/scale.ts';
import { WHOLE_AS_PARTS } from './scale-both/whole-as-parts.ts';
import { SIGN } from './sign/sign.ts';
import { SQUARE } from './square/square.ts';
import { UNNAMED } from './unnamed/unnamed.ts';

/**
 * Every move, in the order in which readings are told where several hold, and in which the moves of a law are tried. A move
 * is added by its file and its line here.
 */
const MOVE_LIST = [
  ADD_TAKE_BACK,
  FIND_PART,
  JUMPS,
  SIGN,
  WORKED_OUT,
  LIKE_TERMS,
  PLACES,
  PARTS,
  OVERSHOOT,
  SAME_CHANGE,
  GIVE_AND_TAKE,
  DISTRIBUTED,
  EACH_WITH_EACH,
  SQUARE,
  FACTOR_OUT,
  EQUAL_ADDENDS,
  PAIR_FACTORS,
  ORDER,
  SCALE,
  RENAME,
  WHOLE_AS_PARTS,
  DIVIDE_BY_FACTORS,
  OTHER_WRITING,
  FACTORS_MOVED,
  UNNAMED,
] as const;

export type MoveId = (typeof MOVE_LIST)[number]['id'];

/** A move with the ids of all as its type. */
export type AnyMove = MoveSpec<MoveId>;

export const MOVES: readonly AnyMove[] = MOVE_LIST;

export const MOVE_IDS: readonly MoveId[] = MOVES.map(({ id }) => id);

const BY_ID: ReadonlyMap<MoveId, AnyMove> = new Map(MOVES.map((move) => [move.id, move]));

export function moveSpec(id: MoveId): AnyMove {
  return BY_ID.get(id)!;
}
