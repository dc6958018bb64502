import type { TermSet } from '../../account/terms.ts';
import type { Expression } from '../expressions.ts';
import type { Lane } from '../comparison.ts';

interface Bracket {
  readonly terms: TermSet;
  readonly inside: Bracket[];
}

/**
 * How a method brackets the common terms: every set of terms that it reads as exactly one amount is a
 * bracket, inside the larger ones that hold it. Columns come before what crosses them; of other sets that
 * cross, the larger one stays. Terms come in the given order.
 */
export function bracketing(lane: Lane, order: readonly number[], all: TermSet): Expression {
  const owed = lane.trace.start.map((entry) => lane.termsOf(entry.id));
  const exact = lane.amounts.filter((amount) => amount.exact);
  const columns = exact.filter(({ group }) => group.role === 'column').map(({ terms }) => terms);
  const sets = unique([...exact.map(({ terms }) => terms), ...owed])
    .filter((set) => set.size > 1 && !set.equals(all))
    .filter((set) => !columns.some((column) => crosses(set, column)))
    .sort((a, b) => b.size - a.size);
  const root: Bracket = { terms: all, inside: [] };
  for (const terms of sets) place(root, { terms, inside: [] });
  const position = new Map(order.map((term, k) => [term, k]));
  return expressionOf(root, position);
}

function crosses(a: TermSet, b: TermSet): boolean {
  return a.intersects(b) && !a.isWithin(b) && !b.isWithin(a);
}

function unique(sets: readonly TermSet[]): TermSet[] {
  return [...new Map(sets.map((set) => [set.key, set])).values()];
}

/** Puts a bracket inside the smallest one that holds it, unless it crosses another on the way. */
function place(into: Bracket, bracket: Bracket): void {
  const holder = into.inside.find(({ terms }) => bracket.terms.isWithin(terms));
  if (holder) return place(holder, bracket);
  if (into.inside.some(({ terms }) => terms.intersects(bracket.terms))) return;
  into.inside.push(bracket);
}

function expressionOf(bracket: Bracket, position: ReadonlyMap<number, number>): Expression {
  const { space } = bracket.terms;
  const first = (terms: TermSet) => Math.min(...[...terms.indices()].map((t) => position.get(t)!));
  const alone = [...bracket.terms.indices()].filter(
    (term) => !bracket.inside.some(({ terms }) => terms.has(term)),
  );
  const parts: { at: number; expression: Expression }[] = [
    ...alone.map((term) => ({
      at: position.get(term)!,
      expression: { kind: 'product', term: space.id(term) } as const,
    })),
    ...bracket.inside.map((inner) => ({
      at: first(inner.terms),
      expression: expressionOf(inner, position),
    })),
  ].sort((a, b) => a.at - b.at);
  const [only] = parts;
  return parts.length === 1 && only
    ? only.expression
    : { kind: 'sum', parts: parts.map(({ expression }) => expression) };
}
