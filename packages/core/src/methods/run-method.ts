import type { Opportunity, School, SlipRequest, Trace } from '../account/account.ts';
import { reorderedTrace } from '../account/reordered.ts';
import { scaledTrace } from '../account/scaled.ts';
import { Scribe, type StagePlace } from '../account/scribe.ts';
import { stagedTrace } from '../account/staged.ts';
import { Exact } from '../exact/exact.ts';
import { numeralOf, numeralValue, termsNumeral, type Numeral } from '../exact/numeral.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import { scaleOf } from '../problem/scale.ts';
import { refusalText, type MethodSpec, type TraceOptions } from './method-spec.ts';
import { withPoint } from './shared/point-step.ts';
import { sayStage } from './shared/stages.ts';

interface Request extends TraceOptions {
  readonly school: School;
  readonly leastPlaces?: number;
  readonly stage?: StagePlace;
}

/**
 * Works a problem by a method. Methods work whole numbers, and products two factors at a time: decimals
 * are scaled before and read back after, strings of factors go stage by stage. RangeError when the method
 * does not accept the problem.
 */
export function runMethod(spec: MethodSpec, problem: Problem, request: Request): Trace {
  const acceptance = spec.accepts(problem);
  if (!acceptance.ok) throw new RangeError(`${spec.id}: ${refusalText(acceptance.reason)}`);
  const scale = scaleOf(problem);
  const whole = scale?.whole ?? problem;
  const hops = lawfulHops(spec, problem, request);
  const counts = scale ? hops.map((hop) => hop.dividedBy(scale.unit)) : hops;
  const own = { ...request, hops: counts };
  const staged = whole.kind === 'product' && whole.operands.length > 2;
  const leastPlaces = scale && whole.kind !== 'product' ? scale.decimals + 1 : 1;
  const trace = staged
    ? runInOrder(spec, whole, own)
    : runOnce(spec, whole, { ...own, leastPlaces });
  if (!scale) return trace;
  const { order } = trace.choice;
  const read = { ...scaledTrace(trace, problem, scale), choice: { order, hops } };
  return withPoint(read, problem, request.slips ?? []);
}

function runOnce(spec: MethodSpec, problem: Problem, request: Request): Trace {
  const { school, slips, order, hops = [], leastPlaces = 1, stage } = request;
  const scribe = new Scribe({
    problem,
    method: spec.id,
    school,
    ...(slips ? { slips } : {}),
    ...(order && spec.freeOrder ? { order } : {}),
    hops,
    leastPlaces,
    ...(stage ? { stage } : {}),
  });
  return spec.work(scribe, problem, school);
}

/** The stages in the order in which the method takes the factors up. */
function runInOrder(spec: MethodSpec, problem: Problem, request: Request): Trace {
  const order = spec.stageOrder?.(problem, request.school);
  if (!order || order.every((operand, k) => operand === k))
    return runStages(spec, problem, request);
  const taken = makeProblem(
    problem.kind,
    order.map((operand) => problem.operands[operand]!),
  );
  return reorderedTrace(runStages(spec, taken, request), problem, order);
}

/** Two factors first, then what they make and the next one, to the last. */
function runStages(spec: MethodSpec, problem: Problem, request: Request): Trace {
  const [first, ...others] = problem.operands;
  const passed = new Map<string, number>();
  const works: Trace[] = [];
  let product = first!;
  for (const [k, factor] of others.entries()) {
    const later = others.slice(k + 1);
    const stage = makeProblem('product', [product, factor]);
    const { order, ...rest } = request;
    const without = { ...rest, stage: { number: k + 1, isLast: later.length === 0 } };
    const own = works.length === 0 && order ? { ...without, order } : without;
    const clean = runOnce(spec, stage, { ...own, slips: [] });
    const chances = later.some(isZero) ? [] : clean.opportunities;
    const slips = slipsOfStage(request.slips ?? [], chances, passed);
    const work = slips.length > 0 ? runOnce(spec, stage, { ...own, slips }) : clean;
    works.push(work);
    product = nextFactor(work, problem);
  }
  return stagedTrace(problem, works, sayStage);
}

/** What a stage has made, as the first factor of the next: a number, or the list of terms as they stand. */
function nextFactor(work: Trace, { base, operands }: Problem): Numeral {
  if (operands.every(({ terms }) => !terms)) return numeralOf(work.answer.numerator, base);
  const ids = new Set(work.groups.at(-1)!.marks);
  const marks = work.steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
  return termsNumeral(marks.length > 0 ? marks.map(({ worth }) => worth) : [Exact.ZERO]);
}

function isZero(factor: Numeral): boolean {
  return numeralValue(factor).isZero;
}

/** The wished slips that fall into a stage, counted from its own beginning; `passed` is moved on. */
function slipsOfStage(
  wished: readonly SlipRequest[],
  chances: readonly Opportunity[],
  passed: Map<string, number>,
): readonly SlipRequest[] {
  const own = wished.flatMap(({ slip, occurrence }) => {
    const within = occurrence - (passed.get(slip) ?? 0);
    const most = chances.filter((chance) => chance.slip === slip).length;
    return within >= 1 && within <= most ? [{ slip, occurrence: within }] : [];
  });
  for (const { slip } of chances) passed.set(slip, (passed.get(slip) ?? 0) + 1);
  return own;
}

/** Her hops up to the first that cannot be made. */
function lawfulHops(
  { ownHops }: MethodSpec,
  problem: Problem,
  { hops = [], school }: Request,
): readonly Exact[] {
  if (!ownHops || hops.length === 0) return [];
  const verdicts = ownHops.judge(problem, hops, school);
  const bad = verdicts.findIndex((verdict) => !verdict.ok);
  return hops.slice(0, Math.min(bad < 0 ? verdicts.length : bad, ownHops.most));
}
