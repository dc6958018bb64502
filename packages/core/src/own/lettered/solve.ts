import type { Exact } from '../../exact/exact.ts';
import type { NumberNode, Term } from '../../line/node.ts';
import { leavesOf } from '../../line/numbers-in.ts';
import { figureOf, textWith, valueWith } from './shape.ts';
import { originsOf } from './origins.ts';
import { isSameRow, named, type Origin, type Row, type Sign } from './symbols.ts';

/** Where each number of a paper comes from, as far as it is known. */
export type Known = ReadonlyMap<NumberNode, Sign>;

/** Some numbers of a line whose origin is asked. */
export interface Question {
  /** The numbers, in the order in which they stand. */
  readonly slots: readonly NumberNode[];
  /** What stands in the step itself, and what stands elsewhere on the page. */
  readonly near: readonly Sign[];
  readonly far: readonly Sign[];
  /** Numbers that are what some terms come to, `2760` of `46 × 60`. */
  readonly results: Results;
  /** Whether its numbers are chosen freely: a statement that stands by itself. */
  readonly isChosen: boolean;
  /** How many rows of numbers there are. */
  readonly length: number;
  /** What stands above the bars of one line, and below them: that comes from one place where it is worth the same. */
  readonly above: ReadonlySet<NumberNode>;
  readonly below: ReadonlySet<NumberNode>;
  /** Whether the line holds with the k-th numbers, when every number stands for these; null where it has no value. */
  readonly holds: (valueOf: (leaf: NumberNode) => Exact | null, k: number) => boolean | null;
}

/** For a number the terms that it may be what they come to. */
export type Results = ReadonlyMap<NumberNode, readonly (readonly Term[])[]>;

/** How many choices may still be looked at for a whole paper. */
export interface LookBudget {
  left: number;
}

/** How many choices are looked at for one question at each bound of how far-fetched the whole answer may be. */
const MOST_LOOKS = 800;
const BOUNDS = [3, 5.2, 6.5, 8, 9.5, 11, 13, 15, 18, 22, 28];
/** From this bound on origins of three numbers are thought of. */
const PLAIN_BOUND = 11;
/** How many rows of numbers a line must hold with, those of the paper among them. */
const LEAST_HELD = 4;
const RESULT_COST = 1;

/**
 * The likeliest origins with which a line holds for all numbers, not only for these; null where none is found.
 * @param first the number of signs so far: new ones go on counting from it.
 */
export function solved(
  question: Question,
  known: Known,
  first: number,
  budget: LookBudget,
): ReadonlyMap<NumberNode, Sign> | null {
  for (const bound of BOUNDS) {
    const search = new Search(question, known, first, bound, budget);
    search.go(question.slots, [], 0);
    if (search.best) return search.best;
    if (budget.left <= 0) return null;
  }
  return null;
}

class Search {
  best: ReadonlyMap<NumberNode, Sign> | null = null;
  private bestCost: number;
  private looks = 0;
  private readonly chosen = new Map<NumberNode, Sign>();
  private readonly length: number;
  private readonly threes: boolean;
  private readonly remembered = new Map<string, readonly Origin[]>();

  constructor(
    private readonly question: Question,
    private readonly known: Known,
    private readonly first: number,
    bound: number,
    private readonly budget: LookBudget,
  ) {
    this.bestCost = bound;
    this.threes = bound >= PLAIN_BOUND;
    this.length = question.length;
  }

  go(open: readonly NumberNode[], made: readonly Sign[], cost: number): void {
    if (cost >= this.bestCost || this.looks++ > MOST_LOOKS || this.budget.left-- <= 0) return;
    if (open.length === 0) {
      if (!this.holdsEverywhere()) return;
      this.best = new Map(this.chosen);
      this.bestCost = cost;
      return;
    }
    const { slot, origins } = this.easiest(open, made);
    const rest = open.filter((other) => other !== slot);
    for (const origin of origins) {
      const same = this.sameSign(origin.row, made);
      const sign = same ?? {
        id: this.first + made.length,
        row: origin.row,
        rule: origin.rule,
      };
      this.chosen.set(slot, sign);
      this.go(rest, same ? made : [...made, sign], cost + origin.cost);
      this.chosen.delete(slot);
    }
  }

  private sameSign(row: Row, made: readonly Sign[]): Sign | undefined {
    const { near, far } = this.question;
    return [...near, ...made, ...far].find((sign) => isSameRow(sign.row, row));
  }

  /** Of the open numbers the one whose likeliest origin is likeliest. */
  private easiest(
    open: readonly NumberNode[],
    made: readonly Sign[],
  ): { slot: NumberNode; origins: readonly Origin[] } {
    const { near, far } = this.question;
    const here = [...near, ...made];
    const all = open.map((slot) => ({ slot, origins: this.originsFor(slot, here, far) }));
    return all.reduce((best, one) =>
      (one.origins[0]?.cost ?? Infinity) < (best.origins[0]?.cost ?? Infinity) ? one : best,
    );
  }

  private originsFor(
    slot: NumberNode,
    near: readonly Sign[],
    far: readonly Sign[],
  ): readonly Origin[] {
    const tied = this.tiedTo(slot);
    if (tied) return [{ rule: named(tied), row: tied.row, cost: 0 }];
    const found = this.origins(slot, near, far);
    const results = this.resultsFor(slot);
    const others = found.filter(
      ({ row, cost }) => cost < RESULT_COST || !results.some((own) => isSameRow(row, own.row)),
    );
    return [...others, ...results].sort((a, b) => a.cost - b.cost);
  }

  private origins(
    slot: NumberNode,
    near: readonly Sign[],
    far: readonly Sign[],
  ): readonly Origin[] {
    const made = near.slice(this.question.near.length);
    const key = [
      figureOf(slot),
      this.barOf(slot),
      ...made.map(({ id, row }) => `${id}=${row.join()}`),
    ].join(' ');
    const known = this.remembered.get(key);
    const bar = this.barOf(slot);
    const asking = {
      value: figureOf(slot),
      bar,
      threes: this.threes,
      isChosen: this.question.isChosen,
      length: this.length,
    };
    const found = known ?? originsOf(asking, near, far);
    this.remembered.set(key, found);
    return found;
  }

  private barOf(slot: NumberNode): 'above' | 'below' | null {
    if (this.question.below.has(slot)) return 'below';
    return this.question.above.has(slot) ? 'above' : null;
  }

  /** What another number stands for that this one must be. */
  private tiedTo(slot: NumberNode): Sign | null {
    const { below } = this.question;
    if (!below.has(slot)) return null;
    const other = [...below].find(
      (own) => own !== slot && this.signOf(own) && own.amount.equals(slot.amount),
    );
    return other ? this.signOf(other)! : null;
  }

  /** What terms come to that a number is the result of, once all of theirs are known. */
  private resultsFor(slot: NumberNode): readonly Origin[] {
    return (this.question.results.get(slot) ?? []).flatMap((terms) => {
      if (leavesOf(terms).some((leaf) => !this.signOf(leaf))) return [];
      const row = Array.from({ length: this.length }, (_, k) =>
        valueWith(terms, (leaf) => this.signOf(leaf)!.row[k]!, null),
      );
      if (!row[0]?.equals(figureOf(slot))) return [];
      const rule = textWith(terms, (leaf) => named(this.signOf(leaf)!));
      return [{ rule, row, cost: RESULT_COST }];
    });
  }

  private signOf(leaf: NumberNode): Sign | undefined {
    return this.chosen.get(leaf) ?? this.known.get(leaf);
  }

  /** Whether it holds with several other rows of numbers, and fails with none. */
  private holdsEverywhere(): boolean {
    let held = 0;
    for (let k = 0; k < this.length; k++) {
      const holds = this.question.holds((leaf) => this.signOf(leaf)?.row[k] ?? null, k);
      if (holds === false) return false;
      if (holds) held++;
    }
    return held >= LEAST_HELD;
  }
}
