import type { Hop, Law } from '../../account/account.ts';
import type { Stands } from '../../account/line-mark.ts';
import type { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Move } from '../judge/move.ts';
import type { Term } from '../../line/node.ts';
import type { Amounted } from './follow.ts';
import type { SpaceShape } from './grid.ts';
import type { Held, Span } from './held.ts';

/** One step of the ledger before its cells are known: what goes and what comes. */
export interface LineDraft {
  readonly n: number;
  readonly law: Law;
  readonly move: Move | null;
  readonly takes: readonly Live[];
  readonly gives: readonly Live[];
  /** Whether it stands in a line between, which is not written. */
  readonly isBetween: boolean;
}

/** A number of the problem as it is owed, what lies between two points of its line, or some of the problem's cells. */
export interface Owed {
  readonly operand: number;
  readonly between: Span | null;
  readonly cells?: ReadonlySet<number>;
}

/** How the amounts of a problem are laid out, and how they go from old terms to new ones. */
export interface AccountLaying {
  /** The terms of the problem with what they hold; null where they are not laid out. */
  readonly start: (terms: readonly Term[]) => readonly Live[] | null;
  /** What each new term holds, in their order. */
  readonly follow: (
    old: readonly Amounted[],
    made: readonly Term[],
    move: Move | null,
  ) => readonly Held[];
  /** What parts of a term hold that is cut along one side of its shape; null where it has no such side. */
  readonly along: (live: Amounted, side: number, parts: readonly Exact[]) => readonly Held[] | null;
  /** How the numbers of the problem span lines; null where cells are all there is. */
  readonly shape: SpaceShape | null;
}

/** What a line does, and what is there after it. */
export interface Lived {
  readonly drafts: readonly LineDraft[];
  readonly live: readonly Live[];
}

/** What is there when a line is drafted. */
export interface At {
  readonly problem: Problem;
  readonly laying: AccountLaying;
  readonly live: readonly Live[];
}

/** A statement that stands aside, both sides with the sign that it goes into the total with. */
export interface Aside {
  readonly n: number;
  readonly left: readonly Term[];
  readonly right: readonly Term[];
  /** Whether it goes in with the other sign than it is written with. */
  readonly isTurned: boolean;
}

/** A term that is there, with what it holds; from the start what is owed. */
export interface Live extends Amounted {
  /** Which number of the problem it is from the start; null for what was written. */
  readonly owed: Owed | 'all' | null;
  /** Its number in its line, from 0; behind an equals sign inside the line from {@link BEHIND} on. */
  readonly column: number;
  /** What is written for it, where that is not the term itself. */
  readonly stands?: Stands;
  /** The line that it stands on, where that is not the one of its step. */
  readonly row?: number;
  /** For a jump, where it starts and where it lands. */
  readonly hop?: Hop;
}

/** A statement as it stands on its line. */
export function statementOf({ left, right }: Pick<Aside, 'left' | 'right'>): Stands {
  return { kind: 'statement', sides: [left, right] };
}
