import { samePhase, type Phase } from '../account/phase.ts';
import type { Step } from '../account/account.ts';
import { carriedOn, isRewriting } from '../account/rewriting.ts';
import { TermSet } from '../account/terms.ts';
import type { Lane } from './compare.ts';

/** Some steps of a lane that follow each other: those after the first `from` ones, up to the step `to`. */
interface Stretch {
  readonly lane: Lane;
  readonly from: number;
  readonly to: number;
}

/**
 * Where methods that go by amount wait for each other. In every stage, first every point at which the lanes
 * have dealt with the same set of terms, then the end of the stage; in the last, for lanes that write the
 * answer place by place, every place that all of those have written; with the last of them comes the end of
 * every lane. Linear in the steps of all lanes together.
 */
export function stopsOf(lanes: readonly Lane[]): readonly (readonly number[])[] {
  const stages = stagesOf(lanes);
  const start = lanes.map(() => 0);
  const end = lanes.map((lane) => lane.trace.steps.length);
  const during = stages.flatMap((stretches, k) => {
    const stops = dealtStops(stretches);
    return k === stages.length - 1 ? stops : [...stops, stretches.map(({ to }) => to)];
  });
  const after = answerStops(lanes, during.at(-1) ?? start);
  return withoutRepeats([start, ...during, ...after.slice(0, -1), end]);
}

/** For every stage its stretch of each lane; one stage when the lanes are not staged alike. */
function stagesOf(lanes: readonly Lane[]): readonly (readonly Stretch[])[] {
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
    for (const mark of on) carriers.add(mark.id);
  }
  return stepOf;
}

function dealtStops(stretches: readonly Stretch[]): number[][] {
  const dealings = stretches.map(dealing);
  const inOrder = [...dealings[0]!.stepOf.keys()];
  const reached = stretches.map(({ from }) => from);
  const stops: number[][] = [];
  inOrder.forEach((index, done) => {
    dealings.forEach(({ stepOf }, k) => {
      reached[k] = Math.max(reached[k]!, stepOf.get(index) ?? 0);
    });
    const together = dealings.every(({ count }, k) => count(reached[k]!) === done + 1);
    if (!together) return;
    stops.push(reached.map((step, k) => extended(stretches[k]!, dealings[k]!, step)));
  });
  return stops;
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

/** The places of the answer that a step writes. */
function answerPlaces(step: Step): readonly number[] {
  return step.gives.flatMap((mark) =>
    mark.role === 'answer' && mark.place !== undefined ? [mark.place] : [],
  );
}

function answerStops(lanes: readonly Lane[], from: readonly number[]): number[][] {
  const written = lanes.map((lane, k) => {
    const byPlace = new Map<number, number>();
    for (const step of lane.trace.steps.slice(from[k])) {
      for (const place of answerPlaces(step)) byPlace.set(place, step.number);
    }
    return byPlace;
  });
  const byPlace = written.filter((places) => places.size > 1);
  if (byPlace.length < 2) return [];
  const places = [...new Set(byPlace.flatMap((map) => [...map.keys()]))].sort((a, b) => a - b);
  const at = [...from];
  return places.map((place) => {
    written.forEach(
      (map, k) => (at[k] = Math.max(at[k]!, map.size > 1 ? (map.get(place) ?? 0) : 0)),
    );
    return [...at];
  });
}

function withoutRepeats(stops: readonly (readonly number[])[]): readonly (readonly number[])[] {
  return stops.filter((stop, i) => i === 0 || stop.some((step, k) => step !== stops[i - 1]![k]));
}

/** The stop just after the given steps: the first that is ahead in every lane that is not there yet. */
export function nextStop(
  stops: readonly (readonly number[])[],
  at: readonly number[],
): readonly number[] {
  return stops.find((stop) => stop.some((step, k) => step > at[k]!)) ?? at;
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
