import { pointRule, termShape } from '../problem/kinds.ts';
import type { Mark, Opportunity, School, Trace } from '../account/account.ts';
import { pointedTrace } from '../account/pointed.ts';
import { reorderedTrace } from '../account/reordered.ts';
import { scaledTrace } from '../account/scaled.ts';
import { Scribe, type ScribeRequest, type SlipAt, type StagePlace } from '../account/scribe.ts';
import { stagedTrace } from '../account/staged.ts';
import { turnedChances, turnedOrder, turnedTrace } from '../account/turned.ts';
import { Exact } from '../exact/exact.ts';
import { numeralOf, numeralValue, termsNumeral, type Numeral } from '../exact/numeral.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import { pointedLetters } from '../problem/script.ts';
import { scaleOf, type Scale } from '../problem/scale.ts';
import { refusalText, type MethodSpec, type TraceOptions } from './method-spec.ts';
import { withPoint } from './shared/point-step.ts';
import { sayStage } from './shared/stages.ts';

export interface Request extends TraceOptions {
  readonly school: School;
  readonly leastPlaces?: number;
  readonly stage?: StagePlace;
}

/** A request whose slips are known by their addresses. */
export interface Named {
  readonly school: School;
  readonly slips: readonly SlipAt[];
  readonly order: readonly string[] | undefined;
  readonly hops: readonly Exact[];
  readonly leastPlaces: number;
  readonly blankTails?: readonly number[];
  readonly stage: StagePlace | undefined;
}

/** How a request is worked: in whole numbers, and how they are read back. */
export interface Prepared {
  readonly scale: Scale | null;
  readonly whole: Problem;
  readonly own: Named;
  /** Whether it goes two factors at a time. */
  readonly staged: boolean;
  /** Her lawful hops in the numbers of the problem itself. */
  readonly hops: readonly Exact[];
}

/** What does not depend on schools or slips. */
type Readied = Pick<Prepared, 'scale' | 'whole' | 'staged'>;

/** Looked at once for every problem and method, since a class works one problem many times. */
const READIED = new WeakMap<Problem, Map<string, Readied>>();

function readied(spec: MethodSpec, problem: Problem): Readied {
  const known = READIED.get(problem)?.get(spec.id);
  if (known) return known;
  const acceptance = spec.accepts(problem);
  if (!acceptance.ok) throw new RangeError(`${spec.id}: ${refusalText(acceptance.reason)}`);
  const scale = scaleOf(problem);
  const whole = scale?.whole ?? problem;
  const made = {
    scale,
    whole,
    staged:
      !spec.takesAllFactors && termShape(whole.kind) === 'products' && whole.operands.length > 2,
  };
  const all = READIED.get(problem) ?? new Map<string, Readied>();
  READIED.set(problem, all.set(spec.id, made));
  return made;
}

/** Looks at a request before it is worked. RangeError when the method does not accept the problem. */
export function prepared(
  spec: MethodSpec,
  problem: Problem,
  request: Request,
  chancesOf: (clean: Request) => readonly Opportunity[],
): Prepared {
  const { scale, whole, staged } = readied(spec, problem);
  const hops = lawfulHops(spec, problem, request);
  const counts = scale ? hops.map((hop) => hop.dividedBy(scale.unit)) : hops;
  const leastPlaces = scale && pointRule(whole.kind) === 'lined-up' ? scale.decimals + 1 : 1;
  const slips = addressed(request, chancesOf);
  const { school, order, stage } = request;
  const blankTails = problem.operands.map(({ decimals }) => (scale?.decimals ?? 0) - decimals);
  const own: Named = { school, order, stage, slips, hops: counts, leastPlaces, blankTails };
  return { scale, whole, own, staged, hops };
}

/**
 * Works a problem by a method. Methods work whole numbers, and products two factors at a time: decimals
 * are scaled before and read back after, strings of factors go stage by stage. RangeError when the method
 * does not accept the problem.
 */
export function runMethod(spec: MethodSpec, problem: Problem, request: Request): Trace {
  const chancesOf = (clean: Request) => runMethod(spec, problem, clean).opportunities;
  const { scale, whole, own, staged, hops } = prepared(spec, problem, request, chancesOf);
  const trace = staged ? runInOrder(spec, whole, own) : runOnce(spec, whole, own);
  const pointed = pointedLetters(problem);
  if (pointed !== undefined) return pointedTrace(trace, pointed);
  if (!scale) return trace;
  const { order } = trace.choice;
  const read = { ...scaledTrace(trace, problem, scale), choice: { order, hops } };
  return withPoint(read, problem, own.slips);
}

/** Slips by their addresses; those that were asked for by number are looked up in a clean work. */
function addressed(
  request: Request,
  chancesOf: (clean: Request) => readonly Opportunity[],
): readonly SlipAt[] {
  const { slips = [] } = request;
  if (slips.every((slip) => slip.at)) return slips.flatMap((one) => (one.at ? [one] : []));
  const opportunities = chancesOf({ ...request, slips: [] });
  return slips.flatMap((one): readonly SlipAt[] => {
    if (one.at) return [one];
    const { slip, occurrence } = one;
    return opportunities.filter(
      (chance) => chance.slip === slip && chance.occurrence === occurrence,
    );
  });
}

function runOnce(spec: MethodSpec, problem: Problem, request: Named): Trace {
  const paper = onPaper(spec, problem, request);
  const trace = spec.work(new Scribe(paper.asked), paper.asked.problem, request.school);
  return paper.isTurned ? turnedTrace(trace, problem) : trace;
}

/** What a Scribe is asked for one stage: where the second of two factors stands on top, it comes first. */
export function onPaper(spec: MethodSpec, problem: Problem, request: Named) {
  if (!spec.secondOnTop?.(problem, request.school)) {
    return { asked: scribeRequest(spec, problem, request), isTurned: false };
  }
  const turned = makeProblem(problem.kind, [...problem.operands].reverse());
  const own: Named = {
    ...request,
    slips: turnedChances(request.slips),
    order: request.order && turnedOrder(request.order),
  };
  return { asked: { ...scribeRequest(spec, turned, own), onTop: 1 } as const, isTurned: true };
}

function scribeRequest(spec: MethodSpec, problem: Problem, request: Named): ScribeRequest {
  const { school, slips, order, hops, leastPlaces, blankTails = [], stage } = request;
  const own = spec.freeOrder ? order : undefined;
  const asked = { problem, method: spec.id, school, slips, hops, leastPlaces, blankTails, stage };
  return { ...asked, order: own };
}

/** The stages in the order in which the method takes the factors up. */
function runInOrder(spec: MethodSpec, problem: Problem, request: Named): Trace {
  const { taken, order } = inOrder(spec, problem, request.school);
  const works = inStages(taken, request, {
    run: (stage, own) => runOnce(spec, stage, own),
    madeBy: answerMarks,
  });
  const trace = stagedTrace(taken, works, sayStage);
  return order ? reorderedTrace(trace, problem, order) : trace;
}

/** A product with its factors as the method takes them up, and their order where it is another one. */
export function inOrder(spec: MethodSpec, problem: Problem, school: School) {
  const order = spec.stageOrder?.(problem, school);
  if (!order || order.every((operand, k) => operand === k)) return { taken: problem, order: null };
  const operands = order.map((operand) => problem.operands[operand]!);
  return { taken: makeProblem(problem.kind, operands), order };
}

/** How one stage is worked, and what it has made. */
interface StageRun<Work> {
  readonly run: (stage: Problem, own: Named) => Work;
  readonly madeBy: (work: Work) => readonly Pick<Mark, 'worth'>[];
}

/** Two factors first, then what they make and the next one, to the last. */
export function inStages<Work>(
  problem: Problem,
  request: Named,
  { run, madeBy }: StageRun<Work>,
): readonly Work[] {
  const [first, ...others] = problem.operands;
  const works: Work[] = [];
  let product = first;
  for (const [k, factor] of others.entries()) {
    const later = others.slice(k + 1);
    const own: Named = {
      ...request,
      order: k === 0 ? request.order : undefined,
      stage: { number: k + 1, isLast: later.length === 0 },
      slips: later.some(isZero) ? [] : slipsOfStage(request.slips, k),
    };
    const work = run(makeProblem('product', [product, factor]), own);
    works.push(work);
    product = nextFactor(madeBy(work), problem);
  }
  return works;
}

function answerMarks({ groups, steps }: Trace): readonly Mark[] {
  const ids = new Set(groups.at(-1)!.marks);
  return steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
}

/** What a stage has made, as the first factor of the next: a number, or the list of terms as they stand. */
function nextFactor(marks: readonly Pick<Mark, 'worth'>[], { base, operands }: Problem): Numeral {
  const worths = marks.map(({ worth }) => worth);
  if (operands.every(({ terms }) => !terms)) return numeralOf(Exact.sum(worths).numerator, base);
  return termsNumeral(worths.length > 0 ? worths : [Exact.ZERO]);
}

function isZero(factor: Numeral): boolean {
  return numeralValue(factor).isZero;
}

/** The slips that are made in a stage, as the stage itself names them. */
function slipsOfStage(slips: readonly SlipAt[], stage: number): readonly SlipAt[] {
  return slips.flatMap((one) => {
    const { stage: of = 0, ...at } = one.at;
    return of === stage ? [{ ...one, at }] : [];
  });
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
