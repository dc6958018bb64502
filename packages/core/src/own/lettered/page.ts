import type { Exact } from '../../exact/exact.ts';
import { turned, type FractionNode, type NumberNode, type Term } from '../../line/node.ts';
import { leavesOf } from '../../line/numbers-in.ts';
import { textWith, valueWith } from './shape.ts';
import { solved, type LookBudget, type Question, type Results } from './solve.ts';
import { isSameRow, named, type Row, type Sign } from './symbols.ts';

/** A line of which it is not known where its numbers come from, or that no way can hold. */
export class NoWay extends Error {
  constructor(
    /** From 1. */
    readonly line: number,
    readonly why: 'unequal' | 'run-on' | 'unread' | 'unnamed' | 'origin',
  ) {
    super(`line ${line}: ${why}`);
  }
}

type ValueOf = (leaf: NumberNode) => Exact | null;

export const NO_RESULTS: Results = new Map();
const NONE: ReadonlySet<NumberNode> = new Set();

/** A paper on which more and more numbers have a sign: where each of them comes from. */
export class LetteredPage {
  readonly signs: Sign[] = [];
  readonly known = new Map<NumberNode, Sign>();
  private readonly value: Row;

  /** @param rows the numbers of the problem as they are given, then others in their place. */
  constructor(
    problem: readonly Term[],
    readonly rows: readonly (readonly Exact[])[],
    private readonly budget: LookBudget,
  ) {
    leavesOf(problem).forEach((leaf, k) => {
      this.known.set(
        leaf,
        this.signFor(
          rows.map((own) => own[k]!),
          null,
        ),
      );
    });
    this.value = rows.map((_, k) =>
      valueWith(problem, (leaf) => this.known.get(leaf)!.row[k]!, null),
    );
  }

  /** The sign with a row, or a new one with this rule. */
  signFor(row: Row, rule: string | null): Sign {
    const same = this.signs.find((own) => isSameRow(own.row, row));
    if (same) return same;
    const sign = { id: this.signs.length, row, rule };
    this.signs.push(sign);
    return sign;
  }

  /** Asks for numbers of a statement that stands by itself: they may come from anywhere on the page. */
  ask(n: number, slots: readonly NumberNode[], results: Results, holds: Question['holds']): void {
    const isFound = this.answer({
      isChosen: true,
      length: this.rows.length,
      slots,
      near: this.signs,
      far: [],
      results,
      above: NONE,
      below: NONE,
      holds,
    });
    if (!isFound) throw new NoWay(n, 'origin');
  }

  /** Some terms that were made of others; `beside` stands near them, too. */
  group(old: readonly Term[], made: readonly Term[], beside: readonly Sign[]): boolean {
    const slots = leavesOf(made).filter((leaf) => !this.known.has(leaf));
    const due = made[0]?.minus ? turned(old) : old;
    const isResult = slots.length === 1 && isLone(made);
    const near = [...new Set([...this.signsOf(old), ...beside])];
    return this.answer({
      isChosen: false,
      length: this.rows.length,
      slots,
      near,
      far: this.signs.filter((sign) => !near.includes(sign)),
      results: isResult ? new Map([[slots[0]!, [due]]]) : NO_RESULTS,
      above: new Set(fractionsIn(made).map(({ top }) => top)),
      below: new Set(bottomsOf(made)),
      holds: (valueOf, k) => isEqual(this.worth(old, valueOf, k), this.worth(made, valueOf, k)),
    });
  }

  /** Takes back all that was found where a try comes to nothing. */
  tried(go: () => boolean): boolean {
    const before = new Map(this.known);
    const count = this.signs.length;
    if (go()) return true;
    this.known.clear();
    for (const [leaf, sign] of before) this.known.set(leaf, sign);
    this.signs.length = count;
    return false;
  }

  private answer(question: Question): boolean {
    if (question.slots.length === 0) {
      // Every number is known already; the line must still hold.
      return this.rows.every(
        (_, k) => question.holds((leaf) => this.known.get(leaf)?.row[k] ?? null, k) !== false,
      );
    }
    const found = solved(question, this.known, this.signs.length, this.budget);
    if (!found) return false;
    for (const [leaf, sign] of found) {
      this.known.set(leaf, sign);
      this.signs[sign.id] = sign;
    }
    return true;
  }

  signsOf(terms: readonly Term[]): readonly Sign[] {
    return [...new Set(leavesOf(terms).flatMap((leaf) => this.known.get(leaf) ?? []))];
  }

  /** What terms come to with the k-th numbers. */
  worth(terms: readonly Term[], valueOf: ValueOf, k: number): Exact | null {
    return valueWith(terms, valueOf, this.value[k]!);
  }

  text(terms: readonly Term[]): string {
    return textWith(terms, (leaf) => named(this.known.get(leaf)!));
  }
}

/** What stands below the bars of a line of terms. */
export function bottomsOf(terms: readonly Term[]): readonly NumberNode[] {
  return fractionsIn(terms).map(({ bottom }) => bottom);
}

function fractionsIn(terms: readonly Term[]): readonly FractionNode[] {
  return terms.flatMap(({ node }) => {
    if (node.kind === 'fraction') return [node];
    return node.kind === 'mixed' ? [node.part] : [];
  });
}

export function isLone(terms: readonly Term[]): boolean {
  const [only, ...more] = terms;
  return more.length === 0 && only?.node.kind === 'number';
}

export function isEqual(a: Exact | null, b: Exact | null): boolean | null {
  return a === null || b === null ? null : a.equals(b);
}
