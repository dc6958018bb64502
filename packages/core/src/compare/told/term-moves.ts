import { TermSet } from '../../account/terms.ts';
import { amountOf, sumOf, type Expression, type Move } from '../expressions.ts';
import type { Lane } from '../comparison.ts';

/**
 * The agreement of brackets multiplied: all products of terms, what they make, like ones in brackets, and
 * the terms that are left. What an earlier stage has let cancel is a bracket of its own, worth nothing.
 */
export function termMoves(lane: Lane, order: readonly number[]): readonly Move[] {
  const { space } = lane.amounts.at(-1)!.terms;
  const worked = (index: number): Expression => amountOf(space.worth(index), [space.id(index)]);
  const moves: Move[] = [
    {
      law: 'distribute',
      expression: sumOf(order.map((index) => ({ kind: 'product', term: space.id(index) }))),
    },
    { law: 'evaluate', expression: sumOf(order.map(worked)) },
  ];
  const kinds = kindsOf(lane, order);
  const inOrder = (terms: TermSet) => order.filter((index) => terms.has(index));
  const gathered = kinds.filter((terms) => !terms.worth().isZero);
  return [
    ...moves,
    { law: 'reorder', expression: sumOf(kinds.map((terms) => sumOf(inOrder(terms).map(worked)))) },
    {
      law: 'like-terms',
      expression:
        gathered.length > 0
          ? sumOf(gathered.map((terms) => amountOf(terms.worth(), terms.ids())))
          : { kind: 'amount', worth: '0', of: lane.amounts.at(-1)!.terms.ids() },
    },
  ];
}

/** The kinds of terms that the last stage gathers, and everything that no kind holds any more. */
function kindsOf({ trace, amounts }: Lane, order: readonly number[]): readonly TermSet[] {
  const prefix = trace.stages.at(-1)?.prefix ?? '';
  const kinds = amounts
    .filter(({ group }) => group.role === 'like terms' && group.id.startsWith(prefix))
    .map(({ terms }) => terms)
    .filter((terms) => !terms.isEmpty);
  const { space } = amounts.at(-1)!.terms;
  const held = TermSet.union(space, kinds);
  const rest = order.filter((index) => !held.has(index));
  return rest.length === 0 ? kinds : [...kinds, TermSet.from(space, rest)];
}
