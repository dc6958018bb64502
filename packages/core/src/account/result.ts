import { type Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import type { Mark, Trace } from './account.ts';
import { rootOf } from './root.ts';

/**
 * What a work has come to: a number; a quotient with what is left of the dividend; or a root, as a number with
 * what is left beside its square, or as k√m.
 */
export type Result =
  | { readonly kind: 'number'; readonly value: Exact }
  | { readonly kind: 'quotient'; readonly quotient: Exact; readonly rest: Exact }
  | { readonly kind: 'root'; readonly root: Exact; readonly under: Exact; readonly left: Exact };

/** What a work of each kind comes to; a new kind adds its line here. */
const RESULTS: Record<ProblemKind, (trace: Trace) => Result> = {
  product: numberFound,
  sum: numberFound,
  difference: numberFound,
  expression: numberFound,
  quotient: quotientFound,
  root: (trace) => ({ kind: 'root', ...rootOf(trace) }),
};

/** The result as the answer's marks give it. A remainder is in the measure of the dividend. */
export function resultOf(trace: Trace): Result {
  return RESULTS[trace.problem.kind](trace);
}

function numberFound({ answer }: Trace): Result {
  return { kind: 'number', value: answer };
}

function quotientFound(trace: Trace): Result {
  const left = restOf(trace);
  if (!left) return numberFound(trace);
  const rest = left.worth.times(numeralValue(trace.problem.operands[1]!));
  return { kind: 'quotient', quotient: trace.answer.minus(left.worth), rest };
}

/** The mark of an answer that says what is left of a dividend. */
function restOf({ groups, steps }: Trace): Mark | undefined {
  const ids = new Set(groups.at(-1)!.marks);
  return steps.flatMap(({ gives }) => gives).find(({ id, role }) => ids.has(id) && role === 'rest');
}

/**
 * Whether two results are one and the same: the same number, the same quotient with the same rest, or the same
 * root. A number and a quotient with a rest are never the same, and a root that comes out as k√m is not one that was
 * broken off, though both belong to the same number.
 */
export function sameResult(a: Result, b: Result): boolean {
  if (a.kind === 'root' && b.kind === 'root') return sameRoot(a, b);
  if (a.kind === 'quotient' && b.kind === 'quotient') {
    return a.quotient.equals(b.quotient) && a.rest.equals(b.rest);
  }
  return a.kind === 'number' && b.kind === 'number' && a.value.equals(b.value);
}

export type Root = Extract<Result, { kind: 'root' }>;

function sameRoot(a: Root, b: Root): boolean {
  const square = ({ root, under }: Root) => root.times(root).times(under);
  return a.left.equals(b.left) && square(a).equals(square(b));
}

/** What stands under the root that a result belongs to: its square with what is left. */
export function numberUnder({ root, under, left }: Root): Exact {
  return root.times(root).times(under).plus(left);
}
