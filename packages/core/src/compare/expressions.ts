import type { Exact } from '../exact/exact.ts';
import type { Expression } from './certificate/agreement-shape.ts';

export type { Expression, MethodAgreement, Move } from './certificate/agreement-shape.ts';

/** An amount of these terms; `scaled` says how it is written where that is not how it is told. */
export function amountOf(worth: Exact, of: readonly string[], scaled?: string): Expression {
  const written = scaled === undefined ? {} : { scaled };
  return { kind: 'amount', worth: worth.toString(), of, ...written };
}

/** Several parts as a sum; one alone is itself. */
export function sumOf(parts: readonly Expression[]): Expression {
  return parts.length === 1 ? parts[0]! : { kind: 'sum', parts };
}

/** Everything that stands in a line, without its brackets. */
export function leavesOf(expression: Expression): readonly Expression[] {
  return expression.kind === 'sum' ? expression.parts.flatMap(leavesOf) : [expression];
}

export function sameExpression(a: Expression, b: Expression): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
