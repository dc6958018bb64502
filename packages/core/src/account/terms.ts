import { Exact } from '../exact/exact.ts';
import type { Part } from './cut.ts';

/** Names one term: the index of a part of each operand, joined by points, as in `1.0`. */
export type TermId = string & { readonly termId: true };

/**
 * All terms of one expansion: every way to choose one part of each operand. Terms are numbered from
 * 0 with the first operand's parts running fastest, so that the terms of one written line are
 * neighbours. A term whose worth is zero has no area and belongs to no {@link TermSet}.
 */
export class TermSpace {
  readonly size: number;
  private readonly ids: TermId[] = [];

  constructor(readonly cuts: readonly (readonly Part[])[]) {
    this.size = cuts.reduce((count, parts) => count * parts.length, 1);
  }

  /** The number of the term made of these part indices, one an operand. */
  index(parts: readonly number[]): number {
    return parts.reduceRight(
      (index, part, operand) => index * this.cuts[operand]!.length + part,
      0,
    );
  }

  /** The part indices of a term, one an operand. */
  parts(index: number): readonly number[] {
    let rest = index;
    return this.cuts.map((parts) => {
      const part = rest % parts.length;
      rest = (rest - part) / parts.length;
      return part;
    });
  }

  /** The id of a term; made once, since long traces name the same terms many times. */
  id(index: number): TermId {
    return (this.ids[index] ??= this.parts(index).join('.') as TermId);
  }

  /** The number of a term id, or null when this expansion has no such term. */
  find(id: string): number | null {
    if (!/^\d+(\.\d+)*$/.test(id)) return null;
    const parts = id.split('.').map(Number);
    if (parts.length !== this.cuts.length) return null;
    if (parts.some((part, operand) => part >= this.cuts[operand]!.length)) return null;
    return this.index(parts);
  }

  worth(index: number): Exact {
    return this.worthOf(this.parts(index));
  }

  /** What the term made of these part indices is worth. */
  worthOf(parts: readonly number[]): Exact {
    let product = this.cuts[0]![parts[0]!]!.worth;
    for (let operand = 1; operand < parts.length; operand++) {
      product = product.times(this.cuts[operand]![parts[operand]!]!.worth);
    }
    return product;
  }

  /** The term as it is written out, `40×8`. */
  text(index: number): string {
    return this.textOf(this.parts(index));
  }

  textOf(parts: readonly number[]): string {
    let text = this.cuts[0]![parts[0]!]!.text;
    for (let operand = 1; operand < parts.length; operand++) {
      text += `×${this.cuts[operand]![parts[operand]!]!.text}`;
    }
    return text;
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
    return Exact.sum([...this.indices()].map((index) => this.space.worth(index)));
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
