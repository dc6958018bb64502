import { type Exact } from '../exact/exact.ts';
import type { Problem } from '../problem/problem.ts';
import type { Budget } from './budget.ts';
import type { Cause } from './cause.ts';
import { costOf } from './works.ts';
import type { Event, WayEvents } from './events.ts';

/** The most pairs that are proved for one answer, over all ways. */
const MOST_PROVED = 600;

export interface PairCauses {
  readonly causes: readonly Cause[];
  /** How many pairs were worked. */
  readonly tried: number;
  readonly cut: boolean;
}

/**
 * Two slips of one way of working that together are off by so much. Pairs are found by adding what each is off by itself,
 * and proved by working them both; where one changes what the other gives, they are not found.
 */
export function pairCauses(
  problem: Problem,
  ways: readonly WayEvents[],
  off: Exact,
  budget: Budget,
): PairCauses {
  const causes: Cause[] = [];
  let tried = 0;
  for (const { way, singles, facts } of ways) {
    const right = way.clean.answer;
    for (const [one, other] of pairsWithSum([...singles, ...facts], right, off)) {
      if (tried >= MOST_PROVED || !budget.goesOn()) return { causes, tried, cut: true };
      tried += 1;
      budget.spend(costOf(problem, way.clean));
      const slips = [...one.slips, ...other.slips];
      const { answer } = way.method.light(problem, { school: way.school, slips });
      if (!answer.equals(right.plus(off))) continue;
      const cancels = takesBack(one.run.answer.minus(right), other.run.answer.minus(right));
      const works = [{ method: way.method, school: way.school }];
      const tier = slips.every(({ fact }) => fact) ? 'fact' : 'method';
      causes.push({ tier, slips, habit: null, answer, works, copied: null, cancels });
    }
  }
  return { causes, tried, cut: false };
}

/** Whether one is off one way and the other the other way, in numbers or in terms with the same letters. */
function takesBack(one: Exact, other: Exact): boolean {
  const signs = new Map(one.parts().map((term) => [term.letters, term.coefficient.isNegative]));
  return other.parts().some((term) => signs.get(term.letters) === !term.coefficient.isNegative);
}

/** Pairs of events that are off by so much together, each slip at one place only. */
function pairsWithSum(
  events: readonly Event[],
  right: Exact,
  off: Exact,
): readonly (readonly [Event, Event])[] {
  const offs = events.map(({ run }) => run.answer.minus(right));
  const byOff = new Map<string, number[]>();
  offs.forEach((amount, k) => {
    if (amount.isZero) return;
    const key = amount.toString();
    byOff.set(key, [...(byOff.get(key) ?? []), k]);
  });
  return events.flatMap((event, k) => {
    const amount = offs[k]!;
    if (amount.isZero) return [];
    const others = byOff.get(off.minus(amount).toString()) ?? [];
    return others.flatMap((other) => {
      const second = events[other]!;
      return other > k && !sharePlace(event, second) ? [[event, second] as const] : [];
    });
  });
}

function sharePlace(one: Event, other: Event): boolean {
  return one.slips.some((a) =>
    other.slips.some((b) => a.slip === b.slip && sameAt(a.at.at, b.at.at)),
  );
}

function sameAt(a: readonly number[], b: readonly number[]): boolean {
  return a.length === b.length && a.every((number, k) => number === b[k]);
}

/** How many sums of two are added up for one search. */
const MOST_SUMS = 400_000;

/**
 * Every answer that two slips of one way give, so far as what they are off by adds up; `cut` where there are so many that
 * some were left out.
 */
export function pairSums(ways: readonly WayEvents[]): {
  readonly sums: ReadonlySet<string>;
  readonly cut: boolean;
} {
  const sums = new Set<string>();
  // Of each way so many amounts that all their sums together are not too many.
  const most = Math.floor(Math.sqrt((2 * MOST_SUMS) / Math.max(1, ways.length)));
  let cut = false;
  for (const { way, singles, facts } of ways) {
    const right = way.clean.answer;
    const offs = new Map(
      [...singles, ...facts].map(({ run }) => {
        const amount = run.answer.minus(right);
        return [amount.toString(), amount] as const;
      }),
    );
    const amounts = [...offs.values()].filter((amount) => !amount.isZero);
    cut ||= amounts.length > most;
    const taken = amounts.slice(0, most);
    taken.forEach((one, k) => {
      for (const other of taken.slice(k)) sums.add(right.plus(one).plus(other).toString());
    });
  }
  return { sums, cut };
}
