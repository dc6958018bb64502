import type { Exact } from '../exact/exact.ts';
import type { Problem } from '../problem/problem.ts';
import type { Scale } from '../problem/scale.ts';
import type { LineMark } from './line-mark.ts';
import type { Beyond } from './beyond.ts';
import type { Addressed, Fact, Feature, Where } from './chance.ts';
import type { EntryId } from './ids.ts';
import type { Phase } from './phase.ts';

import type { TermSet, TermSpace } from './terms.ts';

export type { EntryId } from './ids.ts';

/** Why a step neither gains nor loses anything. */
export const LAWS = [
  'place-value',
  'distribute',
  'reorder',
  'evaluate',
  'same-change',
  'scale-both',
  'inverse',
  'sign',
  'square',
  'like-terms',
  'pair-factors',
  /** Equal, and no law is named; in one's own lines alone. */
  'unnamed',
] as const;
export type Law = (typeof LAWS)[number];

/** What a mark is for on its paper. */
export const ROLES = [
  'operand digit',
  'operand part',
  'product',
  'carry',
  'placeholder',
  'place total',
  'subtotal',
  'running total',
  'kept figure',
  'scratch',
  'regrouped digit',
  'little one',
  'adjusted number',
  'adjustment',
  'halved',
  'doubled',
  'kept row',
  'hop',
  'hop too far',
  'stop',
  'remainder',
  'brought down',
  'chunk',
  'repeats',
  'rest',
  'side number',
  'words',
  'renamed fraction',
  'fraction product',
  'factor',
  'factors',
  'opened whole',
  'simplified',
  'turned term',
  'copied term',
  'strip',
  'trial',
  'prime',
  'ladder number',
  'answer',
] as const;
export type Role = (typeof ROLES)[number];

/**
 * Where a method writes a mark, in the method's own terms: an area of its paper, a row of that area
 * and a column. The method's sheet turns spots into squares. No two marks share a spot.
 */
export interface Spot {
  readonly area: string;
  readonly row: number;
  readonly column: number;
}

/** An amount not worked out yet. */
export interface OwedEntry {
  readonly id: EntryId;
  readonly standing: 'owed';
  readonly text: string;
  readonly worth: Exact;
  readonly terms: TermSet;
  /** What it holds beyond the edge of the problem; absent where that is nothing. */
  readonly beyond?: Beyond;
}

/** An amount written on paper or held in the head. */
export interface Mark {
  readonly id: EntryId;
  readonly standing: 'marked';
  readonly text: string;
  /** The figures as written, without the zeros that its place stands for. */
  readonly glyph: string;
  readonly worth: Exact;
  readonly terms: TermSet;
  readonly medium: 'paper' | 'head';
  readonly role: Role;
  readonly spot: Spot;
  /** The place its last figure is written in; undefined for a number written whole. */
  readonly place: number | undefined;
  /** For a hop along the line, where it starts and where it lands. */
  readonly hop?: Hop;
  /** What it is in someone's own lines; absent in the work of a method. */
  readonly line?: LineMark;
  /** What it holds beyond the edge of the problem; absent where that is nothing. */
  readonly beyond?: Beyond;
}

/** A move along the line from one number to another, forward or back. */
export interface Hop {
  readonly from: Exact;
  readonly to: Exact;
}

export type Entry = OwedEntry | Mark;

/** A figure that belongs to the question, not to the account: a digit or part of an operand. */
export interface Given {
  readonly id: EntryId;
  readonly standing: 'given';
  readonly text: string;
  readonly glyph: string;
  readonly worth: Exact;
  /** Every term this part of the operand takes part in. */
  readonly terms: TermSet;
  readonly role: 'operand digit' | 'operand part';
  readonly spot: Spot;
  readonly operand: number;
  readonly place: number | undefined;
  /** In sums, the owed entry that this figure itself stands for; striking it strikes the figure. */
  readonly owed: EntryId | null;
  /** The step that puts it on the paper; absent for what stands there from the start. */
  readonly since?: number;
}

/** A message key with its values; the method that made it has the wording. */
export interface Phrase {
  readonly key: string;
  readonly values: PhraseValues;
}
export type PhraseValue =
  | string
  | number
  | boolean
  | Exact
  | readonly Exact[]
  | readonly string[]
  | readonly PhraseValues[];
export interface PhraseValues {
  readonly [name: string]: PhraseValue;
}

/** Where the two terms of a product stand in their brackets of two. */
export type Corner = 'first' | 'outer' | 'inner' | 'last';

/** What a step deals with beyond its entries, as data: what its phrase says in words is never read. */
export interface About {
  /** The amounts that are multiplied; turning the sign of a term multiplies it by minus one. */
  readonly factors?: readonly Exact[];
  readonly corner?: Corner;
  /** The row and column of a grid that the product stands in. */
  readonly cell?: readonly [row: number, column: number];
  /** What both numbers of a fraction are divided by. */
  readonly by?: Exact;
  /** The digit that is tried. */
  readonly digit?: number;
  /** Primes of which one of each pair leaves the root, and those that stay under it. */
  readonly primes?: { readonly out: readonly Exact[]; readonly inside: readonly Exact[] };
  /** The root as it is given: the number before the sign, and the number that stays under it. */
  readonly root?: { readonly out: Exact; readonly under: Exact };
}

/** One move of the account. `balance` is the sum of all live entries after it. */
export interface Step {
  readonly number: number;
  readonly law: Law;
  readonly phase: Phase;
  readonly about?: About;
  readonly takes: readonly EntryId[];
  readonly gives: readonly Mark[];
  /** Amounts that are owed from this step on, when a stage of the work opens the next. */
  readonly opens: readonly OwedEntry[];
  readonly strikes: readonly EntryId[];
  readonly phrase: Phrase;
  readonly balance: Exact;
}

/** How a group stands among the groups of its paper. */
export const GROUP_ROLES = [
  'product',
  'line',
  'share',
  'rest',
  'place total',
  'like terms',
  'subtotal',
  'hop',
  'row total',
  'column total',
  'row',
  'column',
  'diagonal',
  'answer',
] as const;
export type GroupRole = (typeof GROUP_ROLES)[number];

/** Entries read together as one number, or gathered by eye: what people compare between methods. */
export interface Group {
  readonly id: string;
  readonly role: GroupRole;
  readonly marks: readonly EntryId[];
  readonly worth: Exact;
  readonly terms: TermSet;
  readonly phrase: Phrase;
}

/** Asks for a slip: by the address of its chance, or the nth chance at it in a clean work, counted from 1. */
export type SlipRequest =
  Addressed | { readonly slip: string; readonly occurrence: number; readonly at?: undefined };

/** A point at which a learner may go wrong. */
export interface Opportunity {
  readonly slip: string;
  readonly occurrence: number;
  readonly at: Where;
  readonly features: readonly Feature[];
  /** The step in which its first false amount stands. */
  readonly step: number;
}

/** A point at which a learner may take a fact for another number. */
export interface FactChance extends Opportunity {
  readonly fact: Fact;
}

/** The chosen option of each school of a method. */
export type School = Readonly<Record<string, string>>;

/** Her own order of terms and her own hops, where the method takes them; empty where it does not. */
export interface OwnChoice {
  readonly order: readonly string[];
  readonly hops: readonly Exact[];
}

/** One product of a string of factors, worked as a paper of its own. */
export interface Stage {
  readonly trace: Trace;
  /** How many steps of the whole work come before its first. */
  readonly before: number;
  /** What its ids begin with in the whole work. */
  readonly prefix: string;
}

/** A method's whole work on one problem. The answer is what its last account holds. */
export interface Trace {
  readonly problem: Problem;
  readonly method: string;
  readonly school: School;
  /** What she chose for this trace beyond its school. */
  readonly choice: OwnChoice;
  readonly space: TermSpace;
  readonly givens: readonly Given[];
  readonly start: readonly OwedEntry[];
  readonly steps: readonly Step[];
  readonly groups: readonly Group[];
  readonly opportunities: readonly Opportunity[];
  /** The facts that it uses. */
  readonly facts: readonly FactChance[];
  /** What must still be there after every step: the problem's value. */
  readonly total: Exact;
  /** What the paper's answer says; differs from the total only after a slip. */
  readonly answer: Exact;
  readonly balanced: boolean;
  /** Set where the work stops before it has an answer, as someone's own lines may; what it has come to stands for one. */
  readonly isUnfinished?: true;
  /** How decimals are worked in whole numbers; null for whole numbers and quotients. */
  readonly scale: Scale | null;
  /** The work in whole numbers from which a work with decimals is read; null when it is itself that. */
  readonly whole: Trace | null;
  /** The products of a string of three and more factors, in order; empty for a work of one stage. */
  readonly stages: readonly Stage[];
}
