import { type Law, LAWS } from '../account/account.ts';
import type { Change, Fault, LawFrame } from './law.ts';
import { type AnyMove, type MoveId, MOVES } from './moves.ts';
import { isOnlyOrder } from './written.ts';

/** What each law says. */
const STATEMENTS: Readonly<Record<Law, string>> = {
  'place-value': 'Ten of one place are one of the next, and a number is the sum of its places.',
  distribute:
    'A product, or a share, of a sum is the sum of the products, or shares, of its parts.',
  reorder:
    'The addends of a sum, and the factors of a product, may stand in any order and in any brackets.',
  evaluate: 'What a sum, product, quotient or power of numbers makes may stand in its place.',
  'same-change':
    'A difference stays when both numbers change alike, a sum when one gives what the other takes.',
  'scale-both':
    'A quotient, and so a fraction, stays when both its numbers are multiplied by one factor.',
  inverse: 'Adding and taking away the same leaves everything as it was.',
  sign: 'A minus before a bracket turns every term in it, and minus by minus is plus.',
  square:
    'The square of a sum is a square, and a square with two strips and a corner for every part that is added.',
  'like-terms': 'Terms with the same letters are counted together.',
  'pair-factors': 'Two equal factors under a root are one of them before it.',
  unnamed: 'Both sides are worked out, and are the same amount.',
};

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

/** Every law with its statement, and its moves in the order in which they are tried. */
export const LAW_TABLE: ReadonlyMap<Law, LawRule> = new Map(
  LAWS.map((law) => {
    const moves = MOVES.filter((move) => move.law === law);
    return [law, { law, statement: STATEMENTS[law], moves }] as const;
  }),
);

/** A law with what it says. */
export interface LawRule {
  readonly law: Law;
  readonly statement: string;
  readonly moves: readonly AnyMove[];
}

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
  if (frame.inFigures && isNothing) return { ok: true, move: moves[0]!.id };
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

/** All laws that a change is an instance of, in the order in which laws are listed. */
export function lawsOf(change: Change, frame: LawFrame): readonly Law[] {
  return LAWS.filter((law) => checkLaw(law, change, frame).ok);
}
