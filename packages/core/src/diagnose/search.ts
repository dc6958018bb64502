import type { FactChance } from '../account/account.ts';
import { addressText, FEATURES, type Addressed, type Feature } from '../account/chance.ts';
import type { LightRun } from '../account/light-run.ts';
import type { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import { wrongCopies } from '../slips/copies.ts';
import { factErrors } from '../slips/fact-errors.ts';
import { suits, workWithHabits, type Habit, type HabitWork } from '../slips/habits.ts';
import { causeKey, compareCauses, type Cause, type CauseSlip } from './cause.ts';
import { pairCauses } from './pairs.ts';
import { linesForAll, wholeItems, type WholeItem } from './whole-item.ts';
import { methodsFor, waysOf, type Way } from './works.ts';

/** How much was looked through. */
export interface Searched {
  readonly methods: number;
  readonly schools: number;
  readonly singles: number;
  readonly habits: number;
  readonly pairs: number;
  readonly facts: number;
  /** Whether the search was broken off before it was through. */
  readonly cut: boolean;
}

/** One thing that goes wrong in one way of working, with what it gives. */
export interface Event {
  readonly slips: readonly CauseSlip[];
  readonly run: LightRun;
  readonly habit: Cause['habit'];
}

/** A way of working with all that goes wrong in it once or as a habit. */
export interface WayEvents {
  readonly way: Way;
  readonly singles: readonly Event[];
  readonly habits: readonly Event[];
  readonly facts: readonly Event[];
}

/**
 * Everything that single slips, habits, facts and copies make of one problem, by the answer that they give. It is made
 * once and asked for as many answers as there are.
 */
export class Search {
  readonly right: Exact;
  readonly methods: readonly Method[];
  readonly events: readonly WayEvents[];
  private readonly byAnswer = new Map<string, Cause[]>();
  private pairs = 0;
  private cut = false;

  constructor(
    readonly problem: Problem,
    ids?: readonly string[],
  ) {
    this.right = problemValue(problem);
    this.methods = methodsFor(problem, ids);
    this.events = this.methods.flatMap((method) =>
      waysOf(method, problem).map((way) => eventsOf(problem, way)),
    );
    const causes = merged([
      ...wholeItems(problem).map((item) => wholeItemCause(item)),
      ...this.methods.flatMap((method) =>
        linesForAll(method.trace(problem)).map((item) =>
          wholeItemCause(item, [{ method, school: method.defaultSchool }]),
        ),
      ),
      ...this.events.flatMap(({ way, singles, habits, facts }) => [
        ...[...singles, ...habits].map((event) => eventCause(event, way, 'method')),
        ...facts.map((event) => eventCause(event, way, 'fact')),
      ]),
      ...this.copies(),
    ]);
    for (const cause of causes) {
      if (cause.answer.equals(this.right)) continue;
      const key = cause.answer.toString();
      this.byAnswer.set(key, [...(this.byAnswer.get(key) ?? []), cause]);
    }
    for (const [key, list] of this.byAnswer) this.byAnswer.set(key, list.sort(compareCauses));
  }

  /** What explains a wrong answer, the likeliest first: single slips and habits, or, where there are none, two slips. */
  explain(answer: Exact): readonly Cause[] {
    const single = this.byOne(answer);
    if (single.length > 0) return single;
    const { causes, tried, cut } = pairCauses(this.problem, this.events, answer.minus(this.right));
    this.pairs += tried;
    this.cut ||= cut;
    return merged(causes).sort(compareCauses);
  }

  /** What explains it by one slip or one habit alone, the likeliest first. */
  byOne(answer: Exact): readonly Cause[] {
    return this.byAnswer.get(answer.toString()) ?? [];
  }

  /** Every wrong answer that one slip gives, as a text. */
  get reached(): readonly string[] {
    return [...this.byAnswer.keys()];
  }

  /** Slips of these methods that give no wrong answer on these numbers. */
  get silent(): readonly string[] {
    const shown = new Set(
      [...this.byAnswer.values()].flat().flatMap(({ slips }) => slips.map(({ slip }) => slip)),
    );
    const all = new Set(this.methods.flatMap(({ slips }) => slips.map(({ id }) => id)));
    return [...all].filter((slip) => !shown.has(slip));
  }

  get searched(): Searched {
    const count = (of: (way: WayEvents) => number) =>
      this.events.reduce((sum, way) => sum + of(way), 0);
    return {
      methods: this.methods.length,
      schools: this.events.length,
      singles: count(({ singles }) => singles.length),
      habits: count(({ habits }) => habits.length),
      pairs: this.pairs,
      facts: count(({ facts }) => facts.length),
      cut: this.cut,
    };
  }

  /** A number that is copied wrongly is worked rightly then, by whatever method. */
  private copies(): readonly Cause[] {
    return wrongCopies(this.problem).map(({ slip, at, problem }): Cause => {
      const takes = this.methods
        .filter((method) => method.accepts(problem).ok)
        .map((method) => ({ method, school: method.defaultSchool }));
      const slips = [{ slip, at, idea: slip }];
      const answer = problemValue(problem);
      return {
        tier: 'copy',
        slips,
        habit: null,
        answer,
        works: takes,
        copied: problem,
        cancels: false,
      };
    });
  }
}

export function wholeItemCause({ slip, at, answer }: WholeItem, works: Cause['works'] = []): Cause {
  const slips = [{ slip, at, idea: slip }];
  return {
    tier: 'whole-item',
    slips,
    habit: null,
    answer,
    works,
    copied: null,
    cancels: false,
  };
}

function eventCause({ slips, run, habit }: Event, way: Way, tier: Cause['tier']): Cause {
  const { method, school } = way;
  const works = [{ method, school }];
  return { tier, slips, habit, answer: run.answer, works, copied: null, cancels: false };
}

/** Causes with the same slips, addresses and answer are one, with all their works; each method by its first school. */
function merged(causes: readonly Cause[]): Cause[] {
  const byKey = new Map<string, Cause>();
  for (const cause of causes) {
    const key = causeKey(cause);
    const known = byKey.get(key);
    if (!known) {
      byKey.set(key, cause);
      continue;
    }
    const more = cause.works.filter(
      ({ method }) => !known.works.some((work) => work.method === method),
    );
    const habit = known.habit ?? cause.habit;
    byKey.set(key, { ...known, habit, works: [...known.works, ...more] });
  }
  return [...byKey.values()];
}

/** All that goes wrong in one way of working: each slip once, as a habit, and each fact. */
export function eventsOf(problem: Problem, way: Way): WayEvents {
  const singles = way.clean.opportunities.map(({ slip, at }): Event => {
    const run = way.singles.get(addressText({ slip, at }))!;
    return { slips: [{ slip, at, idea: slip }], run, habit: null };
  });
  return { way, singles, habits: habitsOf(problem, way), facts: factsOf(problem, way) };
}

/** Every habit that is followed at two chances or more; one with a feature only where it is not the same as without. */
function habitsOf(problem: Problem, way: Way): readonly Event[] {
  const ids = new Set(way.clean.opportunities.map(({ slip }) => slip));
  return [...ids].flatMap((slip): readonly Event[] => {
    const known = new Set<string>();
    const chances = way.clean.opportunities.filter((chance) => chance.slip === slip);
    const features = FEATURES.filter((feature) =>
      chances.some((chance) => suits({ slip, where: feature }, chance)),
    );
    return (['all', ...features] as const).flatMap((where) => {
      const work = workWithHabits(way.method, problem, {
        school: way.school,
        habits: [{ slip, where }],
      });
      const key = work.made.map(addressText).join(' ');
      if (work.made.length < 2 || known.has(key)) return [];
      known.add(key);
      return [habitEvent(work, { where })];
    });
  });
}

function habitEvent({ run, made }: HabitWork, habit: { readonly where: 'all' | Feature }): Event {
  return { slips: made.map((one) => ({ ...one, idea: one.slip })), run, habit };
}

/** Every fact taken for each number that is commonly taken for it, once; and everywhere, where it is used more than once. */
function factsOf(problem: Problem, way: Way): readonly Event[] {
  const { method, school, clean } = way;
  const byFact = new Map<string, FactChance[]>();
  const once = clean.facts.flatMap((chance) => {
    const { sign, of } = chance.fact;
    const name = `${sign} ${[...of].sort((a, b) => a - b).join(' ')}`;
    byFact.set(name, [...(byFact.get(name) ?? []), chance]);
    return factErrors(chance.fact, problem.base).map(({ idea, value }): Event => {
      const one: Addressed = { slip: chance.slip, at: chance.at, value };
      const run = method.light(problem, { school, slips: [one] });
      return { slips: [{ ...one, idea, fact: chance.fact }], run, habit: null };
    });
  });
  const everywhere = [...byFact.values()].flatMap((chances) => {
    const [first] = chances;
    if (!first || chances.length < 2) return [];
    return factErrors(first.fact, problem.base).flatMap(({ idea, value }): Event[] => {
      const habit: Habit = { sign: first.fact.sign, of: first.fact.of, value };
      const { run, made } = workWithHabits(method, problem, { school, habits: [habit] });
      const slips = made.map((one) => ({ ...one, idea, fact: first.fact }));
      return made.length < 2 ? [] : [{ slips, run, habit: { where: 'all' } }];
    });
  });
  return [...once, ...everywhere];
}
