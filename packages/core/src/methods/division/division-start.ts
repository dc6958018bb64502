import { where } from '../../account/chance.ts';
import type { School } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { Exact } from '../../exact/exact.ts';
import { numeralValue, type Numeral } from '../../exact/numeral.ts';
import { makeProblem, type Problem } from '../../problem/problem.ts';
import type { Acceptance } from '../method.ts';
import { figuresRefused, kindRefused } from '../shared/sums.ts';
import { planDivision, planFigures, type DivisionPlan } from './division-plan.ts';
import { divisionPhrases } from './division-words.ts';
import { SCALE_ONE } from './schools.ts';

const { phrase } = divisionPhrases;

export function acceptsQuotient(problem: Problem): Acceptance {
  if (problem.kind !== 'quotient') return kindRefused(problem);
  return figuresRefused(problem) ?? { ok: true };
}

/** The plan of a division, after a learner's slip in scaling where there is one. */
export function plannedDivision(
  scribe: Scribe,
  problem: Problem,
  school: School,
): { readonly plan: DivisionPlan; readonly slip: string } {
  const plan = planDivision(problem, school);
  const may = plan.shift > 0 && !numeralValue(problem.operands[0]).isZero;
  if (!scribe.slip(SCALE_ONE.id, may, { at: where('operand', 1) })) {
    return { plan, slip: '' };
  }
  const wrong = makeProblem('quotient', [problem.operands[0], plan.divisor]);
  return { plan: planFigures(numbersOf(wrong), plan.last), slip: SCALE_ONE.id };
}

function numbersOf({ operands, base }: Problem) {
  const [dividend, divisor] = operands as readonly [Numeral, Numeral];
  return { base, shift: 0, dividend, divisor };
}

/** The step that makes the divisor whole, and the phrase it is said with. */
export function scalePhrase(problem: Problem, plan: DivisionPlan, slip: string) {
  const [dividend, divisor] = problem.operands.map(numeralValue) as [Exact, Exact];
  const shift = planDivision(problem, {}).shift;
  return phrase('division.scale', {
    dividend,
    divisor,
    toDividend: numeralValue(plan.dividend),
    toDivisor: numeralValue(plan.divisor),
    shift,
    slip,
  });
}
