import type { Opportunity, School, SlipRequest, Trace } from '../account/account.ts';
import { Scribe } from '../account/scribe.ts';
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
  | { readonly code: 'kind-not-worked'; readonly kind: string };

export type Acceptance = { readonly ok: true } | { readonly ok: false; readonly reason: Refusal };

export interface MethodSpec {
  readonly id: string;
  readonly family: string;
  /** Full neutral name, and a short one for the head of a paper. */
  readonly name: string;
  readonly shortName: string;
  /** Other names people use for it. */
  readonly alsoCalled: readonly string[];
  /** What it does, in one sentence. */
  readonly summary: string;
  readonly direction: string;
  readonly schools: readonly SchoolSpec[];
  readonly slips: readonly SlipSpec[];
  /** Whether the terms may be dealt with in any order. */
  readonly freeOrder: boolean;
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
  return { ...spec, defaultSchool, trace: (problem, options) => run(problem, options) };

  function run(problem: Problem, { school = defaultSchool, slips, order }: TraceOptions = {}) {
    const acceptance = spec.accepts(problem);
    if (!acceptance.ok) throw new RangeError(`${spec.id}: ${refusalText(acceptance.reason)}`);
    const scribe = new Scribe({
      problem,
      method: spec.id,
      school,
      ...(slips ? { slips } : {}),
      ...(order && spec.freeOrder ? { order } : {}),
    });
    return spec.work(scribe, problem, school);
  }
}

/** One sentence for a refusal. */
export function refusalText(reason: Refusal): string {
  switch (reason.code) {
    case 'two-operands-only':
      return `This method works two factors at a time; the problem has ${reason.operands}. Work the first two, then go on with their product.`;
    case 'kind-not-worked':
      return `This method does not work a ${reason.kind}.`;
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
