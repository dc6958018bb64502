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

/**
 * An account that is walked: what is there and what it is worth, step after step, without a copy at each. Every
 * moment of an account is made here: the Scribe writes along a walk, and a {@link Ledger} is a walk that stands still.
 */
export class Walk {
  private done: number;
  private balance: Exact;
  private readonly live: Map<EntryId, Entry>;

  /** Walks on from a moment, which stays as it is; from an empty account when none is given. */
  constructor({ done, live, balance }: Ledger = EMPTY) {
    this.done = done;
    this.live = new Map(live);
    this.balance = balance;
  }

  /** Lays owed amounts down before the first step. RangeError when one is there already. */
  open(entries: readonly OwedEntry[]): void {
    for (const entry of entries) this.lay(entry, 'openLedger');
    this.balance = Exact.sum([this.balance, ...entries.map(({ worth }) => worth)]);
  }

  /**
   * Does a step and says what is there in worth then. RangeError when the step takes what is not there or gives
   * what is there already; the walk is of no use after that.
   */
  step(step: Pick<Step, 'number' | 'takes' | 'gives' | 'opens'>): Exact {
    this.done += 1;
    const changes: Exact[] = [];
    for (const id of step.takes) {
      const entry = this.live.get(id);
      if (!entry)
        throw new RangeError(
          `applyStep: step ${step.number} takes ${id}, which is not there or is gone`,
        );
      this.live.delete(id);
      changes.push(entry.worth.negate());
    }
    for (const entry of comes(step)) {
      this.lay(entry, 'applyStep');
      changes.push(entry.worth);
    }
    // One sum, so that a step that keeps the balance comes to zero before anything is reduced.
    const change = Exact.sum(changes);
    if (!change.isZero) this.balance = this.balance.plus(change);
    return this.balance;
  }

  private lay(entry: Entry, by: string): void {
    if (this.live.has(entry.id)) throw new RangeError(`${by}: ${entry.id} is given twice`);
    this.live.set(entry.id, entry);
  }

  /** The moment that the walk has come to. The walk must not go on after it is asked. */
  get ledger(): Ledger {
    return { done: this.done, live: this.live, balance: this.balance };
  }
}

const EMPTY: Ledger = { done: 0, live: new Map(), balance: Exact.ZERO };

/** The account before the first step: all is owed. */
export function openLedger(start: readonly OwedEntry[]): Ledger {
  const walk = new Walk();
  walk.open(start);
  return walk.ledger;
}

/** The account after a step. RangeError when the step takes what is not there or gives what is there already. */
export function applyStep(ledger: Ledger, step: Step): Ledger {
  const walk = new Walk(ledger);
  walk.step(step);
  return walk.ledger;
}

/** The account of a trace once so many steps are done. RangeError as in {@link applyStep}. */
export function ledgerAt({ start, steps }: Trace, done: number): Ledger {
  const walk = new Walk();
  walk.open(start);
  for (const step of steps.slice(0, done)) walk.step(step);
  return walk.ledger;
}

function comes({ opens, gives }: Pick<Step, 'opens' | 'gives'>): readonly Entry[] {
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

/** What entries are worth together. */
export function worthOf(entries: readonly Pick<Entry, 'worth'>[]): Exact {
  return Exact.sum(entries.map(({ worth }) => worth));
}
