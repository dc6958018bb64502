import type { School, SlipRequest, Trace } from '../account/account.ts';
import type { Scribe } from '../account/scribe.ts';
import type { Exact } from '../exact/exact.ts';
import type { MoveId } from '../laws/moves.ts';
import type { Phrasebook } from '../phrases/phrasebook.ts';
import type { Problem } from '../problem/problem.ts';
import type { Sheet } from '../sheet/sheet.ts';

export interface SchoolOption {
  readonly id: string;
  readonly label: string;
  /** Why some people do it this way, and what it costs. */
  readonly reason: string;
}

/** A question on which practitioners differ, with its answers; the first one is the default. */
export interface SchoolSpec {
  readonly id: string;
  readonly label: string;
  readonly options: readonly [SchoolOption, ...SchoolOption[]];
  /** Whether the choice makes a difference to a problem; it always does when absent. */
  readonly matters?: (problem: Problem) => boolean;
}

/** A way in which learners go wrong with a method. */
export interface SlipSpec {
  readonly id: string;
  readonly label: string;
  readonly mechanism: string;
}

/** Why a method cannot honestly work a problem. Codes are stable; sentences are in refusalText. */
export type Refusal =
  | { readonly code: 'two-operands-only'; readonly operands: number }
  | { readonly code: 'smaller-minus-larger' }
  | { readonly code: 'too-many-terms'; readonly terms: number; readonly limit: number }
  | { readonly code: 'has-fractions' }
  | { readonly code: 'has-letters' }
  | { readonly code: 'no-letters' }
  | { readonly code: 'not-whole' }
  | { readonly code: 'too-large-for-primes'; readonly limit: string }
  | { readonly code: 'worth-nothing' }
  | { readonly code: 'not-two-terms'; readonly bracket: number; readonly terms: number }
  | { readonly code: 'no-fractions' }
  | { readonly code: 'no-wholes' }
  | { readonly code: 'wholes-beside-parts' }
  | { readonly code: 'too-fine-to-draw'; readonly parts: number; readonly wholes: number }
  | { readonly code: 'denominator-too-large'; readonly limit: number }
  | { readonly code: 'kind-not-worked'; readonly kind: string };

export type Acceptance = { readonly ok: true } | { readonly ok: false; readonly reason: Refusal };

/** Whether a chosen hop can be made, and where it leads; or why it cannot, in a sentence. */
export type HopVerdict =
  | {
      readonly ok: true;
      /** The number on which it lands, or that it makes. */
      readonly lands: Exact;
      /** What is still to be hopped after it; zero when all is done. */
      readonly left: Exact;
    }
  | { readonly ok: false; readonly fault: string };

/** How a method takes hops of the user's own. */
export interface OwnHops {
  /** What one is called: `hop`, `piece`, `change`. */
  readonly name: string;
  /** What to type, in a short sentence. */
  readonly hint: string;
  readonly most: number;
  /** The number from which the next one goes, once these are made. */
  readonly from: (problem: Problem, hops: readonly Exact[]) => Exact;
  /** Judges the hops in order; those after a fault are not judged and not worked. */
  readonly judge: (
    problem: Problem,
    hops: readonly Exact[],
    school: School,
  ) => readonly HopVerdict[];
}

/** Where a method is worked: written down, in the head, or as one likes. */
export const MEDIA = ['on paper', 'in the head', 'either'] as const;
export type Medium = (typeof MEDIA)[number];

/** A method at the other end of the bridge between figures and letters, with the school that is alike. */
export interface BridgeEnd {
  readonly method: string;
  readonly school: School;
}

/** How someone's own lines look that go the way of a method. */
export interface LinesLike {
  /** Of several that fit the lowest is told. */
  readonly rank: number;
  /** The moves of the first line that is judged, all of them; none where the hops alone tell. */
  readonly moves: readonly MoveId[];
  /** Where the method's own hops are found in the lines: in its jumps, in the size of its change, in its parts. */
  readonly hops?: 'jumps' | 'change' | 'parts';
  /** What the hops are called. */
  readonly named?: string;
}

export interface MethodSpec {
  readonly id: string;
  readonly family: string;
  /** Full neutral name, and a short one for the head of a paper. */
  readonly name: string;
  readonly shortName: string;
  /** Other names people use for it. */
  readonly alsoCalled: readonly string[];
  /** Words that name another act elsewhere, told apart in one sentence; absent where none does. */
  readonly mind?: string;
  /** What it does, in one sentence. */
  readonly summary: string;
  /** Why it comes out right, in one sentence. */
  readonly why: string;
  /** What it prepares for later on, in one sentence; absent where nothing in particular. */
  readonly leadsTo?: string;
  /** Where it is usually worked. */
  readonly medium: Medium;
  readonly direction: string;
  readonly schools: readonly SchoolSpec[];
  readonly slips: readonly SlipSpec[];
  /** Whether the terms may be dealt with in any order. */
  readonly freeOrder: boolean;
  /** Whether it takes a string of factors as one, and not two at a time. */
  readonly takesAllFactors?: true;
  /** Whether its products stand in cells that have rows and columns. */
  readonly hasCells?: boolean;
  /**
   * The methods that do the same when a product of whole numbers is read as one of brackets in powers of the
   * base, or the other way; the first that takes the numbers is meant.
   */
  readonly bridge?: readonly BridgeEnd[];
  /** Hops or changes of the user's own choosing, where the method lets her choose them. */
  readonly ownHops?: OwnHops;
  /** The order in which a string of factors is taken up; as they are written when absent. */
  readonly stageOrder?: (problem: Problem, school: School) => readonly number[];
  /** Whether the second of two factors is written over the first, and worked as if it came first. */
  readonly secondOnTop?: (problem: Problem, school: School) => boolean;
  /** How own lines of this way look; absent where none are told to be near it. */
  readonly linesLike?: LinesLike;
  readonly phrases: Phrasebook;
  readonly accepts: (problem: Problem) => Acceptance;
  readonly work: (scribe: Scribe, problem: Problem, school: School) => Trace;
  readonly sheet: (trace: Trace) => Sheet;
}

export interface TraceOptions {
  /** A full school, as {@link resolveSchool} gives it; the defaults when absent. */
  readonly school?: School;
  readonly slips?: readonly SlipRequest[];
  /** Term ids to deal with first; only for methods of free order. */
  readonly order?: readonly string[];
  /** Her own hops, in order; only for methods that take them. Hops that cannot be made are left out. */
  readonly hops?: readonly Exact[];
}

/** Refusals that say only that a method is for another kind of problem, or for numbers written otherwise. */
const OF_ANOTHER_KIND: readonly Refusal['code'][] = [
  'has-letters',
  'no-letters',
  'has-fractions',
  'no-fractions',
  'kind-not-worked',
];

/** Of many refusals the one that says most: rather why these numbers than why this kind. RangeError on none. */
export function mostTelling(refusals: readonly Refusal[]): Refusal {
  const [first] = [...refusals].sort(
    (a, b) => OF_ANOTHER_KIND.indexOf(a.code) - OF_ANOTHER_KIND.indexOf(b.code),
  );
  if (!first) throw new RangeError('mostTelling: there is no refusal');
  return first;
}

/** One sentence for a refusal. */
export function refusalText(reason: Refusal): string {
  switch (reason.code) {
    case 'two-operands-only':
      return `This method works two numbers at a time; the problem has ${reason.operands}. Work the first two, then go on with what they make.`;
    case 'kind-not-worked':
      return `This method does not work a ${reason.kind}.`;
    case 'has-fractions':
      return 'This method works figures in their places; fractions have methods of their own.';
    case 'has-letters':
      return 'This method works figures in their places; expressions with letters have methods of their own.';
    case 'not-whole':
      return 'This method takes whole numbers apart; here is one with figures after the point.';
    case 'too-large-for-primes':
      return `The primes of numbers above ${reason.limit} are not looked for.`;
    case 'no-letters':
      return 'This method works expressions with letters; read the numbers as brackets of powers to use it.';
    case 'worth-nothing':
      return 'A term or bracket here is worth nothing; leave it out.';
    case 'not-two-terms':
      return `First, outer, inner, last name the four products of two brackets of two terms; bracket ${reason.bracket} has ${reason.terms === 1 ? 'one term' : `${reason.terms} terms`}, so products would be missed or not exist.`;
    case 'no-fractions':
      return 'This method works fractions; here are none.';
    case 'no-wholes':
      return 'This method is for mixed numbers; here are only fractions.';
    case 'wholes-beside-parts':
      return 'This method takes fractions alone; mixed numbers are worked with wholes and parts apart, or as improper fractions.';
    case 'denominator-too-large':
      return `The common denominator would be larger than ${reason.limit}.`;
    case 'too-fine-to-draw':
      return `A side is drawn in at most ${reason.parts} parts to the whole, and ${reason.wholes} wholes long.`;
    case 'too-many-terms':
      return `These factors make ${reason.terms} products; at most ${reason.limit} are followed from stage to stage.`;
    case 'smaller-minus-larger':
      return 'This method takes a smaller number from a larger one; here the larger one is taken away, so the difference is negative.';
  }
}
