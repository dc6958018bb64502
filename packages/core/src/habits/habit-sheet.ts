import type { School } from '../account/account.ts';
import { addressText } from '../account/chance.ts';
import { Random } from '../exact/random.ts';
import type { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import { problemText, type Problem } from '../problem/problem.ts';
import { anotherLike } from './another-like.ts';
import { workWithHabits, type Habit } from './habits.ts';

/** One problem as a learner with a habit answers it. */
export interface HabitItem {
  readonly problem: Problem;
  readonly answer: Exact;
  /** Whether the habit makes the answer wrong. */
  readonly shows: boolean;
  readonly made: readonly string[];
}

/** A sheet from which a habit can be told, and one problem more, whose answer is to be foretold. */
export interface HabitSheet {
  readonly items: readonly HabitItem[];
  readonly next: HabitItem | null;
}

/** How many of six are made wrong by the habit where there are enough. */
const SHOWN = 4;
const ITEMS = 6;
/** Problems that are tried before it is given up. */
const MOST_TRIED = 600;

/**
 * Six problems like the given one as a learner with the habit answers them, of which two do not show it, and a seventh. The
 * same seed gives the same sheet. Fewer where the habit seldom shows or always does; none for expressions with letters and
 * roots, which are not made up here.
 */
export function habitSheet(
  method: Method,
  school: School,
  habit: Habit,
  { like, seed }: { readonly like: Problem; readonly seed: number },
): HabitSheet {
  const random = new Random(seed);
  const shown: HabitItem[] = [];
  const hidden: HabitItem[] = [];
  const seen = new Set([problemText(like)]);
  for (let tried = 0; tried < MOST_TRIED; tried++) {
    if (shown.length > SHOWN && hidden.length >= ITEMS - SHOWN) break;
    const problem = anotherLike(like, random);
    if (!problem || seen.has(problemText(problem)) || !method.accepts(problem).ok) continue;
    seen.add(problemText(problem));
    const { run, made } = workWithHabits(method, problem, { school, habits: [habit] });
    const shows = !run.answer.equals(run.total);
    const item = { problem, answer: run.answer, shows, made: made.map(addressText) };
    const list = shows ? shown : hidden;
    if (list.length <= (shows ? SHOWN : ITEMS - SHOWN - 1)) list.push(item);
  }
  const next = shown.length > SHOWN ? shown.pop()! : null;
  const items = [...shown, ...hidden.slice(0, ITEMS - SHOWN)];
  return { items: shuffled(items, random), next };
}

function shuffled<T>(all: readonly T[], random: Random): readonly T[] {
  return all
    .map((one) => ({ one, at: random.next() }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
}
