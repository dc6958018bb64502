import { canBeTaken, whereText, WRONG_FACT } from '../account/chance.ts';
import type { FactChance, Opportunity, School, SlipRequest, Trace } from '../account/account.ts';
import type { Problem } from '../problem/problem.ts';
import { sheetOf } from '../sheet/composed-sheet.ts';
import type { MethodSpec, SchoolSpec, TraceOptions } from './method-spec.ts';
import type { LightRun } from '../account/light-run.ts';
import { runLight } from './run-light.ts';
import { runMethod } from './run-method.ts';
import { watched } from './watch.ts';
import { scaledHops } from './scaled-hops.ts';
import { POINT_SLIPS, pointPhrases } from './shared/point-step.ts';
import { stagePhrases } from './shared/stages.ts';

export * from './method-spec.ts';

/** A method ready for use: its spec and its trace. */
export interface Method extends MethodSpec {
  readonly defaultSchool: School;
  /** Works the problem. RangeError when the method does not accept it: ask `accepts` first. */
  readonly trace: (problem: Problem, options?: TraceOptions) => Trace;
  /** What the same work comes to and where it leaks, without how it looks. RangeError likewise. */
  readonly light: (problem: Problem, options?: TraceOptions) => LightRun;
}

/** The schools of a method that make a difference to a problem. */
export function schoolsOf(
  { schools }: Pick<Method, 'schools'>,
  problem: Problem,
): readonly SchoolSpec[] {
  return schools.filter(({ matters }) => matters?.(problem) ?? true);
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
    trace: (problem, options = {}) => {
      const school = options.school ?? defaultSchool;
      const trace = runMethod(whole, problem, { ...options, school });
      return options.slips && options.slips.length > 0 ? trace : watched(trace);
    },
    light: (problem, options = {}) =>
      runLight(whole, problem, { ...options, school: options.school ?? defaultSchool }),
    sheet: (trace) => sheetOf(spec.sheet, trace),
  };
}

/** What every method of a family has beyond its own file: points and stages of products, scaled hops. */
function withSharedParts(spec: MethodSpec): MethodSpec {
  const phrases = { ...stagePhrases, ...pointPhrases, ...spec.phrases };
  const slips = spec.family === 'multiplication' ? [...spec.slips, ...POINT_SLIPS] : spec.slips;
  const { ownHops } = spec;
  return { ...spec, phrases, slips, ...(ownHops ? { ownHops: scaledHops(ownHops) } : {}) };
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

function isFact(chance: Opportunity): chance is FactChance {
  return 'fact' in chance;
}

/** Whether a work with these opportunities has the chance that a wished slip names. */
export function hasOpportunity(
  { opportunities, facts }: Pick<Trace, 'opportunities' | 'facts'>,
  wished: SlipRequest,
): boolean {
  const chances: readonly Opportunity[] = wished.slip === WRONG_FACT ? facts : opportunities;
  return chances.some((chance) => {
    if (chance.slip !== wished.slip) return false;
    if (!wished.at) return chance.occurrence === wished.occurrence;
    if (whereText(chance.at) !== whereText(wished.at)) return false;
    return !isFact(chance) || (wished.value !== undefined && canBeTaken(chance.fact, wished.value));
  });
}
