import type { Group, Mark } from '../../account/account.ts';
import { rootOf } from '../../account/root.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { numberText, placeValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import {
  amountOf,
  sameExpression,
  sumOf,
  type Expression,
  type MethodAgreement,
  type Move,
} from '../expressions.ts';
import type { Lane } from '../comparison.ts';

/**
 * The agreement of a root: the number in its pieces, the pieces that are laid together as a square and as
 * strips around it, and the square of the root that they make, with what is left. A work by primes writes
 * the number as its primes, and those as a square.
 */
export function rootMoves(
  lane: Lane,
  problem: Problem,
): Pick<MethodAgreement, 'moves' | 'bracketing'> {
  const all = lane.amounts.at(-1)!.terms;
  const plain = sumOf([...all.indices()].reverse().map((index) => leaf(all, index)));
  const opening: Move = { law: 'place-value', expression: plain };
  const laid = lane.amounts.filter(({ group }) => group.role === 'share' || group.role === 'rest');
  const moves = laid.length > 0 ? laidMoves(lane, problem, laid) : primeMoves(lane, problem, all);
  const [first] = moves;
  return {
    moves: [opening, ...moves].filter(
      (move, k, list) => k === 0 || !sameExpression(move.expression, list[k - 1]!.expression),
    ),
    bracketing: first?.law === 'reorder' ? first.expression : plain,
  };
}

function laidMoves(lane: Lane, problem: Problem, laid: Lane['amounts']): readonly Move[] {
  const { base } = problem;
  const filled = laid.filter(({ terms }) => !terms.isEmpty);
  const write = (amount: Exact) => source(amount, base);
  const { root } = rootOf(lane.trace);
  const rest = filled.filter(({ group }) => group.role === 'rest');
  const restAmount = rest.map(({ terms }) => amountOf(terms.worth(), terms.ids()));
  const covered = TermSet.union(
    filled[0]!.terms.space,
    filled.filter(({ group }) => group.role === 'share').map(({ terms }) => terms),
  );
  let so = Exact.ZERO;
  const strips = filled.map(({ group, terms }): Expression => {
    if (group.role === 'rest') return amountOf(terms.worth(), terms.ids());
    const width = widthOf(lane, group, base);
    const text = so.isZero
      ? `${write(width)}^2`
      : `(2*${write(so)}+${write(width)})*${write(width)}`;
    so = so.plus(width);
    return amountOf(terms.worth(), terms.ids(), text);
  });
  const laidCount = strips.length - rest.length;
  const widths = filled
    .filter(({ group }) => group.role === 'share')
    .map(({ group }) => write(widthOf(lane, group, base)));
  const square = (text: string) =>
    sumOf([amountOf(root.times(root), covered.ids(), text), ...restAmount]);
  return [
    {
      law: 'reorder',
      expression: sumOf(
        filled.map(({ terms }) =>
          sumOf([...terms.indices()].reverse().map((index) => leaf(terms, index))),
        ),
      ),
    },
    { law: 'square', expression: sumOf(strips) },
    { law: 'reorder', expression: sumOf([sumOf(strips.slice(0, laidCount)), ...restAmount]) },
    ...(widths.length > 1
      ? [{ law: 'square' as const, expression: square(`(${widths.join('+')})^2`) }]
      : []),
    { law: 'evaluate', expression: square(`${write(root)}^2`) },
  ];
}

function primeMoves(lane: Lane, problem: Problem, all: TermSet): readonly Move[] {
  const { base } = problem;
  const total = lane.trace.total;
  const write = (amount: Exact) => source(amount, base);
  const primesOf = lane.trace.steps.at(-1)?.about?.primes ?? { out: [], inside: [] };
  const [out, inside] = [primesOf.out.map(write), primesOf.inside.map(write)];
  const { root, under } = rootOf(lane.trace);
  const whole: Move = { law: 'evaluate', expression: amountOf(total, all.ids()) };
  if (out.length + inside.length === 0) return [whole];
  const primes = [...out.flatMap((one) => [one, one]), ...inside];
  const square = out.length > 1 ? `(${out.join('*')})^2` : `${out[0] ?? write(Exact.ONE)}^2`;
  const stays = inside.length > 0 ? `*${inside.join('*')}` : '';
  const last = under.equals(Exact.ONE) ? `${write(root)}^2` : `${write(root)}^2*${write(under)}`;
  return [
    whole,
    ...(primes.length > 1
      ? [{ law: 'pair-factors' as const, expression: amountOf(total, all.ids(), primes.join('*')) }]
      : []),
    { law: 'pair-factors', expression: amountOf(total, all.ids(), square + stays) },
    { law: 'evaluate', expression: amountOf(total, all.ids(), last) },
  ];
}

/** How wide the square or the strips of a digit are. */
function widthOf(lane: Lane, group: Group, base: number): Exact {
  const { glyph, place } = lane.find(group.marks[0]!) as Mark;
  return Exact.of(BigInt(parseInt(glyph, base))).times(placeValue(base, place ?? 0));
}

/** A number in the problem language, in figures of its base. */
function source(amount: Exact, base: number): string {
  const text = numberText(amount, base);
  return base === 10 ? text : `${text}_${base}`;
}

function leaf(terms: TermSet, index: number): Expression {
  return { kind: 'product', term: terms.space.id(index) };
}
