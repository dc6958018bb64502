import { Exact } from '../exact/exact.ts';
import type { Entry, EntryId, OwedEntry, Step, Trace } from './account.ts';

/** The account at a moment; it never changes, a step makes another one. */
export interface Ledger {
  /** How many steps are done. */
  readonly done: number;
  /** What is there, in the order in which it came. */
  readonly live: ReadonlyMap<EntryId, Entry>;
  /** What all of it is worth together. */
  readonly balance: Exact;
}

/** The account before the first step: all is owed. */
export function openLedger(start: readonly OwedEntry[]): Ledger {
  return {
    done: 0,
    live: new Map(start.map((entry) => [entry.id, entry])),
    balance: Exact.sum(start.map(({ worth }) => worth)),
  };
}

/** The account after a step. RangeError when the step takes what is not there or gives what is there already. */
export function applyStep(ledger: Ledger, step: Step): Ledger {
  const live = new Map(ledger.live);
  const changes: Exact[] = [ledger.balance];
  for (const id of step.takes) {
    const entry = live.get(id);
    if (!entry)
      throw new RangeError(`applyStep: step ${step.number} takes ${id}, which is not there`);
    changes.push(entry.worth.negate());
    live.delete(id);
  }
  for (const entry of comes(step)) {
    if (live.has(entry.id)) throw new RangeError(`applyStep: ${entry.id} is given twice`);
    changes.push(entry.worth);
    live.set(entry.id, entry);
  }
  return { done: ledger.done + 1, live, balance: Exact.sum(changes) };
}

/** The account of a trace once so many steps are done. RangeError as in {@link applyStep}. */
export function ledgerAt({ start, steps }: Trace, done: number): Ledger {
  return steps.slice(0, done).reduce(applyStep, openLedger(start));
}

function comes({ opens, gives }: Step): readonly Entry[] {
  return [...opens, ...gives];
}

/** What an entry counts for, given the step that it comes with, null from the start; nothing when null. */
export type Count = (entry: Entry, step: Step | null) => Exact | null;

/**
 * What live entries count for together, before the first step and after every step; index is the count of steps
 * done. Linear in all entries: a step only adds what comes and takes off what goes.
 */
export function tally({ start, steps }: Trace, count: Count): readonly Exact[] {
  const counted = new Map<EntryId, Exact>();
  const put = (entry: Entry, step: Step | null): Exact => {
    const amount = count(entry, step);
    if (!amount) return Exact.ZERO;
    counted.set(entry.id, amount);
    return amount;
  };
  let total = Exact.sum(start.map((entry) => put(entry, null)));
  const all = [total];
  for (const step of steps) {
    const gone = step.takes.map((id) => counted.get(id)?.negate() ?? Exact.ZERO);
    total = Exact.sum([total, ...gone, ...comes(step).map((entry) => put(entry, step))]);
    all.push(total);
  }
  return all;
}

/** A step with the numbers of the steps that must be done before it. */
export interface StepNode {
  readonly number: number;
  readonly needs: ReadonlySet<number>;
}

/**
 * What each step needs: the steps that give what it takes or strikes. No method has code for it; what may come
 * next follows from what is there.
 */
export function stepGraph({ steps }: Trace): readonly StepNode[] {
  const givenBy = new Map<EntryId, number>();
  for (const step of steps) for (const { id } of comes(step)) givenBy.set(id, step.number);
  return steps.map(({ number, takes, strikes }) => ({
    number,
    needs: new Set(
      [...takes, ...strikes].flatMap((id) => {
        const by = givenBy.get(id);
        return by === undefined || by === number ? [] : [by];
      }),
    ),
  }));
}

/** The steps that may come next when some are done, in the order of the work. */
export function mayFollow(
  graph: readonly StepNode[],
  done: ReadonlySet<number>,
): readonly number[] {
  return graph
    .filter(({ number, needs }) => !done.has(number) && [...needs].every((one) => done.has(one)))
    .map(({ number }) => number);
}
