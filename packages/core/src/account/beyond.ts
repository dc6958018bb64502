import { type Exact } from '../exact/exact.ts';
import type { TermSet } from './terms.ts';

/**
 * Cells that reach beyond the edge of the problem, by their names: what each is worth, and how many times an amount
 * holds it; negative where it is taken back. What an amount holds is a map from cells to whole numbers: its terms once
 * each, and these. A cell of the problem may be named too, where it is held more than once or taken away again. Never
 * holds a count of 0.
 */
export type Beyond = ReadonlyMap<string, BeyondCell>;

export interface BeyondCell {
  readonly worth: Exact;
  readonly count: bigint;
  /** Where it lies along each number that its problem is cut in, from its beginning on, where that is known. */
  readonly at?: readonly { readonly from: Exact; readonly to: Exact }[];
}

/** What may hold something beyond the edge. */
interface Beyonder {
  readonly beyond?: Beyond;
}

interface Holder extends Beyonder {
  readonly terms: TermSet;
}

export const NOTHING_BEYOND: Beyond = new Map();

/** One cell beyond the edge, laid so many times. */
export function cellBeyond(cell: string, worth: Exact, count = 1n): Beyond {
  return worth.isZero || count === 0n ? NOTHING_BEYOND : new Map([[cell, { worth, count }]]);
}

/** What amounts hold beyond the edge together, less what some others do; cells that net to nothing are gone. */
export function beyondOf(entries: readonly Beyonder[], less: readonly Beyonder[] = []): Beyond {
  const all = new Map<string, BeyondCell>();
  const add = (beyond: Beyond, sign: bigint) => {
    for (const [cell, own] of beyond) {
      const { worth, count } = own;
      const known = all.get(cell);
      // One name for cells of two sizes is two cells: they do not make up for each other.
      const name = known && !known.worth.equals(worth) ? `${cell} of ${worth}` : cell;
      const sum = (all.get(name)?.count ?? 0n) + sign * count;
      if (sum === 0n) all.delete(name);
      else all.set(name, { ...own, count: sum });
    }
  };
  for (const { beyond } of entries) if (beyond) add(beyond, 1n);
  for (const { beyond } of less) if (beyond) add(beyond, -1n);
  return all.size === 0 ? NOTHING_BEYOND : all;
}

/** Everything that an amount holds: every cell with how many times, those of the problem and those beyond its edge. */
export function holds({ terms, beyond }: Holder): ReadonlyMap<string, bigint> {
  const counts = new Map<string, bigint>(terms.ids().map((id) => [id, 1n]));
  for (const [cell, { count }] of beyond ?? NOTHING_BEYOND) {
    const sum = (counts.get(cell) ?? 0n) + count;
    if (sum === 0n) counts.delete(cell);
    else counts.set(cell, sum);
  }
  return counts;
}

/** Steps that give other cells than they take, or another number of times; cells are told by the ids of entries. */
export function unlikeCells(
  steps: readonly {
    readonly number: number;
    readonly takes: readonly string[];
    readonly gives: readonly string[];
  }[],
  cells: ReadonlyMap<string, ReadonlyMap<string, bigint>>,
): readonly { readonly step: number; readonly fault: string }[] {
  const total = (ids: readonly string[]) => {
    const sum = new Map<string, bigint>();
    for (const [cell, count] of ids.flatMap((id) => [...(cells.get(id) ?? [])])) {
      sum.set(cell, (sum.get(cell) ?? 0n) + count);
    }
    return [...sum]
      .flatMap(([cell, count]) => (count === 0n ? [] : [`${count} × ${cell}`]))
      .sort()
      .join(', ');
  };
  return steps.flatMap(({ number: step, takes, gives }) => {
    const [before, after] = [total(takes), total(gives)];
    // What comes to nothing gives nothing; it is part of the answer.
    if (gives.length === 0) return [];
    const fault = `it takes the cells ${before || 'none'} and gives ${after || 'none'}`;
    return before === after ? [] : [{ step, fault }];
  });
}
