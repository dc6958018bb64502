import type { Entry } from '../../account/account.ts';
import { Exact } from '../../exact/exact.ts';
import type { Numeral } from '../../exact/numeral.ts';
import { signedTermText, termText } from '../../exact/terms-text.ts';
import type { ProblemKind } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Acceptance } from '../method-spec.ts';

/** The terms of an operand as they are written; a number is a list of one. */
export function listOf({ terms }: Numeral): readonly Exact[] {
  if (!terms) throw new RangeError('listOf: the operand has no terms');
  return terms.list;
}

/** A term as it looks in a row: with its sign in front, a plus only behind another term. */
export function inRow(term: Exact, isFirst: boolean): string {
  return isFirst ? termText(term) : signedTermText(term);
}

export function isNegative(term: Exact): boolean {
  return term.coefficient.isNegative;
}

/** Terms with the same letters, under the same exponents. */
export interface LikeTerms<T> {
  /** `x^2y`; empty for numbers. */
  readonly letters: string;
  readonly members: readonly T[];
}

/** Puts terms into their kinds, highest degree first, as an amount is written. */
export function likeTerms<T extends Pick<Entry, 'worth'>>(
  terms: readonly T[],
): readonly LikeTerms<T>[] {
  const byLetters = new Map<string, T[]>();
  for (const term of terms) {
    const { letters } = term.worth;
    byLetters.set(letters, [...(byLetters.get(letters) ?? []), term]);
  }
  return inOrder(terms.map(({ worth }) => worth)).map((letters) => ({
    letters,
    members: byLetters.get(letters)!,
  }));
}

/** The kinds of letters that terms have, in the order in which an amount lists them. */
export function inOrder(terms: readonly Exact[]): readonly string[] {
  const all = Exact.sum(terms.map(({ lettersOnly }) => lettersOnly));
  return all.parts().map(({ letters }) => letters);
}

/** The most products that brackets may make, so that a paper can still be read. */
const MOST_PRODUCTS = 120;

/** Accepts problems of some kinds with letters in them. */
export function acceptsTerms(...kinds: readonly ProblemKind[]) {
  return (problem: Problem): Acceptance => {
    if (!kinds.includes(problem.kind)) {
      return { ok: false, reason: { code: 'kind-not-worked', kind: problem.kind } };
    }
    if (scriptOf(problem) !== 'terms') return { ok: false, reason: { code: 'no-letters' } };
    const lists = problem.operands.map(listOf);
    if (lists.some((list) => list.some(({ isZero }) => isZero))) {
      return { ok: false, reason: { code: 'worth-nothing' } };
    }
    const terms = lists.reduce((count, list) => count * list.length, 1);
    return problem.kind === 'product' && terms > MOST_PRODUCTS
      ? { ok: false, reason: { code: 'too-many-terms', terms, limit: MOST_PRODUCTS } }
      : { ok: true };
  };
}
