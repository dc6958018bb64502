import { stagedId } from './ids.ts';
import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import type {
  EntryId,
  FactChance,
  Given,
  Group,
  Mark,
  Opportunity,
  OwedEntry,
  Phrase,
  Stage,
  Step,
  Trace,
} from './account.ts';
import { chancesOfStage, withEnds } from './chance.ts';
import { TermSet, type TermSpace } from './terms.ts';
import { ProductSpace } from './spaces.ts';

/** How a stage that follows is announced: the one before, with its number, and its own opening work. */
export type SayStage = (number: number, made: Trace, next: Trace) => Phrase;

/**
 * The product of three and more factors as one account. Each stage is a work of two factors by itself;
 * in the whole account its amounts are owed as many times as the factors to come say, and the answer of a
 * stage opens what the next one owes.
 */
export function stagedTrace(problem: Problem, works: readonly Trace[], say: SayStage): Trace {
  const factors = problem.operands.map(numeralValue);
  const cuts = [works[0]!.space.cuts[0]!, ...works.map((work) => work.space.cuts[1]!)];
  const space = new ProductSpace(cuts);
  const { lifts, spent } = liftsOf(works, space);
  const stages: Stage[] = [];
  const parts: LiftedWork[] = [];
  const steps: Step[] = [];
  const opportunities: Opportunity[] = [];
  const facts: FactChance[] = [];
  works.forEach((work, k) => {
    const rest = factors.slice(k + 2).reduce((product, factor) => product.times(factor), Exact.ONE);
    const opens = k > 0 ? 1 : 0;
    const before = steps.length + opens;
    const stage: Stage = { trace: work, before, prefix: k === 0 ? '' : `s${k + 1}.` };
    const lifted = liftedWork(stage, k, rest, lifts[k]!);
    if (opens === 1) {
      steps.push({
        number: before,
        law: 'distribute',
        phase: { kind: 'stage', of: k + 1 },
        takes: answerMarks(stages.at(-1)!),
        gives: [],
        opens: lifted.owed,
        strikes: [],
        phrase: say(k, works[k - 1]!, work),
        balance: Exact.sum(lifted.owed.map(({ worth }) => worth)),
      });
    }
    steps.push(...lifted.steps);
    if (!rest.isZero) {
      const at = { stage: k, stepsBefore: before };
      opportunities.push(...chancesOfStage(work.opportunities, opportunities, at));
      facts.push(...chancesOfStage(work.facts, facts, at));
    }
    stages.push(stage);
    parts.push(lifted);
  });
  const total = problemValue(problem);
  return {
    ...works.at(-1)!,
    problem,
    choice: works[0]!.choice,
    space,
    givens: parts.flatMap(({ givens }) => givens),
    start: parts[0]!.owed,
    steps,
    groups: parts.flatMap(({ groups }, k) =>
      groups.map((group) => stageGroup(group, k === works.length - 1, spent)),
    ),
    opportunities: withEnds(opportunities),
    facts,
    total,
    balanced: steps.every((step) => step.balance.equals(total)),
    stages,
  };
}

/** The answer of every stage but the last is a number on the way; the last also holds what came to nothing. */
function stageGroup(group: Group, isLast: boolean, spent: TermSet): Group {
  if (group.role !== 'answer') return group;
  return isLast
    ? { ...group, terms: TermSet.union(spent.space, [group.terms, spent]) }
    : { ...group, role: 'subtotal' };
}

interface LiftedWork {
  readonly owed: readonly OwedEntry[];
  readonly givens: readonly Given[];
  readonly steps: readonly Step[];
  readonly groups: readonly Group[];
}

/** One stage in the ids, terms and amounts of the whole work. */
function liftedWork(
  { trace: work, before, prefix }: Stage,
  k: number,
  rest: Exact,
  lift: Lift,
): LiftedWork {
  const name = (id: EntryId) => stagedId(prefix, id);
  const raised = <T extends { readonly worth: Exact; readonly terms: TermSet }>(of: T) => ({
    worth: of.worth.times(rest),
    terms: of.worth.isZero ? lift.none : lift.terms(of.terms),
  });
  const mark = (of: Mark): Mark => ({
    ...of,
    id: name(of.id),
    worth: of.worth.times(rest),
    terms: lift.terms(of.terms),
    spot: { ...of.spot, area: prefix + of.spot.area },
  });
  return {
    owed: work.start.map((entry) => ({ ...entry, id: name(entry.id), ...raised(entry) })),
    givens: work.givens.map((given) => ({
      ...given,
      ...(k > 0 ? { since: before } : {}),
      id: name(given.id),
      terms: lift.terms(given.terms),
      operand: given.operand === 0 ? 0 : k + 1,
      spot: { ...given.spot, area: prefix + given.spot.area },
    })),
    steps: work.steps.map((step) => ({
      ...step,
      number: step.number + before,
      phase: { ...step.phase, stage: k + 1 },
      takes: step.takes.map(name),
      gives: step.gives.map(mark),
      strikes: step.strikes.map(name),
      balance: step.balance.times(rest),
    })),
    groups: work.groups.map((group) => ({
      ...group,
      id: prefix + group.id,
      marks: group.marks.map(name),
      worth: group.worth.times(rest),
      terms: lift.terms(group.terms),
    })),
  };
}

/** The marks of a stage's answer, by their ids in the whole work. */
function answerMarks({ trace, prefix }: Stage): readonly EntryId[] {
  return trace.groups.at(-1)!.marks.map((id) => stagedId(prefix, id));
}

/** Turns the terms of a stage into those of the whole product. */
interface Lift {
  readonly none: TermSet;
  readonly terms: (terms: TermSet) => TermSet;
}

/** Terms that a stage has gathered into nothing, so that no part of the next one's factor holds them. */
function leftOut(
  work: Trace,
  lift: Lift,
  here: number,
  holds: (part: number) => readonly number[],
  parts: number,
): TermSet {
  const held = new Set(Array.from({ length: parts }, (_, part) => holds(part)).flat());
  const all = lift.terms(work.groups.at(-1)!.terms);
  return TermSet.from(
    all.space,
    [...all.indices()].filter((index) => !held.has(index % here)),
  );
}

/**
 * The lifts of all stages and what came to nothing between them. A part of a stage's first factor stands for every product that the stages before
 * have gathered in it; each is taken with every part of the factors to come.
 */
function liftsOf(
  works: readonly Trace[],
  space: TermSpace,
): { readonly lifts: readonly Lift[]; readonly spent: TermSet } {
  const sizes = space.cuts.map((parts) => parts.length);
  const lifts: Lift[] = [];
  const spent: TermSet[] = [];
  let holds = (part: number): readonly number[] => [part];
  works.forEach((work, k) => {
    const below = sizes.slice(0, k + 1).reduce((product, size) => product * size, 1);
    const here = below * sizes[k + 1]!;
    const lift = liftOf(work, space, holds, below, here);
    lifts.push(lift);
    const next = works[k + 1]?.space.cuts[0];
    if (!next) return;
    holds = holders(work, lift, here, next.length);
    spent.push(leftOut(work, lift, here, holds, next.length));
  });
  return { lifts, spent: TermSet.union(space, spent) };
}

function liftOf(
  work: Trace,
  space: TermSpace,
  holds: (part: number) => readonly number[],
  below: number,
  here: number,
): Lift {
  const known = new Map<string, TermSet>();
  const terms = (set: TermSet): TermSet => {
    const found = known.get(set.key);
    if (found) return found;
    const indices = new Set<number>();
    for (const index of set.indices()) {
      const [first = 0, second = 0] = work.space.parts(index);
      for (const product of holds(first)) {
        const from = product + second * below;
        for (let at = from; at < space.size; at += here) indices.add(at);
      }
    }
    const live = [...indices].filter((index) => !space.worth(index).isZero);
    const made = TermSet.from(space, live);
    known.set(set.key, made);
    return made;
  };
  return { none: TermSet.empty(space), terms };
}

/**
 * For each part of the next stage's first factor, the products of the factors so far that it holds: those
 * of the figure in its place; those of the term that it is, where the answer is a list of as many terms;
 * or all when the answer is one number.
 */
function holders(
  work: Trace,
  lift: Lift,
  here: number,
  parts: number,
): (part: number) => readonly number[] {
  const answer = work.groups.at(-1)!;
  const ids = new Set(answer.marks);
  const marks = work.steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
  const placed = marks.every(({ place, glyph }) => place !== undefined && glyph.length === 1);
  const listed = !placed && marks.length === parts;
  const markOf = (part: number) => {
    if (placed) return marks.find(({ place }) => place === part);
    return listed ? marks[parts - 1 - part] : undefined;
  };
  const known = new Map<number, readonly number[]>();
  return (part) => {
    const found = known.get(part);
    if (found) return found;
    const all = lift.terms(markOf(part)?.terms ?? answer.terms);
    const held = [...new Set([...all.indices()].map((index) => index % here))];
    known.set(part, held);
    return held;
  };
}
