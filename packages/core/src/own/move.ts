import type { Law } from '../account/account.ts';
import type { MoveId } from '../laws/law.ts';
import type { Term } from './node.ts';
import { termsText } from './node-text.ts';

/** One law used at one place of a line. */
export interface Move {
  readonly law: Law;
  readonly move: MoveId;
  /** What stood there, in the problem language. */
  readonly from: string;
  readonly to: string;
  /** What it was used on, where that is not seen in the line: `58 = 60 − 2`. */
  readonly with: string | null;
}

/** Moves of one kind, side by side. */
export type Found = readonly Move[];

/** What a step is looked at beside. */
export interface Page {
  readonly base: number;
  /** The worths of the numbers that stand in the problem and in the lines so far. */
  readonly numbers: ReadonlySet<string>;
}

/** A recogniser: how new terms can come from old ones that are worth the same; nothing where it is not its move. */
export type Recogniser = (
  old: readonly Term[],
  made: readonly Term[],
  page: Page,
) => readonly Found[];

export function move(
  [law, id]: readonly [Law, MoveId],
  old: readonly Term[],
  made: readonly Term[],
  used: string | null = null,
): Move {
  return { law, move: id, from: termsText(old), to: termsText(made), with: used };
}

/** Kinds of move that count as one law when they stand side by side. */
const ALIKE: Partial<Record<MoveId, string>> = {
  'worked-out': 'put together',
  'like-terms': 'put together',
  'add-take-back': 'put together',
  places: 'taken apart',
  parts: 'taken apart',
  overshoot: 'taken apart',
};

/** Two moves of one kind may stand side by side in a lawful line. */
export function kindOf({ law, move: id }: Move): string {
  return ALIKE[id] ?? law;
}
