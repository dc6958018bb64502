import { calculatorCheck } from './calculator-check.ts';
import { castingOutCheck } from './casting-out-check.ts';
import type { CheckId, CheckSpec, CheckSubject } from './check.ts';
import { directionCheck } from './direction-check.ts';
import { estimateCheck } from './estimate-check.ts';
import { inverseCheck } from './inverse-check.ts';
import { leadingFiguresCheck } from './leading-figures-check.ts';
import { pointCheck } from './point-check.ts';
import { degreeCheck } from './degree-check.ts';
import { productCountCheck } from './product-count-check.ts';
import { substitutionCheck } from './substitution-check.ts';
import { secondMethodCheck } from './second-method-check.ts';
import { totalsCheck } from './totals-check.ts';
import { wholeGroupsCheck } from './whole-groups-check.ts';

/** Checks that need no operation that methods work. */
const OF_ANY: ReadonlySet<CheckId> = new Set(['second-method', 'calculator']);

/** What a paper lacks before any check: an answer. */
function unfinished({ lane, other }: CheckSubject, id: CheckId): string | null {
  if (lane.trace.isUnfinished) return 'This paper has no answer yet.';
  return id === 'second-method' && other?.trace.isUnfinished
    ? 'The other paper has no answer yet.'
    : null;
}

/** The same check, which says what it lacks where no method works the computation, or a paper has no answer. */
function ofWork(check: CheckSpec): CheckSpec {
  const isOfOne = !OF_ANY.has(check.id);
  return {
    ...check,
    lacks: (subject) =>
      isOfOne && subject.comparison.problem.kind === 'expression'
        ? 'No method works this computation; this check is for those that methods work.'
        : (unfinished(subject, check.id) ?? check.lacks(subject)),
  };
}

/** Every check, in the order they are offered. */
export const checks: readonly CheckSpec[] = [
  estimateCheck,
  leadingFiguresCheck,
  directionCheck,
  pointCheck,
  inverseCheck,
  totalsCheck,
  castingOutCheck,
  secondMethodCheck,
  calculatorCheck,
  substitutionCheck,
  degreeCheck,
  productCountCheck,
  wholeGroupsCheck,
].map(ofWork);

/** The check with this id. RangeError when there is none. */
export function checkOf(id: CheckId): CheckSpec {
  const found = checks.find((check) => check.id === id);
  if (!found) throw new RangeError(`checkOf: no check "${id}"`);
  return found;
}
