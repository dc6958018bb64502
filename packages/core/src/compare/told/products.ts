import type { Group, GroupRole, Mark } from '../../account/account.ts';
import type { Exact } from '../../exact/exact.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Comparison } from '../comparison.ts';
import type { Lane } from '../comparison.ts';
import { amountOf, sumOf, type Expression, type Move } from '../expressions.ts';
import { termMoves } from './term-moves.ts';
import { dealtOrder, NOTHING_TOLD, withoutStandstill, type Told } from './telling.ts';

/** Groups that a method adds up, as against those that are only seen together. */
const GATHERING: ReadonlySet<GroupRole> = new Set([
  'line',
  'row total',
  'column total',
  'diagonal',
  'place total',
  'like terms',
]);

/** The agreement of a product: its terms, the groups that the method adds, and the total. */
export function productTold(comparison: Comparison, lane: Lane, total: Exact): Told {
  if (total.isZero) return NOTHING_TOLD;
  const moves =
    scriptOf(comparison.problem) === 'terms'
      ? withoutStandstill(termMoves(lane, dealtOrder(lane)))
      : movesOf(comparison, lane, total);
  return { moves, bracketing: shownLine(moves), brief: false };
}

/** The last line of a product's moves that is still a sum of all terms. */
function shownLine(moves: readonly Move[]): Expression | null {
  const shown =
    moves.findLast(({ law }) => law === 'reorder') ??
    moves.find(({ law }) => law === 'evaluate') ??
    moves[0];
  return shown?.expression ?? null;
}

function movesOf({ space }: Comparison, lane: Lane, total: Exact): readonly Move[] {
  const order = dealtOrder(lane);
  const products = order.map((term): Expression => ({ kind: 'product', term: space.id(term) }));
  const worked = order.map((term) => amountOf(space.worth(term), [space.id(term)]));
  const start: Move[] = [
    { law: 'distribute', expression: sumOf(products) },
    { law: 'evaluate', expression: sumOf(worked) },
  ];
  const { stages } = lane.trace;
  const last = stages.at(-1)?.prefix ?? '';
  const gathered = lane.trace.groups.filter(
    (group) => GATHERING.has(group.role) && group.id.startsWith(last),
  );
  const own = stages.length > 0 ? [] : ownAmounts(lane, worked);
  const whole = stages.length === 0 && own.length < worked.length ? ownMoves(own) : [];
  const amounts = stages.length > 0 ? worked : own.map(({ amount }) => amount);
  const lines = stages.length > 0 && !areExact(lane, gathered) ? [] : gathered;
  const moves = lines.length > 1 ? gather(lane, lines, amounts) : [];
  const end: Move = {
    law: 'evaluate',
    expression: amountOf(
      total,
      order.map((term) => space.id(term)),
    ),
  };
  return withoutStandstill([...start, ...whole, ...moves, end]);
}

/** Whether all of these groups are worth just what their terms are. */
function areExact(lane: Lane, groups: readonly Group[]): boolean {
  return lane.amounts.every(
    ({ group, exact }) => exact || group.worth.isZero || !groups.includes(group),
  );
}

/** A product that the method works as one, and the common terms that it is made of. */
interface OwnAmount {
  readonly amount: Expression;
  readonly parts: readonly Expression[];
}

/** The worked-out terms put together to the products of the method's own coarser cut. */
function ownAmounts(lane: Lane, worked: readonly Expression[]): readonly OwnAmount[] {
  const byTerm = new Map(worked.map((amount) => [termIds(amount)[0]!, amount]));
  const owed = lane.trace.start.filter(({ terms }) => !terms.isEmpty);
  const position = new Map([...byTerm.keys()].map((id, k) => [id, k]));
  return owed
    .map((entry): OwnAmount => {
      const ids = lane.termsOf(entry.id).ids();
      const parts = ids.map((id) => byTerm.get(id)!);
      return { amount: amountOf(entry.worth, ids), parts };
    })
    .sort((a, b) => position.get(termIds(a.amount)[0]!)! - position.get(termIds(b.amount)[0]!)!);
}

/** Brackets around the terms of each own product, and what they make. */
function ownMoves(own: readonly OwnAmount[]): readonly Move[] {
  return [
    { law: 'reorder', expression: sumOf(own.map(({ parts }) => sumOf(parts))) },
    { law: 'evaluate', expression: sumOf(own.map(({ amount }) => amount)) },
  ];
}

/**
 * The moves from worked-out terms to the groups that are added last. Groups that hold whole terms
 * only need brackets; groups that gather by place first split every term into its figures.
 */
function gather(
  lane: Lane,
  groups: readonly Group[],
  worked: readonly Expression[],
): readonly Move[] {
  const exact = new Set(lane.amounts.filter((amount) => amount.exact).map(({ group }) => group));
  const whole = groups.every((group) => exact.has(group) || group.worth.isZero);
  const live = groups.filter((group) => !group.worth.isZero);
  const brackets = live.map((group) =>
    whole ? termsIn(lane, group, worked) : piecesIn(lane, group),
  );
  const gathered: Move[] = [
    { law: 'reorder', expression: sumOf(brackets.map(sumOf)) },
    {
      law: 'evaluate',
      expression: sumOf(
        brackets.map((parts, k) => amountOf(live[k]!.worth, [...new Set(parts.flatMap(termIds))])),
      ),
    },
  ];
  if (whole) return gathered;
  return [{ law: 'place-value', expression: splitTerms(worked, brackets.flat()) }, ...gathered];
}

function termIds(expression: Expression): readonly string[] {
  return expression.kind === 'amount' ? expression.of : [];
}

function termsIn(lane: Lane, group: Group, worked: readonly Expression[]): readonly Expression[] {
  const ids = new Set<string>(lane.amounts.find((amount) => amount.group === group)!.terms.ids());
  return worked.filter((amount) => termIds(amount).every((id) => ids.has(id)));
}

function piecesIn(lane: Lane, group: Group): readonly Expression[] {
  const wanted = new Set(group.marks);
  const marks = lane.trace.steps
    .flatMap((step) => step.gives)
    .filter((mark) => wanted.has(mark.id));
  return marks.filter((mark) => !mark.worth.isZero).map((mark) => pieceOf(lane, mark));
}

function pieceOf(lane: Lane, mark: Mark): Expression {
  return amountOf(mark.worth, lane.termsOf(mark.id).ids());
}

/** Each worked-out term replaced by its pieces, largest first as the trace wrote them. */
function splitTerms(worked: readonly Expression[], pieces: readonly Expression[]): Expression {
  const byTerm = new Map<string, Expression[]>();
  for (const piece of pieces) {
    const key = termIds(piece).join();
    byTerm.set(key, [...(byTerm.get(key) ?? []), piece]);
  }
  return sumOf(worked.map((amount) => sumOf(byTerm.get(termIds(amount).join()) ?? [amount])));
}
