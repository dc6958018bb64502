import { Exact } from '../exact/exact.ts';
import { numeralText } from '../exact/numeral.ts';
import { problemText } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';
import type { Agreement } from './agreement-shape.ts';
import type { Comparison, Lane } from './compare.ts';
import { type MethodAgreement } from './expressions.ts';
import { KIND_WORK } from './kinds.ts';
import { NOTHING_TOLD } from './told.ts';
import { leakedMoves } from './leaked-moves.ts';

/** Reads the agreement of all methods off their traces. */
export function agreement(comparison: Comparison): Agreement {
  const { problem, space, lanes } = comparison;
  const total = lanes[0]!.trace.total;
  const indices = Array.from({ length: space.size }, (_, index) => index);
  return {
    format: 'levee-agreement',
    version: lanes.some(({ leaks }) => leaks.length > 0) ? 3 : 2,
    problem: problemText(problem),
    kind: problem.kind,
    script: scriptOf(problem),
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
    methods: lanes.map((lane) => numbered(methodAgreement(comparison, lane, total))),
  };
}

function methodAgreement(comparison: Comparison, lane: Lane, total: Exact): MethodAgreement {
  const method = lane.method.id;
  const { problem } = comparison;
  const [leak] = lane.leaks;
  if (leak) return { method, ...leakedMoves(lane, problem, leak), brief: false };
  const isNothing = lane.amounts.at(-1)!.terms.isEmpty;
  return {
    method,
    ...(isNothing ? NOTHING_TOLD : KIND_WORK[problem.kind].told(comparison, lane, total)),
  };
}

function numbered(agreement: MethodAgreement): MethodAgreement {
  return {
    ...agreement,
    moves: agreement.moves.map((move, k) => ({ line: k + 1, ...move })),
  };
}
