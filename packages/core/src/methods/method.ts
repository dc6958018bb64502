import type { Opportunity, School, SlipRequest, Trace } from '../account/account.ts';
import type { Exact } from '../exact/exact.ts';
import type { Scribe } from '../account/scribe.ts';
import type { Phrasebook } from '../phrases/phrasebook.ts';
import type { Problem } from '../problem/problem.ts';
import { sheetOf } from '../sheet/composed-sheet.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { runMethod } from './run-method.ts';
import { scaledHops } from './scaled-hops.ts';
import { POINT_ONE_OFF, pointPhrases } from './shared/point-step.ts';
import { stagePhrases } from './shared/stages.ts';

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
export type Medium = 'on paper' | 'in the head' | 'either';

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
  /** Where it is usually worked. */
  readonly medium: Medium;
  readonly direction: string;
  readonly schools: readonly SchoolSpec[];
  readonly slips: readonly SlipSpec[];
  /** Whether the terms may be dealt with in any order. */
  readonly freeOrder: boolean;
  /** Hops or changes of the user's own choosing, where the method lets her choose them. */
  readonly ownHops?: OwnHops;
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

/** A method ready for use: its spec and its trace. */
export interface Method extends MethodSpec {
  readonly defaultSchool: School;
  /** Works the problem. RangeError when the method does not accept it: ask `accepts` first. */
  readonly trace: (problem: Problem, options?: TraceOptions) => Trace;
}

/** Checks a spec and makes the method. RangeError on ids that are not kebab-case or not unique. */
export function defineMethod(spec: MethodSpec): Method {
  const ids = [
    [spec.id],
    spec.schools.map((school) => school.id),
    ...spec.schools.map((school) => school.options.map((option) => option.id)),
    spec.slips.map((slip) => slip.id),
  ];
  for (const group of ids) {
    const bad = group.find((id, i) => !/^[a-z]+(-[a-z]+)*$/.test(id) || group.indexOf(id) !== i);
    if (bad !== undefined) throw new RangeError(`defineMethod: bad or repeated id "${bad}"`);
  }
  const defaultSchool = Object.fromEntries(
    spec.schools.map((school) => [school.id, school.options[0].id]),
  );
  const whole = withSharedParts(spec);
  return {
    ...whole,
    defaultSchool,
    trace: (problem, options = {}) =>
      runMethod(whole, problem, { ...options, school: options.school ?? defaultSchool }),
    sheet: (trace) => sheetOf(spec.sheet, trace),
  };
}

/** What every method of a family has beyond its own file: points and stages of products, scaled hops. */
function withSharedParts(spec: MethodSpec): MethodSpec {
  const phrases = { ...stagePhrases, ...pointPhrases, ...spec.phrases };
  const slips = spec.family === 'multiplication' ? [...spec.slips, POINT_ONE_OFF] : spec.slips;
  const { ownHops } = spec;
  return { ...spec, phrases, slips, ...(ownHops ? { ownHops: scaledHops(ownHops) } : {}) };
}

/** One sentence for a refusal. */
export function refusalText(reason: Refusal): string {
  switch (reason.code) {
    case 'two-operands-only':
      return `This method works two numbers at a time; the problem has ${reason.operands}. Work the first two, then go on with what they make.`;
    case 'kind-not-worked':
      return `This method does not work a ${reason.kind}.`;
    case 'too-many-terms':
      return `These factors make ${reason.terms} products of single figures; at most ${reason.limit} are followed from stage to stage.`;
    case 'smaller-minus-larger':
      return 'This method takes a smaller number from a larger one; here the larger one is taken away, so the difference is negative.';
  }
}

export type ResolvedSchool =
  | { readonly ok: true; readonly school: School }
  | { readonly ok: false; readonly reason: SchoolFailure };

export type SchoolFailure =
  | { readonly code: 'school-unknown'; readonly school: string; readonly known: readonly string[] }
  | {
      readonly code: 'option-unknown';
      readonly school: string;
      readonly option: string;
      readonly known: readonly string[];
    };

/** Fills a partial choice of schools with the defaults, or says which choice does not exist. */
export function resolveSchool(
  method: Method,
  chosen: Readonly<Record<string, string>>,
): ResolvedSchool {
  for (const [id, option] of Object.entries(chosen)) {
    const school = method.schools.find((candidate) => candidate.id === id);
    if (!school) {
      const known = method.schools.map((candidate) => candidate.id);
      return { ok: false, reason: { code: 'school-unknown', school: id, known } };
    }
    const known = school.options.map((candidate) => candidate.id);
    if (!known.includes(option)) {
      return { ok: false, reason: { code: 'option-unknown', school: id, option, known } };
    }
  }
  return { ok: true, school: { ...method.defaultSchool, ...chosen } };
}

export function schoolFailureText(reason: SchoolFailure): string {
  const known = reason.known.length > 0 ? reason.known.join(', ') : 'none';
  return reason.code === 'school-unknown'
    ? `There is no school "${reason.school}" here; its schools are: ${known}.`
    : `School "${reason.school}" has no option "${reason.option}"; its options are: ${known}.`;
}

/** Whether the wished slip can happen in a clean run with these opportunities. */
export function hasOpportunity(
  opportunities: readonly Opportunity[],
  { slip, occurrence }: SlipRequest,
): boolean {
  return opportunities.some((o) => o.slip === slip && o.occurrence === occurrence);
}
