import type { Law } from '../account/account.ts';
import { type Exact } from '../exact/exact.ts';
import type { Factor, Node, Term } from '../line/node.ts';
import type { Change, Fault, LawFrame } from './law.ts';
import type { Used } from './used.ts';

/** What a step is looked at beside. */
export interface Page {
  readonly base: number;
  /** The worths of the numbers that stand in the problem and in the lines so far. */
  readonly numbers: ReadonlySet<string>;
}

/** How a move fits a change from one line to the next. */
export interface Fit {
  /** What it was used on; null where the line shows it. */
  readonly used: Used | null;
}

/** A move that fits as the line shows it. */
export const FITS: Fit = { used: null };

/** Whether new terms that are worth the same come from old ones by a move. */
export type Recogniser = (old: readonly Term[], made: readonly Term[], page: Page) => Fit | null;

/** The numbers of the line that is to be reached, and of the line that is left: what a step may aim at. */
export interface Aim {
  readonly base: number;
  readonly bottoms: readonly bigint[];
  /** The numbers that multiply or divide there. */
  readonly factors: readonly Exact[];
  /** Those that divide. */
  readonly divisors: readonly Exact[];
  /** The products that stand there, by their keys. */
  readonly products: ReadonlySet<string>;
}

/** What a term can become by a move; `variant` tells ways apart that may be taken at several terms at once. */
export interface Written {
  readonly variant: string;
  readonly terms: readonly Term[];
}

/** Several terms of a line put together by a move. */
export interface Gathered {
  readonly terms: readonly Term[];
  /** Which terms became which. */
  readonly changes: readonly (readonly [old: readonly Term[], made: readonly Term[]])[];
}

/** What each new term holds of the account where two numbers change alike or are laid end to end. */
export type Laying = 'same to both' | 'one to the other' | 'jumps';

/**
 * A finer move of a law: all that is known of it. Everything that deals with moves (the check of a law, the search for
 * what a line does, what is said, what its terms hold) is compiled from these records and asks for nothing by name.
 */
export interface MoveSpec<Id extends string = string> {
  readonly id: Id;
  readonly law: Law;
  readonly statement: string;
  readonly words: {
    /** In a word or two, for the margin of a paper. */
    readonly brief: string;
    /** What it is called beside a line. */
    readonly says: string;
    /** The same, where it is told by how much numbers change. */
    readonly by?: (change: string) => string;
  };
  /** Whether a change is an instance of it, or what is wrong. Amounts worth nothing are left out before. */
  readonly check: (change: Change, frame: LawFrame) => Fault;

  /** How a group of terms comes from another. */
  readonly recognise?: Recogniser;
  /** The same number in another writing: where one is found, no other move is looked for. */
  readonly rewrites?: Recogniser;
  /** How some factors of a product come from others that multiply to the same; the first move that fits is the one. */
  readonly ofFactors?: (old: readonly Factor[], made: readonly Factor[], page: Page) => boolean;
  /** How powers come from powers or from their factors. */
  readonly ofPowers?: (old: Node, made: Node) => boolean;
  /** The line between of two sums, where this move and then one that works out lead from one to the other. */
  readonly between?: (
    old: readonly Term[],
    made: readonly Term[],
    page: Page,
  ) => readonly Term[] | null;

  /** What a term can become by it, as far as that may help to reach an aim. */
  readonly write?: (term: Term, aim: Aim) => readonly Written[];
  /** What several terms can become together. */
  readonly gather?: (terms: readonly Term[], aim: Aim) => readonly Gathered[];

  /** Moves alike in this count as one law where they stand side by side. */
  readonly alike?: 'put together' | 'taken apart';
  /** Whether its pieces are figures of a number, which are put together again as neighbours only. */
  readonly isByPlaces?: true;
  /** Whether it fits any numbers behind another move, and so explains nothing there. */
  readonly fitsAnyNumbers?: true;
  /** The move that it undoes, so that both in a row explain nothing. */
  readonly undoes?: string;
  /** Whether of ways alike the one that ends in it is told first. */
  readonly isEnd?: true;

  /** Whether every side is cut, and not one alone: each piece holds a box of its own. */
  readonly cutsEverySide?: true;
  readonly lays?: Laying;
}

/** A record of a move, with its id kept as a type. */
export function defineMove<const Id extends string>(spec: MoveSpec<Id>): MoveSpec<Id> {
  return spec;
}
