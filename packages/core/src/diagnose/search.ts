import type { Event, WayEvents } from './events.ts';
import type { FactChance, Opportunity } from '../account/account.ts';
import { addressText, FEATURES, type Addressed, type Feature } from '../account/chance.ts';
import type { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import { wrongCopies } from '../slips/copies.ts';
import { factErrors } from '../slips/fact-errors.ts';
import { suits, workWithHabits, type Habit, type HabitWork } from '../habits/habits.ts';
import { Budget } from './budget.ts';
import { causeKey, compareCauses, type Cause } from './cause.ts';
import { pairCauses, pairSums } from './pairs.ts';
import { linesForAll, wholeItems, type WholeItem } from './whole-item.ts';
import { costOf, methodsFor, waysOf, type WayOfWorking } from './works.ts';

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

/** What a step of a whole trace, and to look at one copy by one method, costs of a budget. */
const TRACE_COST = 4;
const COPY_COST = 2;

/** What a search may spend of its own: numbers of four figures by four are looked through without a cut. */
export const SEARCH_BUDGET = 550_000;
/** What proving pairs may spend for one answer. */
const PAIR_BUDGET = 60_000;
/** Of what is left, the share that first goes to slips made once and to schools; the rest is for habits, facts and pairs. */
const FOR_SINGLES = 0.6;

/**
 * Everything that single slips, habits, facts and copies make of one problem, by the answer that they give. It is made
 * once and asked for as many answers as there are. What is looked through is bounded by a budget, which several searches
 * may share; what was left out for it is told by `searched.cut`.
 */
export class Search {
  readonly right: Exact;
  readonly methods: readonly Method[];
  readonly events: readonly WayEvents[];
  /** What looking it through has spent. */
  readonly spent: number;
  private readonly byAnswer = new Map<string, Cause[]>();
  private readonly byPairs = new Map<string, readonly Cause[]>();
  private sums: ReadonlySet<string> | null = null;
  private pairs = 0;
  private cut: boolean;

  constructor(
    readonly problem: Problem,
    ids?: readonly string[],
    private readonly budget = new Budget(SEARCH_BUDGET),
  ) {
    const start = budget.rest;
    this.right = problemValue(problem);
    this.methods = methodsFor(problem, ids);
    this.events = this.worked();
    const causes = merged([
      ...wholeItems(problem).map((item) => wholeItemCause(item)),
      ...this.everyLine(),
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
    this.cut = budget.isCut;
    this.spent = start - budget.rest;
  }

  /** All ways of working, slips made once first; each method has an even share of what is left when its turn comes. */
  private worked(): readonly WayEvents[] {
    const { methods, problem, budget } = this;
    const ways = budget.share(FOR_SINGLES, (own) =>
      methods.flatMap((method, k) =>
        own.goesOn()
          ? own.share(Math.min(1, 2 / (methods.length - k)), (part) =>
              waysOf(method, problem, part),
            )
          : [],
      ),
    );
    // Something is left for copies and pairs.
    return budget.share(0.7, (own) =>
      ways.map((way, k) =>
        own.share(Math.min(1, 2 / (ways.length - k)), (part) => eventsOf(problem, way, part)),
      ),
    );
  }

  private everyLine(): readonly Cause[] {
    const { problem, budget } = this;
    return this.methods.flatMap((method) => {
      if (!budget.goesOn()) return [];
      const trace = method.trace(problem);
      budget.spend(TRACE_COST * (trace.steps.length + 1));
      const works = [{ method, school: method.defaultSchool }];
      return linesForAll(trace).map((item) => wholeItemCause(item, works));
    });
  }

  /** What explains a wrong answer, the likeliest first: single slips and habits, or, where there are none, two slips. */
  explain(answer: Exact, budget = new Budget(PAIR_BUDGET)): readonly Cause[] {
    const single = this.byOne(answer);
    if (single.length > 0) return single;
    const key = answer.toString();
    const known = this.byPairs.get(key);
    if (known) return known;
    const { causes, tried, cut } = budget.within(PAIR_BUDGET, (own) =>
      pairCauses(this.problem, this.events, answer.minus(this.right), own),
    );
    this.pairs += tried;
    this.cut ||= cut;
    const made = merged(causes).sort(compareCauses);
    this.byPairs.set(key, made);
    return made;
  }

  /** What explains it by one slip or one habit alone, the likeliest first. */
  byOne(answer: Exact): readonly Cause[] {
    return this.byAnswer.get(answer.toString()) ?? [];
  }

  /** Every wrong answer that one slip gives, as a text. */
  get reached(): readonly string[] {
    return [...this.byAnswer.keys()];
  }

  /** Every wrong answer that two slips give, so far as what they are off by adds up. */
  get reachedByPairs(): ReadonlySet<string> {
    if (!this.sums) {
      const { sums, cut } = pairSums(this.events);
      this.sums = sums;
      this.cut ||= cut;
    }
    return this.sums;
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
    const cost = this.methods.length * COPY_COST;
    return this.budget.each(wrongCopies(this.problem), cost, ({ slip, at, problem }): Cause => {
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

function eventCause({ slips, run, habit }: Event, way: WayOfWorking, tier: Cause['tier']): Cause {
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

/** All that goes wrong in one way of working, as far as the budget lasts: each slip once, as a habit, and each fact. */
function eventsOf(problem: Problem, way: WayOfWorking, budget: Budget): WayEvents {
  const singles = way.clean.opportunities.flatMap(({ slip, at }): Event[] => {
    const run = way.singles.get(addressText({ slip, at }));
    return run ? [{ slips: [{ slip, at, idea: slip }], run, habit: null }] : [];
  });
  const habits = budget.share(0.5, (own) => habitsOf(problem, way, own));
  return { way, singles, habits, facts: factsOf(problem, way, budget) };
}

/** Every habit that is followed at two chances or more; one with a feature only where it is not the same as without. */
function habitsOf(problem: Problem, way: WayOfWorking, budget: Budget): readonly Event[] {
  const bySlip = new Map<string, Opportunity[]>();
  for (const chance of way.clean.opportunities) {
    bySlip.set(chance.slip, [...(bySlip.get(chance.slip) ?? []), chance]);
  }
  return [...bySlip].flatMap(([slip, chances]): readonly Event[] => {
    const known = new Set<string>();
    const features = FEATURES.filter((feature) =>
      chances.some((chance) => suits({ slip, where: feature }, chance)),
    );
    return (['all', ...features] as const).flatMap((where) => {
      const work = habitWork(problem, way, { slip, where }, budget);
      if (!work) return [];
      const key = work.made.map(addressText).join(' ');
      if (work.made.length < 2 || known.has(key)) return [];
      known.add(key);
      return [habitEvent(work, { where })];
    });
  });
}

function habitWork(
  problem: Problem,
  way: WayOfWorking,
  habit: Habit,
  budget: Budget,
): HabitWork | null {
  if (!budget.goesOn()) return null;
  const work = workWithHabits(way.method, problem, { school: way.school, habits: [habit] });
  budget.spend(work.rounds * costOf(problem, work.run));
  return work;
}

function habitEvent({ run, made }: HabitWork, habit: { readonly where: 'all' | Feature }): Event {
  return { slips: made.map((one) => ({ ...one, idea: one.slip })), run, habit };
}

/** Every fact taken for each number that is commonly taken for it, once; and everywhere, where it is used more than once. */
function factsOf(problem: Problem, way: WayOfWorking, budget: Budget): readonly Event[] {
  const { method, school, clean } = way;
  const byFact = new Map<string, FactChance[]>();
  for (const chance of clean.facts) {
    const { sign, of } = chance.fact;
    const name = `${sign} ${[...of].sort((a, b) => a - b).join(' ')}`;
    byFact.set(name, [...(byFact.get(name) ?? []), chance]);
  }
  const errors = clean.facts.flatMap((chance) =>
    factErrors(chance.fact, problem.base).map((error) => ({ chance, ...error })),
  );
  const once = budget.share(0.7, (own) =>
    own.each(errors, costOf(problem, clean), ({ chance, idea, value }): Event => {
      const one: Addressed = { slip: chance.slip, at: chance.at, value };
      const run = method.light(problem, { school, slips: [one] });
      return { slips: [{ ...one, idea, fact: chance.fact }], run, habit: null };
    }),
  );
  const everywhere = [...byFact.values()].flatMap((chances) => {
    const [first] = chances;
    if (!first || chances.length < 2) return [];
    return factErrors(first.fact, problem.base).flatMap(({ idea, value }): Event[] => {
      const habit: Habit = { sign: first.fact.sign, of: first.fact.of, value };
      const work = habitWork(problem, way, habit, budget);
      if (!work || work.made.length < 2) return [];
      const slips = work.made.map((one) => ({ ...one, idea, fact: first.fact }));
      return [{ slips, run: work.run, habit: { where: 'all' } }];
    });
  });
  return [...once, ...everywhere];
}
