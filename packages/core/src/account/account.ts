import type { Exact } from '../exact/exact.ts';
import type { Problem } from '../problem/problem.ts';
import type { TermSet, TermSpace } from './terms.ts';

/** Names one entry of one trace. Minted by the Scribe alone. */
export type EntryId = string & { readonly entryId: true };

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
] as const;
export type Law = (typeof LAWS)[number];

/** What a mark is for on its paper. */
export const ROLES = [
  'operand digit',
  'operand part',
  'product',
  'carry',
  'placeholder',
  'subtotal',
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
}

/** A message key with its values; the method that made it has the wording. */
export interface Phrase {
  readonly key: string;
  readonly values: PhraseValues;
}
export type PhraseValue = string | number | boolean | Exact | readonly Exact[] | readonly string[];
export type PhraseValues = Readonly<Record<string, PhraseValue>>;

/** One move of the account. `balance` is the sum of all live entries after it. */
export interface Step {
  readonly number: number;
  readonly law: Law;
  /** Steps of one phase belong together: a line, the final sum. */
  readonly phase: string;
  readonly takes: readonly EntryId[];
  readonly gives: readonly Mark[];
  readonly strikes: readonly EntryId[];
  readonly phrase: Phrase;
  readonly balance: Exact;
}

/** How a group stands among the groups of its paper. */
export const GROUP_ROLES = [
  'product',
  'line',
  'row total',
  'column total',
  'row',
  'column',
  'diagonal',
  'answer',
] as const;
export type GroupRole = (typeof GROUP_ROLES)[number];

/** Marks read together as one number, or gathered by eye: what people compare between methods. */
export interface Group {
  readonly id: string;
  readonly role: GroupRole;
  readonly marks: readonly EntryId[];
  readonly worth: Exact;
  readonly terms: TermSet;
  readonly phrase: Phrase;
}

/** Asks for a slip: the nth chance at it, counted from 1. */
export interface SlipRequest {
  readonly slip: string;
  readonly occurrence: number;
}

/** A point at which a learner may go wrong. */
export interface Opportunity extends SlipRequest {
  readonly step: number;
}

/** The chosen option of each school of a method. */
export type School = Readonly<Record<string, string>>;

/** A method's whole work on one problem. The answer is what its last account holds. */
export interface Trace {
  readonly problem: Problem;
  readonly method: string;
  readonly school: School;
  readonly space: TermSpace;
  readonly givens: readonly Given[];
  readonly start: readonly OwedEntry[];
  readonly steps: readonly Step[];
  readonly groups: readonly Group[];
  readonly opportunities: readonly Opportunity[];
  /** What must still be there after every step: the problem's value. */
  readonly total: Exact;
  /** What the paper's answer says; differs from the total only after a slip. */
  readonly answer: Exact;
  readonly balanced: boolean;
}
