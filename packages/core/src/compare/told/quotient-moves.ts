import { type Exact } from '../../exact/exact.ts';
import { decimalsNeeded, numberText, numeralValue, placeValue } from '../../exact/numeral.ts';
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
import { TermSet } from '../../account/terms.ts';

/**
 * The agreement of a quotient: the dividend in its pieces, each shared by the divisor (first with both
 * scaled until the divisor is whole); the pieces of every share in brackets; the shares; the quotient.
 */
export function quotientMoves(
  lane: Lane,
  problem: Problem,
): Pick<MethodAgreement, 'moves' | 'bracketing'> {
  const all = lane.amounts.at(-1)!.terms;
  const { space } = all;
  const total = lane.trace.total;
  const by = scaling(problem);
  const leaf = (index: number): Expression => ({
    kind: 'product',
    term: space.id(index),
    ...(by ? { scaled: scaledText(space.cuts[0]![index]!.worth, problem, by) } : {}),
  });
  const indices = [...all.indices()].reverse();
  const plain = sumOf(
    indices.map((index): Expression => ({ kind: 'product', term: space.id(index) })),
  );
  const shares = sharesOf(lane, all);
  const brackets = sumOf(shares.map((terms) => sumOf([...terms.indices()].reverse().map(leaf))));
  const worked = sumOf(shares.map((terms) => amountOf(terms.worth(), terms.ids())));
  const moves: Move[] = [
    { law: 'distribute', expression: plain },
    ...(by
      ? [
          {
            law: 'scale-both' as const,
            expression: sumOf(indices.map(leaf)),
            by: by.toString(),
          },
        ]
      : []),
    { law: 'reorder', expression: brackets },
    { law: 'evaluate', expression: worked },
    { law: 'evaluate', expression: amountOf(total, all.ids()) },
  ];
  const bracketing = sumOf(
    shares.map((terms) =>
      sumOf(
        [...terms.indices()]
          .reverse()
          .map((index): Expression => ({ kind: 'product', term: space.id(index) })),
      ),
    ),
  );
  return {
    moves: moves.filter(
      (move, k) => k === 0 || !sameExpression(move.expression, moves[k - 1]!.expression),
    ),
    bracketing,
  };
}

/** The pieces of every figure or chunk of the quotient, from the largest on, and what is left. */
function sharesOf(lane: Lane, all: TermSet): readonly TermSet[] {
  const own = lane.amounts
    .filter(({ group, exact }) => (group.role === 'share' || group.role === 'rest') && exact)
    .map(({ terms }) => terms)
    .filter((terms) => !terms.isEmpty);
  const held = TermSet.union(all.space, own);
  return held.equals(all) ? own : [...all.indices()].reverse().map((t) => TermSet.of(all.space, t));
}

/** By how much both numbers are scaled so that the divisor is whole; null when it is. */
function scaling({ operands, base }: Problem): Exact | null {
  const decimals = decimalsNeeded(numeralValue(operands[1]!), base) ?? 0;
  return decimals === 0 ? null : placeValue(base, decimals);
}

function scaledText(piece: Exact, { operands, base }: Problem, by: Exact): string {
  const divisor = numeralValue(operands[1]!).times(by);
  return `${numberText(piece.times(by), base)}÷${numberText(divisor, base)}`;
}
