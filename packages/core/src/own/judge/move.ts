import type { Law } from '../../account/account.ts';
import { type MoveId, moveSpec } from '../../laws/moves.ts';
import { type Used, usedText } from '../../laws/used.ts';
import { termsText } from '../../line/node-text.ts';
import type { Term } from '../../line/node.ts';

/** One move of a law used at one place of a line. */
export interface Move {
  readonly law: Law;
  readonly move: MoveId;
  /** What stood there, in the problem language. */
  readonly from: string;
  readonly to: string;
  /** What it was used on; null where the line shows it. */
  readonly used: Used | null;
  readonly words: MoveWords;
}

/** What is said of a move. */
export interface MoveWords {
  /** In a word or two. */
  readonly brief: string;
  readonly says: string;
  /** The same with the size of its change; null where none is told. */
  readonly change: string | null;
}

/** Moves of one kind, side by side. */
export type Found = readonly Move[];

/** A move as it is used on some terms. */
export function moveAt(
  id: MoveId,
  old: readonly Term[],
  made: readonly Term[],
  used: Used | null = null,
): Move {
  const { law, words } = moveSpec(id);
  return {
    law,
    move: id,
    from: termsText(old),
    to: termsText(made),
    used,
    words: {
      brief: words.brief,
      says: words.says,
      change: (used && words.by?.(usedText(used))) ?? null,
    },
  };
}

/** Two moves of one kind may stand side by side in a lawful line. */
export function kindOf({ law, move: id }: Move): string {
  return moveSpec(id).alike ?? law;
}
