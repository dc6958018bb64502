import type { Trace } from '../../account/account.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import { numeralValue } from '../../exact/numeral.ts';
import { isPlain } from '../../line/kinds.ts';
import type { Term } from '../../line/node.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Lane } from '../comparison.ts';
import {
  amountOf,
  sumOf,
  type Expression,
  type MethodAgreement,
  type Move,
} from '../expressions.ts';

/** What is told of someone's own lines, and whether they stop before they have an answer. */
export type OwnTold = Pick<MethodAgreement, 'moves' | 'bracketing' | 'brief' | 'unfinished'>;

/**
 * The agreement of own lines whose terms are not followed one by one: the problem as its terms, and, where the work comes to
 * an answer, its total by working out both sides. Null for lines that are told like any other work.
 */
export function ownTold(lane: Lane, problem: Problem): OwnTold | null {
  const { trace } = lane;
  if (trace.method !== OWN_LINES) return null;
  const isTold = !trace.isUnfinished && !isByWholeLines(trace) && !hasOtherParts(trace);
  if (isTold) return null;
  const { space } = lane.amounts.at(-1)!.terms;
  const ids = Array.from({ length: space.size }, (_, index) => index)
    .filter((index) => !space.worth(index).isZero)
    .map((index) => space.id(index));
  const unfinished = trace.isUnfinished ? { unfinished: true } : {};
  if (ids.length === 0) return { moves: [], bracketing: null, brief: false, ...unfinished };
  const plain = sumOf(ids.map((term): Expression => ({ kind: 'product', term })));
  const isByPlaces = termShape(problem.kind) === 'parts' || problem.kind === 'root';
  const opening: Move = { law: isByPlaces ? 'place-value' : 'distribute', expression: plain };
  const total: Move = { law: 'unnamed', expression: amountOf(trace.total, ids) };
  const moves = trace.isUnfinished ? [opening] : [opening, total];
  return { moves, bracketing: plain, brief: false, ...unfinished };
}

/**
 * Terms with letters that are gathered as a line has them, products within a computation that no method works, and fractions
 * that wait to be multiplied are no parts that a certificate can name.
 */
function hasOtherParts({ problem, steps }: Trace): boolean {
  const script = scriptOf(problem);
  if (problem.kind === 'expression') return true;
  if (script === 'terms') return problem.operands.some((own) => !numeralValue(own).isConstant);
  if (script !== 'fractions') return false;
  return steps.some(({ gives }) => gives.some(({ line }) => line?.terms.some(isUnworked)));
}

function isByWholeLines({ steps }: Trace): boolean {
  return steps.length > 0 && steps.every(({ law }) => law === 'unnamed');
}

/** Whether a term still waits to be multiplied or shared. */
function isUnworked({ node }: Term): boolean {
  return !isPlain(node);
}
