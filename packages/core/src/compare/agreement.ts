import type { Group, GroupRole, Law, Mark } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { numeralText } from '../exact/numeral.ts';
import { problemText } from '../problem/problem.ts';
import type { Comparison, Lane } from './compare.ts';

/**
 * A sum as a tree. A `product` is a term still written as a product; an `amount` is worked out, and
 * says of which terms it is, or of which one it is a piece.
 */
export type Expression =
  | { readonly kind: 'product'; readonly term: string }
  | { readonly kind: 'amount'; readonly worth: string; readonly of: readonly string[] }
  | { readonly kind: 'sum'; readonly parts: readonly Expression[] };

export interface Move {
  /** The law that makes this line equal to the one before; the first is equal to the problem. */
  readonly law: Law;
  readonly expression: Expression;
}

export interface MethodAgreement {
  readonly method: string;
  readonly moves: readonly Move[];
}

/** A certificate that methods agree: plain data that can be checked without the traces. */
export interface Agreement {
  readonly format: 'levee-agreement';
  readonly version: 1;
  readonly problem: string;
  /** The base in which people see the figures; every worth here is written in base ten. */
  readonly base: number;
  readonly operands: readonly {
    readonly text: string;
    readonly worth: string;
    readonly parts: readonly string[];
  }[];
  readonly value: string;
  readonly terms: readonly { readonly id: string; readonly text: string; readonly worth: string }[];
  readonly methods: readonly MethodAgreement[];
}

/** Groups that a method adds up, as against those that are only seen together. */
const GATHERING: ReadonlySet<GroupRole> = new Set([
  'line',
  'row total',
  'column total',
  'diagonal',
]);

/** Reads the agreement of all methods off their traces. */
export function agreement(comparison: Comparison): Agreement {
  const { problem, space, lanes } = comparison;
  const total = lanes[0]!.trace.total;
  const indices = Array.from({ length: space.size }, (_, index) => index);
  return {
    format: 'levee-agreement',
    version: 1,
    problem: problemText(problem),
    base: problem.base,
    operands: problem.operands.map((operand, k) => ({
      text: numeralText(operand),
      worth: Exact.sum(space.cuts[k]!.map((part) => part.worth)).toString(),
      parts: space.cuts[k]!.map((part) => part.worth.toString()),
    })),
    value: total.toString(),
    terms: indices.flatMap((index) => {
      const worth = space.worth(index);
      if (worth.isZero) return [];
      return [{ id: space.id(index), text: space.text(index), worth: worth.toString() }];
    }),
    methods: lanes.map((lane) => ({
      method: lane.method.id,
      moves: total.isZero ? [] : movesOf(comparison, lane, total),
    })),
  };
}

function movesOf({ space }: Comparison, lane: Lane, total: Exact): readonly Move[] {
  const order = dealtOrder(lane);
  const products = order.map((term): Expression => ({ kind: 'product', term: space.id(term) }));
  const worked = order.map((term) => amountOf(space.worth(term), [space.id(term)]));
  const start: Move[] = [
    { law: 'distribute', expression: sumOf(products) },
    { law: 'evaluate', expression: sumOf(worked) },
  ];
  const gathered = lane.trace.groups.filter((group) => GATHERING.has(group.role));
  const moves = gathered.length > 1 ? gather(lane, gathered, worked) : [];
  const end: Move = {
    law: 'evaluate',
    expression: amountOf(
      total,
      order.map((term) => space.id(term)),
    ),
  };
  return withoutStandstill([...start, ...moves, end]);
}

/** The common terms in the order in which the method deals with them. */
function dealtOrder(lane: Lane): readonly number[] {
  const owed = new Map(lane.trace.start.map((entry) => [entry.id, entry]));
  return lane.trace.steps.flatMap((step) =>
    step.takes.flatMap((id) => (owed.has(id) ? [...lane.termsOf(id).indices()] : [])),
  );
}

function amountOf(worth: Exact, of: readonly string[]): Expression {
  return { kind: 'amount', worth: worth.toString(), of };
}

function sumOf(parts: readonly Expression[]): Expression {
  return parts.length === 1 ? parts[0]! : { kind: 'sum', parts };
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
    const [term = ''] = termIds(piece);
    byTerm.set(term, [...(byTerm.get(term) ?? []), piece]);
  }
  return sumOf(worked.map((amount) => sumOf(byTerm.get(termIds(amount)[0] ?? '') ?? [amount])));
}

/** Drops moves that change nothing, such as brackets around single terms. */
function withoutStandstill(moves: readonly Move[]): readonly Move[] {
  const texts = moves.map((move) => JSON.stringify(move.expression));
  return moves.filter((_, i) => i === 0 || texts[i] !== texts[i - 1]);
}
