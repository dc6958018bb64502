import type { Exact } from '../exact/exact.ts';
import type { Problem } from '../problem/problem.ts';
import type { About, Entry, Hop, Law, Phrase, Role, School, Spot } from './account.ts';
import type { Beyond } from './beyond.ts';
import type { Addressed } from './chance.ts';
import type { LineMark } from './line-mark.ts';
import type { Phase } from './phase.ts';
import type { TermSet } from './terms.ts';

/** What a method writes in a step: a count of some place, at a spot. */
export interface Writing {
  readonly role: Role;
  /** How many of the place; its figures are the glyph. */
  readonly count: number;
  /** The place it is written in, which alone decides its worth. */
  readonly place: number;
  readonly spot: Spot;
  readonly medium?: 'paper' | 'head';
  /** Figures to show instead of the count's own, such as a run of zeros. */
  readonly glyph?: string;
  /** What it says, where that is not what it looks like. */
  readonly text?: string;
  /** For a number written whole rather than digit by digit: its worth, whatever the place. */
  readonly worth?: Exact;
  /** Those of the step's takes that this mark comes from, when it is not all of them. */
  readonly from?: readonly Entry[];
  /** The terms it holds, when they are not those of what it comes from. */
  readonly terms?: TermSet;
  /** Whether a mark with a worth of its own still stands in its place. */
  readonly placed?: boolean;
  readonly hop?: Hop;
  /** What it is in someone's own lines. */
  readonly line?: LineMark;
  /** What it holds beyond the edge of the problem; where no mark of a step says so, all goes on into the first. */
  readonly beyond?: Beyond;
}

export interface StepDraft {
  readonly law: Law;
  readonly phase: Phase;
  readonly about?: About;
  readonly takes: readonly Entry[];
  readonly writes: readonly Writing[];
  /** Marks, or figures of the question by what they owe. */
  readonly strikes?: readonly Entry[];
  readonly phrase: Phrase;
}

/** One slip at one chance. */
export type SlipAt = Addressed;

export interface ScribeRequest {
  readonly problem: Problem;
  readonly method: string;
  readonly school: School;
  /** Slips to be made, by the addresses of their chances. */
  readonly slips?: readonly SlipAt[];
  readonly order?: readonly string[] | undefined;
  readonly hops?: readonly Exact[];
  /** How many figures the answer has at least, because the point stands before the last ones. */
  readonly leastPlaces?: number;
  /** For each number, how many of its last places stand for a tail that it does not have: 5 in 5.00 − 1.75 lacks two. */
  readonly blankTails?: readonly number[];
  /** Which stage of a string of factors this is, from 1, and whether it is the last. */
  readonly stage?: StagePlace | undefined;
  /** Which of the problem's two factors is written on top; the first when absent. */
  readonly onTop?: 0 | 1;
}

export interface StagePlace {
  readonly number: number;
  readonly isLast: boolean;
}
