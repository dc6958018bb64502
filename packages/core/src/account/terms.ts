import { termId, termParts, type TermId } from './ids.ts';
import { Exact } from '../exact/exact.ts';
import type { Part } from './cut.ts';

export type { TermId } from './ids.ts';

/** The parts of every operand, smallest (or rightmost on the line) first. */
export type Cuts = readonly (readonly Part[])[];

/** For each operand and each of its parts, the parts of a finer cut that it is made of. */
export type Members = readonly (readonly (readonly number[])[])[];

/** What is known of a term before it is worked out: the least and the most it can be. */
export interface Bounds {
  readonly low: bigint;
  readonly high: bigint;
}

/**
 * All terms of one expansion of a problem, numbered from 0. What a term is depends on the kind of
 * problem: one part of every operand in a product, one part of one operand in a sum. A term whose
 * worth is zero has no area or length and belongs to no {@link TermSet}.
 */
export abstract class TermSpace {
  abstract readonly size: number;
  /** Made when they are asked for; no part of what a space is. */
  readonly #ids: TermId[] = [];
  readonly #before: Exact[] = [Exact.ZERO];

  constructor(readonly cuts: Cuts) {}

  /** The number of the term with these coordinates, the ones its id shows. */
  abstract index(parts: readonly number[]): number;

  /** The coordinates of a term. */
  abstract parts(index: number): readonly number[];

  /** The operands and parts that a term is made of. */
  abstract madeOf(parts: readonly number[]): readonly (readonly [operand: number, part: number])[];

  /** What the term with these coordinates is worth. */
  abstract worthOf(parts: readonly number[]): Exact;

  abstract textOf(parts: readonly number[]): string;

  /** The least and the most a term can be, by its places alone. */
  abstract bounds(index: number, base: number): Bounds;

  /** The same kind of expansion over other cuts of the same operands. */
  abstract over(cuts: Cuts): TermSpace;

  /** The coordinates, in a space of finer cuts, of the terms that one term is made of. */
  abstract refined(parts: readonly number[], members: Members): readonly (readonly number[])[];

  protected abstract fits(parts: readonly number[]): boolean;

  /** The id of a term; made once, since long traces name the same terms many times. */
  id(index: number): TermId {
    return (this.#ids[index] ??= termId(this.parts(index)));
  }

  /** The number of a term id, or null when this expansion has no such term. */
  find(id: string): number | null {
    if (!/^\d+(\.\d+)*$/.test(id)) return null;
    const parts = termParts(id);
    return this.fits(parts) ? this.index(parts) : null;
  }

  worth(index: number): Exact {
    return this.worthOf(this.parts(index));
  }

  /** What the terms from one number up to and without another are worth together. */
  worthOfRun(start: number, end: number): Exact {
    return this.worthBefore(end).minus(this.worthBefore(start));
  }

  /** What all terms below a number are worth; each sum is made once, from the one before it. */
  private worthBefore(index: number): Exact {
    for (let k = this.#before.length; k <= index; k++) {
      this.#before.push(this.#before[k - 1]!.plus(this.worth(k - 1)));
    }
    return this.#before[index]!;
  }

  /** The term as it is written out, `40×8` or `−80`. */
  text(index: number): string {
    return this.textOf(this.parts(index));
  }
}

/**
 * A set of terms of one expansion, held as sorted runs of numbers [start, end) so that a carry that
 * gathered a whole line costs no more than a single term. In JSON it is the list of term ids.
 */
export class TermSet {
  private constructor(
    readonly space: TermSpace,
    /** Starts and ends in turn. */
    private readonly runs: readonly number[],
  ) {}

  static empty(space: TermSpace): TermSet {
    return new TermSet(space, []);
  }

  static of(space: TermSpace, index: number): TermSet {
    return new TermSet(space, [index, index + 1]);
  }

  /** Every term from one number up to and without another. */
  static run(space: TermSpace, start: number, end: number): TermSet {
    return new TermSet(space, start < end ? [start, end] : []);
  }

  /** From any collection of term numbers. */
  static from(space: TermSpace, indices: Iterable<number>): TermSet {
    const runs: number[] = [];
    for (const index of [...indices].sort((a, b) => a - b)) appendRun(runs, index, index + 1);
    return new TermSet(space, runs);
  }

  /** The union; one of the given sets itself when it already holds the others. */
  static union(space: TermSpace, sets: readonly TermSet[]): TermSet {
    const filled: TermSet[] = [];
    for (const set of sets) {
      if (set.runs.length > 0 && set !== filled.at(-1)) filled.push(set);
    }
    if (filled.length === 0) return TermSet.empty(space);
    if (filled.length === 1) return filled[0]!;
    return new TermSet(space, mergeRuns(filled.map((set) => set.runs)));
  }

  /** From runs in turn of start and end, in order; those that touch are joined. */
  static fromRuns(space: TermSpace, edges: readonly number[]): TermSet {
    return new TermSet(space, mergeRuns([edges]));
  }

  /** The starts and ends of its runs, in turn. */
  get edges(): readonly number[] {
    return this.runs;
  }

  /** The same term numbers in another expansion of the same shape. */
  in(space: TermSpace): TermSet {
    return new TermSet(space, this.runs);
  }

  get isEmpty(): boolean {
    return this.runs.length === 0;
  }

  get size(): number {
    let count = 0;
    for (let i = 0; i < this.runs.length; i += 2) count += this.runs[i + 1]! - this.runs[i]!;
    return count;
  }

  *indices(): Generator<number> {
    for (let i = 0; i < this.runs.length; i += 2) {
      for (let index = this.runs[i]!; index < this.runs[i + 1]!; index++) yield index;
    }
  }

  has(index: number): boolean {
    for (let i = 0; i < this.runs.length; i += 2) {
      if (index < this.runs[i]!) return false;
      if (index < this.runs[i + 1]!) return true;
    }
    return false;
  }

  equals(other: TermSet): boolean {
    return (
      this === other ||
      (this.runs.length === other.runs.length &&
        this.runs.every((edge, i) => edge === other.runs[i]))
    );
  }

  intersects(other: TermSet): boolean {
    let i = 0;
    let j = 0;
    while (i < this.runs.length && j < other.runs.length) {
      if (this.runs[i + 1]! <= other.runs[j]!) i += 2;
      else if (other.runs[j + 1]! <= this.runs[i]!) j += 2;
      else return true;
    }
    return false;
  }

  /** Whether every term of this set is in the other. */
  isWithin(other: TermSet): boolean {
    return TermSet.union(this.space, [this, other]).equals(other);
  }

  /** A text that is equal exactly when the sets of one expansion are. */
  get key(): string {
    return this.runs.join(',');
  }

  /** What the terms amount to together. */
  worth(): Exact {
    if (this.runs.length === 2 && this.runs[1]! - this.runs[0]! === 1) {
      return this.space.worth(this.runs[0]!);
    }
    const sums: Exact[] = [];
    for (let i = 0; i < this.runs.length; i += 2) {
      sums.push(this.space.worthOfRun(this.runs[i]!, this.runs[i + 1]!));
    }
    return Exact.sum(sums);
  }

  ids(): TermId[] {
    return [...this.indices()].map((index) => this.space.id(index));
  }

  toJSON(): TermId[] {
    return this.ids();
  }
}

/** All runs of all sets in order, joined where they touch. Sets that come in order need no sorting. */
function mergeRuns(lists: readonly (readonly number[])[]): number[] {
  const merged: number[] = [];
  for (const runs of lists) {
    if (merged.length > 0 && runs[0]! < merged.at(-2)!) return sortedRuns(lists);
    for (let i = 0; i < runs.length; i += 2) appendRun(merged, runs[i]!, runs[i + 1]!);
  }
  return merged;
}

function sortedRuns(lists: readonly (readonly number[])[]): number[] {
  const pairs: [number, number][] = [];
  for (const runs of lists) {
    for (let i = 0; i < runs.length; i += 2) pairs.push([runs[i]!, runs[i + 1]!]);
  }
  pairs.sort((a, b) => a[0] - b[0]);
  const merged: number[] = [];
  for (const [start, end] of pairs) appendRun(merged, start, end);
  return merged;
}

/** Adds a run that starts no earlier than the last one, joining it where they touch. */
function appendRun(runs: number[], start: number, end: number): void {
  const last = runs.length - 1;
  if (last > 0 && start <= runs[last]!) runs[last] = Math.max(runs[last]!, end);
  else runs.push(start, end);
}
