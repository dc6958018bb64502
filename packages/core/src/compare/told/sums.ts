import type { Exact } from '../../exact/exact.ts';
import { bracketing } from './bracketing.ts';
import type { Comparison } from '../comparison.ts';
import type { Lane } from '../comparison.ts';
import { amountOf, sumOf, type Expression, type Move } from '../expressions.ts';
import { dealtSteps } from '../stops.ts';
import { sumMoves } from './sum-moves.ts';
import { withoutStandstill, type Told } from './telling.ts';

/** Above so many leaves in all its lines together an agreement of a sum is given in brief. */
const MOST_LEAVES = 60_000;

/** The agreement of a sum or difference: a line after every run of one law, with the method's brackets beside. */
export function sumTold({ space }: Comparison, lane: Lane, total: Exact): Told {
  const brackets = bracketing(lane, largestFirst(lane), lane.amounts.at(-1)!.terms);
  const brief = space.size * lane.trace.steps.length > MOST_LEAVES;
  const moves = brief ? briefMoves(brackets, lane, total) : sumMoves(lane);
  return { moves, bracketing: brackets, brief };
}

/** The opening, the method's brackets and the total. */
function briefMoves(brackets: Expression, lane: Lane, total: Exact): readonly Move[] {
  const ids = lane.amounts.at(-1)!.terms.ids();
  const opening = sumOf(ids.map((term): Expression => ({ kind: 'product', term })));
  return withoutStandstill([
    { law: 'place-value', expression: opening },
    { law: 'reorder', expression: brackets },
    { law: 'evaluate', expression: amountOf(total, ids) },
  ]);
}

/** The common terms in the order in which the method deals with them; in one step largest first. */
function largestFirst(lane: Lane): readonly number[] {
  const operand = (term: number) => lane.amounts.at(-1)!.terms.space.parts(term)[0]!;
  return [...dealtSteps(lane)]
    .sort(([a, s], [b, t]) => s - t || operand(a) - operand(b) || b - a)
    .map(([term]) => term);
}
