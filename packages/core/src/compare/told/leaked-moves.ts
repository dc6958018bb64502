import type { Entry } from '../../account/account.ts';
import { ledgerAt } from '../../account/ledger.ts';
import type { Leak } from '../../account/leaks.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Lane } from '../comparison.ts';
import {
  amountOf,
  sameExpression,
  sumOf,
  type Expression,
  type MethodAgreement,
  type Move,
} from '../expressions.ts';

/**
 * The agreement of a work that leaks, as far as it goes: its terms, and those brought together to their own amounts
 * before the step that leaks. Nothing is said of what comes after. Terms with letters and fractions are only told.
 */
export function leakedMoves(
  lane: Lane,
  problem: Problem,
  { step, amount }: Leak,
): Pick<MethodAgreement, 'moves' | 'bracketing' | 'leak'> {
  const { space } = lane.amounts.at(-1)!.terms;
  const ids = Array.from({ length: space.size }, (_, index) => index)
    .filter((index) => !space.worth(index).isZero)
    .map((index) => space.id(index));
  const owed = (term: string): Expression => ({ kind: 'product', term });
  const isProduct = problem.kind === 'product' || problem.kind === 'quotient';
  const plain = sumOf(ids.map(owed));
  const opening: Move = { law: isProduct ? 'distribute' : 'place-value', expression: plain };
  const leak = { step, amount: amount.toString() };
  if (ids.length === 0) return { moves: [], bracketing: null, leak };
  const gathered = scriptOf(problem) === 'figures' ? gatheredBefore(lane, step) : [];
  if (gathered.length === 0) return { moves: [opening], bracketing: plain, leak };
  const within = new Set(gathered.flatMap((terms) => terms.ids()));
  const worthOf = (id: string) => space.worth(space.find(id)!);
  const rest = ids.filter((id) => !within.has(id)).map(owed);
  const line = (leaf: (id: string) => Expression) =>
    sumOf([...gathered.map((terms) => sumOf(terms.ids().map(leaf))), ...rest]);
  const worked = (id: string) => amountOf(worthOf(id), [id]);
  const made = sumOf([...gathered.map((terms) => amountOf(terms.worth(), terms.ids())), ...rest]);
  const first: readonly Move[] = isProduct
    ? [
        {
          law: 'evaluate',
          expression: sumOf(ids.map((id) => (within.has(id) ? worked(id) : owed(id)))),
        },
        { law: 'reorder', expression: line(worked) },
      ]
    : [{ law: 'reorder', expression: line(owed) }];
  const moves = [opening, ...first, { law: 'evaluate', expression: made } as const].filter(
    (move, k, all) => k === 0 || !sameExpression(move.expression, all[k - 1]!.expression),
  );
  return {
    moves,
    bracketing: moves.find(({ law }) => law === 'reorder')?.expression ?? plain,
    leak,
  };
}

/** Terms that are marked before a step, by the amounts in which they stand; amounts that share terms are one. */
function gatheredBefore(lane: Lane, step: number): readonly TermSet[] {
  const { live } = ledgerAt(lane.trace, step - 1);
  const marks = [...live.values()].filter(({ standing }) => standing === 'marked');
  const owed = new Set(
    [...live.values()]
      .filter(({ standing }) => standing === 'owed')
      .flatMap(({ id }) => lane.termsOf(id).ids()),
  );
  return sharing(lane, marks).flatMap(({ terms, worth }) => {
    const isOwn = worth.equals(terms.worth()) && terms.ids().every((id) => !owed.has(id));
    return isOwn && !worth.isZero ? [terms] : [];
  });
}

interface Cluster {
  readonly terms: TermSet;
  readonly worth: Exact;
}

/** Marks put together as long as they have a term in common. */
function sharing(lane: Lane, marks: readonly Entry[]): readonly Cluster[] {
  let clusters: Cluster[] = [];
  for (const { id, worth } of marks) {
    const own = lane.termsOf(id);
    const ids = new Set(own.ids());
    const joined = clusters.filter(({ terms }) => terms.ids().some((one) => ids.has(one)));
    const all = [{ terms: own, worth }, ...joined];
    clusters = [
      ...clusters.filter((cluster) => !joined.includes(cluster)),
      {
        terms: TermSet.union(
          own.space,
          all.map(({ terms }) => terms),
        ),
        worth: Exact.sum(all.map((one) => one.worth)),
      },
    ];
  }
  return clusters;
}
