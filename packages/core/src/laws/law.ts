import { Exact } from '../exact/exact.ts';
import type { Expression } from '../problem/expression.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import type { Script } from '../problem/script.ts';

/** An amount that a law moves, seen without the work that it stands in. */
export interface Amount {
  readonly worth: Exact;
  /** The terms of the problem that it is made of, each once. */
  readonly terms: ReadonlySet<string>;
  /** Whether it is a term as the problem gives it, not worked out yet. */
  readonly owed: boolean;
  /** How it is written, where that is not how its worth is told: `18/24`, `(80+6)^2`, `280÷7`. */
  readonly written: Expression | null;
  /** The whole line as it stands, in someone's own lines. */
  readonly line?: Expression | null;
}

/** What a law does at one place of a sum: these amounts go, those come in their place. */
export interface Change {
  readonly takes: readonly Amount[];
  readonly gives: readonly Amount[];
}

/** What a change is held against besides itself: the numbers of the problem, and where the change stands. */
export interface LawFrame {
  readonly kind: ProblemKind;
  readonly script: Script;
  readonly base: number;
  /** What the operands are worth. */
  readonly operands: readonly Exact[];
  /** The signed worths of the parts that a term is made of, with the operand of each. */
  readonly partsOf: (term: string) => readonly TermPart[];
  /** Whether an operand stands behind a minus. */
  readonly isTaken: (operand: number) => boolean;
  /** Every term of the problem that is worth something. */
  readonly terms: ReadonlySet<string>;
  /** Terms that have cancelled before, so that an amount may name them or not. */
  readonly spent: ReadonlySet<string>;
  /**
   * Whether amounts are written figure by figure, as on a paper: what is worked out then stands there as a
   * figure and what goes on. In the lines of a certificate every amount is whole.
   */
  readonly inFigures: boolean;
  /** Whether the change is read as an open sentence, `387 + □ = 642`, as one's own lines may be. */
  readonly isOpen?: boolean;
  /** Whether the work is someone's own lines, which may leave a law unnamed. */
  readonly isOwn?: boolean;
  /** By how much is said to be changed, or scaled; null where nothing is said. */
  readonly by: Exact | null;
}

export interface TermPart {
  readonly operand: number;
  readonly worth: Exact;
}

/** What is wrong, in words that follow the name of the law; null when nothing is. */
export type Fault = string | null;

export function worthOf(amounts: readonly Amount[]): Exact {
  return Exact.sum(amounts.map(({ worth }) => worth));
}

/** The terms that amounts hold together. */
export function held(amounts: readonly Amount[]): ReadonlySet<string> {
  return new Set(amounts.flatMap(({ terms }) => [...terms]));
}

/** Whether two lists of terms are alike, but for terms that have cancelled before. */
export function sameTerms(
  a: ReadonlySet<string>,
  b: ReadonlySet<string>,
  spent: ReadonlySet<string>,
): boolean {
  const within = (one: ReadonlySet<string>, other: ReadonlySet<string>) =>
    [...one].every((term) => other.has(term) || spent.has(term));
  return within(a, b) && within(b, a);
}

/** The fault of a change that gains or loses something. */
export function unequal({ takes, gives }: Change): Fault {
  const [before, after] = [worthOf(takes), worthOf(gives)];
  return before.equals(after) ? null : `${before} becomes ${after}`;
}

/** The fault of a change whose amounts together are not of the same terms before and after. */
export function otherTerms({ takes, gives }: Change, { spent }: LawFrame): Fault {
  if (worthOf(takes).isZero && gives.length === 0) return null;
  return sameTerms(held(takes), held(gives), spent) ? null : 'the terms are not the same';
}

/** The terms that are left when those of amounts that count against others are taken from theirs. */
export function left(amounts: readonly Amount[]): ReadonlySet<string> {
  const against = held(amounts.filter(({ worth }) => worth.isNegative));
  return new Set([...held(amounts)].filter((term) => !against.has(term)));
}

/** Amounts stay what they are and of what they are, one for one. */
export function oneForOne({ takes, gives }: Change): Fault {
  if (takes.length !== gives.length) return 'it is not one for one';
  const stays = takes.every((take, k) => {
    const give = gives[k]!;
    return (
      take.worth.equals(give.worth) &&
      take.terms.size === give.terms.size &&
      [...take.terms].every((term) => give.terms.has(term))
    );
  });
  return stays ? null : 'an amount is worth something else, or of other terms';
}

/** The first fault of several, so that checks read as a list. */
export function firstFault(...faults: readonly (Fault | (() => Fault))[]): Fault {
  for (const one of faults) {
    const fault = typeof one === 'function' ? one() : one;
    if (fault !== null) return fault;
  }
  return null;
}

/** The numbers of a written product in order, brackets as one. */
export function writtenFactors(of: Expression): readonly Expression[] {
  return of.kind === 'product' ? of.factors.flatMap(writtenFactors) : [of];
}
