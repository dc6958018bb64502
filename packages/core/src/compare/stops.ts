import { samePhase, sameUnit, type Phase } from '../account/phase.ts';
import { carriedOn, isRewriting } from '../account/rewriting.ts';
import { TermSet } from '../account/terms.ts';
import type { Lane } from './comparison.ts';

/** Some steps of a lane that follow each other: those after the first `from` ones, up to the step `to`. */
interface Stretch {
  readonly lane: Lane;
  readonly from: number;
  readonly to: number;
}

/**
 * Every moment that methods show when they are moved by amount, from the start to the end: see {@link nextStop}.
 */
export function stopsOf(lanes: readonly Lane[]): readonly (readonly number[])[] {
  const stops: (readonly number[])[] = [lanes.map(() => 0)];
  for (const stage of stagesOf(lanes)) {
    const pace = new Pace(stage, stops.at(-1)!);
    while (!pace.isOver) stops.push(pace.advance());
  }
  return stops;
}

/**
 * The moment after the given steps. Where all methods come to the same terms within their next unit (a line, a cell, a
 * place with its regrouping, a hop, a figure of a quotient), they meet there. Else each goes one unit on, but
 * for those that have dealt with all that another has dealt with, and more: they wait for it. Nothing moves at the end.
 */
export function nextStop(lanes: readonly Lane[], at: readonly number[]): readonly number[] {
  for (const stage of stagesOf(lanes)) {
    const pace = new Pace(stage, at);
    if (!pace.isOver) return pace.advance();
  }
  return at;
}

/** Whether all methods have dealt with the same terms once so many steps are done. */
export function areTogether(lanes: readonly Lane[], at: readonly number[]): boolean {
  return stagesOf(lanes).every((stage) => new Pace(stage, at).areLevel);
}

/** What is known of a stage before any lane moves. */
interface Stage {
  readonly stretches: readonly Stretch[];
  readonly dealings: readonly Dealing[];
  readonly meets: readonly (readonly number[])[];
  /** For each lane and step the terms that it deals with. */
  readonly endings: readonly ReadonlyMap<number, readonly number[]>[];
}

/** Looked at once for all moves of a comparison. */
const STAGES = new WeakMap<readonly Lane[], readonly Stage[]>();

function stagesOf(lanes: readonly Lane[]): readonly Stage[] {
  const known = STAGES.get(lanes) ?? stretchesOf(lanes).map(stageOf);
  STAGES.set(lanes, known);
  return known;
}

function stageOf(stretches: readonly Stretch[]): Stage {
  const dealings = stretches.map(dealing);
  const meets = meetings(
    dealings,
    stretches.map(({ from }) => from),
  );
  const endings = dealings.map(({ stepOf }) => {
    const ending = new Map<number, number[]>();
    for (const [term, step] of stepOf) {
      const terms = ending.get(step);
      if (terms) terms.push(term);
      else ending.set(step, [term]);
    }
    return ending;
  });
  return { stretches, dealings, meets, endings };
}

/** For every stage its stretch of each lane; one stage when the lanes are not staged alike. */
function stretchesOf(lanes: readonly Lane[]): readonly (readonly Stretch[])[] {
  const count = lanes[0]!.trace.stages.length;
  if (count === 0 || lanes.some(({ trace }) => trace.stages.length !== count)) {
    return [lanes.map(wholeLane)];
  }
  return Array.from({ length: count }, (_, k) =>
    lanes.map((lane): Stretch => {
      const { stages, steps } = lane.trace;
      const from = k === 0 ? 0 : stages[k]!.before - 1;
      const next = stages[k + 1];
      return { lane, from, to: next ? next.before - 1 : steps.length };
    }),
  );
}

function wholeLane(lane: Lane): Stretch {
  return { lane, from: 0, to: lane.trace.steps.length };
}

interface Dealing {
  /** For each common term, the step that deals with it. */
  readonly stepOf: ReadonlyMap<number, number>;
  /** How many terms are dealt with once a step of the stretch is done; none before it. */
  readonly count: (step: number) => number;
}

/** A term is dealt with by the last step that takes it, be it as owed or rewritten. */
function dealing(stretch: Stretch): Dealing {
  const { from, to } = stretch;
  const stepOf = dealtIn(stretch);
  const ending = Array.from({ length: to - from }, () => 0);
  for (const step of stepOf.values()) ending[step - from - 1]!++;
  let done = 0;
  const counts = [0, ...ending.map((terms) => (done += terms))];
  return { stepOf, count: (step) => counts[step - from] ?? 0 };
}

/** For each common term, the step that deals with it, in the order of those steps. */
export function dealtSteps(lane: Lane): ReadonlyMap<number, number> {
  return dealtIn(wholeLane(lane));
}

function dealtIn({ lane, from, to }: Stretch): ReadonlyMap<number, number> {
  const { start, steps } = lane.trace;
  const stepOf = new Map<number, number>();
  const opened = from === 0 ? start : steps[from]!.opens;
  const carriers = new Set(opened.map((entry) => entry.id));
  for (const step of steps.slice(from, to)) {
    const on = carriedOn(step);
    const stays = TermSet.union(
      lane.amounts.at(-1)!.terms.space,
      on.map((mark) => lane.termsOf(mark.id)),
    );
    for (const id of step.takes.filter((taken) => carriers.has(taken))) {
      for (const index of lane.termsOf(id).indices()) {
        if (stays.has(index)) continue;
        stepOf.delete(index);
        stepOf.set(index, step.number);
      }
    }
    // A copy of what is dealt with already, as of cells into a list, is not to be dealt with once more.
    const isOwed = step.opens.length > 0 || step.takes.some((id) => carriers.has(id));
    if (isOwed) for (const mark of on) carriers.add(mark.id);
  }
  return stepOf;
}

/** Every moment at which the lanes have dealt with the same terms, as early as they can. */
function meetings(dealings: readonly Dealing[], from: readonly number[]): number[][] {
  const reached = [...from];
  const met: number[][] = [];
  [...dealings[0]!.stepOf.keys()].forEach((index, done) => {
    dealings.forEach(({ stepOf }, k) => {
      reached[k] = Math.max(reached[k]!, stepOf.get(index) ?? 0);
    });
    if (dealings.every(({ count }, k) => count(reached[k]!) === done + 1)) met.push([...reached]);
  });
  return met;
}

/**
 * Goes on through steps that deal with nothing new and do not already open the next phase or make the
 * next place ready; once all is dealt with, through steps of phases that came before, such as the total of the last row.
 */
function extended({ lane, from, to }: Stretch, { count }: Dealing, step: number): number {
  const { steps } = lane.trace;
  const dealt = count(step);
  let next = step;
  while (next < to && count(next + 1) === dealt) next++;
  let last = step;
  if (next === to) {
    const known = steps.slice(from, step).map(({ phase }) => phase);
    const isKnown = (phase: Phase) => known.some((one) => samePhase(one, phase));
    while (last < next && isKnown(steps[last]!.phase)) last++;
    return last;
  }
  const opens = steps[next]!.phase;
  while (last < next && !samePhase(steps[last]!.phase, opens) && !isRewriting(steps[last]!)) {
    last++;
  }
  return last;
}

/** How far lanes have come in one stage, and how they go on. */
class Pace {
  private readonly at: number[];
  /** How many meetings lie behind. */
  private met = 0;
  /** The lanes that have dealt with a term, as bits. */
  private readonly dealtBy = new Map<number, number>();
  /** How many terms a lane has dealt with that another has not. */
  private readonly ahead: number[][];

  constructor(
    private readonly stage: Stage,
    at: readonly number[],
  ) {
    const { stretches } = stage;
    this.ahead = stretches.map(() => stretches.map(() => 0));
    this.at = stretches.map(({ from }) => from);
    stretches.forEach(({ from, to }, k) => {
      this.bring(k, Math.max(from, Math.min(to, at[k]!)));
    });
  }

  get isOver(): boolean {
    return this.stage.stretches.every(({ to }, k) => this.at[k]! >= to);
  }

  /** Whether all lanes have dealt with the same terms; what cancels before it is dealt with counts at the end. */
  get areLevel(): boolean {
    return this.isOver || this.ahead.every((others) => others.every((terms) => terms === 0));
  }

  /** One moment on. */
  advance(): readonly number[] {
    const units = this.stage.stretches.map(unitAfter(this.at));
    this.target(units).forEach((step, k) => this.bring(k, step));
    return [...this.at];
  }

  private target(units: readonly number[]): readonly number[] {
    const { at } = this;
    const { stretches, dealings } = this.stage;
    if (this.areLevel && !this.isAllDealt) {
      const behind = stretches.map(
        (stretch, k) => extended(stretch, dealings[k]!, at[k]!) > at[k]!,
      );
      if (behind.includes(true)) return at.map((step, k) => (behind[k] ? units[k]! : step));
    }
    const meet = this.nextMeeting();
    if (meet?.every((step, k) => step <= units[k]!)) return meet;
    const deals = stretches.map((_, k) => this.count(k, units[k]!) > this.count(k, at[k]!));
    const waits = stretches.map((_, k) => this.isAheadOf(k, deals));
    const going = at.map((step, k) => (waits[k] ? step : units[k]!));
    return going.some((step, k) => step > at[k]!) ? going : units;
  }

  private get isAllDealt(): boolean {
    return this.stage.dealings.every(({ stepOf }, k) => this.count(k, this.at[k]!) === stepOf.size);
  }

  /** The first moment at which all can meet that none has passed. */
  private nextMeeting(): readonly number[] | undefined {
    const { at } = this;
    const { meets } = this.stage;
    const isBehind = (meet: readonly number[]) =>
      meet.some((step, k) => step < at[k]!) || meet.every((step, k) => step === at[k]!);
    while (this.met < meets.length && isBehind(meets[this.met]!)) this.met++;
    return meets[this.met];
  }

  /** Whether a lane has dealt with all that one of some others has dealt with, and more. */
  private isAheadOf(lane: number, others: readonly boolean[]): boolean {
    return others.some(
      (one, other) => one && this.ahead[other]![lane] === 0 && this.ahead[lane]![other]! > 0,
    );
  }

  private count(lane: number, step: number): number {
    return this.stage.dealings[lane]!.count(step);
  }

  private bring(lane: number, to: number): void {
    for (let step = this.at[lane]! + 1; step <= to; step++) {
      for (const term of this.stage.endings[lane]!.get(step) ?? []) this.deal(lane, term);
    }
    this.at[lane] = to;
  }

  private deal(lane: number, term: number): void {
    const before = this.dealtBy.get(term) ?? 0;
    this.ahead.forEach((others, other) => {
      if (other === lane) return;
      if (before & (1 << other)) others[lane]!--;
      else this.ahead[lane]![other]!++;
    });
    this.dealtBy.set(term, before | (1 << lane));
  }
}

/** Where the unit of a stretch ends that the next step belongs to. */
function unitAfter(at: readonly number[]): (stretch: Stretch, lane: number) => number {
  return ({ lane: { trace }, to }, lane) => {
    let end = Math.min(at[lane]! + 1, to);
    while (end < to && sameUnit(trace.steps[end - 1]!.phase, trace.steps[end]!.phase)) end++;
    return Math.max(end, at[lane]!);
  };
}

/** The stop just before the given steps. */
export function previousStop(
  stops: readonly (readonly number[])[],
  at: readonly number[],
): readonly number[] {
  return (
    stops.findLast(
      (stop) => stop.some((step, k) => step < at[k]!) && stop.every((step, k) => step <= at[k]!),
    ) ?? stops[0]!
  );
}
