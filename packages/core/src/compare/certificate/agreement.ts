import { OWN_LINES } from '../../account/own-lines.ts';
import { OWN_LINES_NAME } from '../../account/own-lines.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralText } from '../../exact/numeral.ts';
import { problemText } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Agreement } from './agreement-shape.ts';
import type { Comparison } from '../comparison.ts';
import type { Lane } from '../comparison.ts';
import { type MethodAgreement } from '../expressions.ts';
import { sortWork } from '../sort-work.ts';
import { NOTHING_TOLD, type Told } from '../told/telling.ts';
import { ownTold } from '../told/own-lines.ts';
import { leakedMoves } from '../told/leaked-moves.ts';

/** Reads the agreement of all methods off their traces. */
export function agreement(comparison: Comparison): Agreement {
  const { problem, space, lanes } = comparison;
  const total = lanes[0]!.trace.total;
  const methods = lanes.map((lane) => numbered(methodAgreement(comparison, lane, total)));
  const isSlipped = methods.some(
    ({ leak, unreduced, unfinished }) => leak || unreduced || unfinished,
  );
  const indices = Array.from({ length: space.size }, (_, index) => index);
  return {
    format: 'levee-agreement',
    version: isSlipped ? 3 : 2,
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
    methods,
  };
}

function methodAgreement(comparison: Comparison, lane: Lane, total: Exact): MethodAgreement {
  const { id, name } = lane.method;
  const method =
    id === OWN_LINES && name !== OWN_LINES_NAME ? { method: id, title: name } : { method: id };
  const { problem } = comparison;
  const [leak] = lane.leaks;
  if (leak) return { ...method, ...leakedMoves(lane, problem, leak), brief: false };
  const own = ownTold(lane, problem);
  if (own) return { ...method, ...own };
  const isNothing = lane.amounts.at(-1)!.terms.isEmpty;
  const told = isNothing ? NOTHING_TOLD : sortWork(problem).told(comparison, lane, total);
  return { ...method, ...told, ...(endsUnreduced(told) ? { unreduced: true } : {}) };
}

/** Whether the last line is a fraction as it stands, which is not in lowest terms. */
function endsUnreduced({ moves }: Told): boolean {
  const last = moves.at(-1)?.expression;
  if (last?.kind !== 'amount' || last.scaled === undefined) return false;
  const bottom = /\d\/(\d+)$/.exec(last.scaled)?.[1];
  return bottom !== undefined && BigInt(bottom) !== Exact.parse(last.worth).denominator;
}

function numbered(agreement: MethodAgreement): MethodAgreement {
  return {
    ...agreement,
    moves: agreement.moves.map((move, k) => ({ line: k + 1, ...move })),
  };
}
