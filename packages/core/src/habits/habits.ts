import type { FactChance, Opportunity, School } from '../account/account.ts';
import { addressText, type Addressed, type Feature } from '../account/chance.ts';
import type { LightRun } from '../account/light-run.ts';
import type { Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';

/** A slip that is made at every chance, or at every chance that is like this. */
export interface SlipHabit {
  readonly slip: string;
  readonly where: 'all' | Feature;
}

/** A fact that is taken for the same number wherever it is used; its figures in any order. */
export interface FactHabit {
  readonly sign: FactChance['fact']['sign'];
  readonly of: readonly number[];
  readonly value: number;
}

export type Habit = SlipHabit | FactHabit;

function isFactHabit(habit: Habit): habit is FactHabit {
  return 'value' in habit;
}

/** What a learner with habits makes of a computation. */
export interface HabitWork {
  readonly run: LightRun;
  /** Where the habits were followed. */
  readonly made: readonly Addressed[];
  /** How often the work was done until nothing changed. */
  readonly rounds: number;
}

export interface HabitRequest {
  readonly school?: School;
  readonly habits: readonly Habit[];
  /** Slips that are made besides, once each. */
  readonly slips?: readonly Addressed[];
  /** Where the habits are likely followed, as in the same work without the other slips: a good guess saves work. */
  readonly likely?: readonly Addressed[];
}

/** More rounds than any work has columns; a round settles at least one more chance, from the first on. */
const MOST_ROUNDS = 24;

/**
 * Works a computation as a learner who has these habits. A slip changes what the chances after it are like, so that the
 * work is done again with what the habit makes of them until nothing changes any more: every chance depends only on
 * those before it. A slip that takes away what it is made for, such as a place that is just regrouped, is decided when the
 * work comes to it. RangeError when the method does not accept the problem.
 */
export function workWithHabits(
  method: Method,
  problem: Problem,
  { school, habits, slips = [], likely = [] }: HabitRequest,
): HabitWork {
  const options = school ? { school } : {};
  const work = (made: readonly Addressed[]) =>
    method.light(problem, { ...options, slips: [...slips, ...made] });
  let made = likely;
  let run = work(made);
  for (let rounds = 1; rounds <= MOST_ROUNDS; rounds++) {
    const next = habits.flatMap((habit) => followed(habit, run));
    if (sameAddresses(made, next)) return { run, made, rounds };
    made = next;
    run = work(made);
  }
  return decidedInOrder(habits, work);
}

/** Every chance is decided once, in the order of the work, as it is when those before it are decided. */
function decidedInOrder(
  habits: readonly Habit[],
  work: (made: readonly Addressed[]) => LightRun,
): HabitWork {
  const made: Addressed[] = [];
  const decided = new Set<string>();
  for (let rounds = MOST_ROUNDS + 1; ; rounds++) {
    const run = work(made);
    const due = new Map(
      habits.flatMap((habit) => followed(habit, run)).map((own) => [placeOf(own), own]),
    );
    const all = [...run.opportunities, ...run.facts].sort((a, b) => a.step - b.step);
    const open = all.map(placeOf).filter((place) => !decided.has(place));
    const at = open.findIndex((place) => due.has(place));
    if (at < 0) return { run, made, rounds };
    for (const place of open.slice(0, at + 1)) decided.add(place);
    made.push(due.get(open[at]!)!);
  }
}

function placeOf({ slip, at }: Pick<Addressed, 'slip' | 'at'>): string {
  return addressText({ slip, at });
}

/** Where a habit is followed in a work. */
function followed(habit: Habit, { opportunities, facts }: LightRun): readonly Addressed[] {
  return isFactHabit(habit)
    ? facts
        .filter((chance) => isOf(habit, chance))
        .map(({ slip, at }) => ({ slip, at, value: habit.value }))
    : opportunities.filter((chance) => suits(habit, chance)).map(({ slip, at }) => ({ slip, at }));
}

/** Whether a chance is one at which a habit is followed. */
export function suits({ slip, where }: SlipHabit, chance: Opportunity): boolean {
  return chance.slip === slip && (where === 'all' || chance.features.includes(where));
}

/** Whether a fact is the one that a habit mistakes. */
export function isOf(habit: FactHabit, { fact }: FactChance): boolean {
  return fact.sign === habit.sign && inOrder(fact.of) === inOrder(habit.of);
}

function inOrder(figures: readonly number[]): string {
  return [...figures].sort((a, b) => a - b).join(' ');
}

function sameAddresses(one: readonly Addressed[], other: readonly Addressed[]): boolean {
  return (
    one.length === other.length && one.every((a, k) => addressText(a) === addressText(other[k]!))
  );
}
