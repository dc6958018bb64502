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

export function isFactHabit(habit: Habit): habit is FactHabit {
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
 * those before it. RangeError when the method does not accept the problem.
 */
export function workWithHabits(
  method: Method,
  problem: Problem,
  { school, habits, slips = [], likely = [] }: HabitRequest,
): HabitWork {
  const options = school ? { school } : {};
  let made = likely;
  let run = method.light(problem, { ...options, slips: [...slips, ...made] });
  let rounds = 1;
  for (; rounds <= MOST_ROUNDS; rounds++) {
    const next = habits.flatMap((habit) => followed(habit, run));
    if (sameAddresses(made, next)) break;
    made = next;
    run = method.light(problem, { ...options, slips: [...slips, ...made] });
  }
  return { run, made, rounds };
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
