import type { School } from '../account/account.ts';
import { readAddress } from '../account/chance.ts';
import { Random } from '../exact/random.ts';
import type { Exact } from '../exact/exact.ts';
import { hasOpportunity, type Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import { anotherLike } from '../habits/another-like.ts';
import { workWithHabits, type Habit } from '../habits/habits.ts';

/** Something that may have happened: slips by their addresses, or a habit, in one way of working. */
export interface Suspect {
  readonly method: Method;
  readonly school: School;
  readonly slips: readonly string[];
  readonly habit: Habit | null;
}

/** Numbers on which the suspects give different answers, with what each gives. */
export interface TellingNumbers {
  readonly problem: Problem;
  readonly answers: readonly Exact[];
}

/** Problems that are tried. */
const MOST_TRIED = 300;

/**
 * Numbers like the given ones on which every suspect gives an answer of its own, none of them right; null where none were
 * found. The same seed gives the same numbers.
 */
export function tellApart(
  like: Problem,
  suspects: readonly Suspect[],
  seed = 1,
): TellingNumbers | null {
  const random = new Random(seed);
  for (let tried = 0; tried < MOST_TRIED; tried++) {
    const problem = anotherLike(like, random);
    if (!problem) return null;
    const answers = suspects.map((suspect) => answerOf(suspect, problem));
    const given = answers.flatMap((answer) => answer ?? []);
    const texts = new Set(given.map((answer) => answer.toString()));
    if (given.length === suspects.length && texts.size === suspects.length) {
      return { problem, answers: given };
    }
  }
  return null;
}

/** What a suspect answers; null where the slip cannot be made or does not show. */
function answerOf({ method, school, slips, habit }: Suspect, problem: Problem): Exact | null {
  if (!method.accepts(problem).ok) return null;
  if (habit) {
    const { run } = workWithHabits(method, problem, { school, habits: [habit] });
    return run.answer.equals(run.total) ? null : run.answer;
  }
  const asked = slips.flatMap((text) => readAddress(text) ?? []);
  const run = method.light(problem, { school, slips: asked });
  const isMade = asked.length === slips.length && asked.every((slip) => hasOpportunity(run, slip));
  return isMade && !run.answer.equals(run.total) ? run.answer : null;
}
