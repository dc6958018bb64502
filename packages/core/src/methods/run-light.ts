import type { FactChance, Opportunity } from '../account/account.ts';
import { chancesOfStage, withEnds } from '../account/chance.ts';
import { turnedChances } from '../account/turned.ts';
import type { Leak } from '../account/leaks.ts';
import type { LightRun } from '../account/light-run.ts';
import { LightScribe } from '../account/light-scribe.ts';
import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import type { MethodSpec } from './method-spec.ts';
import { inOrder, inStages, onPaper, prepared, type Named, type Request } from './run-method.ts';
import { pointSlip } from './shared/point-step.ts';

/** One stage as it is followed. */
interface LightWork {
  readonly steps: number;
  readonly answer: Exact;
  /** The numbers that its answer is made of. */
  readonly made: LightScribe['answer'];
  readonly leaks: readonly Leak[];
  readonly chances: readonly Opportunity[];
  readonly facts: readonly FactChance[];
}

/**
 * Works a problem by the same code of the method as a trace, for its answer and leaks alone: what classes, diagnosis
 * and claims need of thousands of works. RangeError when the method does not accept the problem.
 */
export function runLight(spec: MethodSpec, problem: Problem, request: Request): LightRun {
  const chancesOf = (clean: Request) => runLight(spec, problem, clean).opportunities;
  const { scale, whole, own, staged } = prepared(spec, problem, request, chancesOf);
  const run = staged ? stagedRun(spec, whole, own) : onlyRun(runOnce(spec, whole, own), whole);
  if (!scale) return run;
  const read = scaled(run, problem, scale.unit);
  return pointSlip(read, run.steps + 1, problem, { slips: own.slips, scale });
}

function runOnce(spec: MethodSpec, problem: Problem, own: Named): LightWork {
  const { asked, isTurned } = onPaper(spec, problem, own);
  const by = new LightScribe(asked);
  const { answer } = spec.work(by, asked.problem, own.school);
  const { steps, leaks, answer: made } = by;
  const chances = isTurned ? turnedChances(by.chances) : by.chances;
  const facts = isTurned ? turnedChances(by.factChances) : by.factChances;
  return { steps, answer, made, leaks, chances, facts };
}

function onlyRun({ steps, answer, leaks, chances, facts }: LightWork, problem: Problem): LightRun {
  return { steps, answer, total: problemValue(problem), leaks, opportunities: chances, facts };
}

/** Stage after stage; what an early one leaks is multiplied by the factors still to come. */
function stagedRun(spec: MethodSpec, problem: Problem, own: Named): LightRun {
  const { taken } = inOrder(spec, problem, own.school);
  const works = inStages(taken, own, {
    run: (stage, request) => runOnce(spec, stage, request),
    madeBy: ({ made }) => made,
  });
  const factors = taken.operands.map(numeralValue);
  const leaks: Leak[] = [];
  const opportunities: Opportunity[] = [];
  const facts: FactChance[] = [];
  let steps = 0;
  works.forEach((work, k) => {
    const rest = factors.slice(k + 2).reduce((product, factor) => product.times(factor), Exact.ONE);
    if (k > 0) steps += 1;
    if (!rest.isZero) {
      for (const { step, amount } of work.leaks) {
        leaks.push({ step: step + steps, amount: amount.times(rest) });
      }
      const at = { stage: k, stepsBefore: steps };
      opportunities.push(...chancesOfStage(work.chances, opportunities, at));
      facts.push(...chancesOfStage(work.facts, facts, at));
    }
    steps += work.steps;
  });
  return {
    steps,
    answer: works.at(-1)!.answer,
    total: problemValue(problem),
    leaks,
    opportunities: withEnds(opportunities),
    facts,
  };
}

/** A run in whole numbers read as the one with decimals that it stands for. */
function scaled(
  { steps, answer, leaks, opportunities, facts }: LightRun,
  problem: Problem,
  unit: Exact,
): LightRun {
  return {
    steps,
    answer: answer.times(unit),
    total: problemValue(problem),
    leaks: leaks.map(({ step, amount }) => ({ step, amount: amount.times(unit) })),
    opportunities,
    facts,
  };
}
