import type { Law } from '../account/account.ts';
import type { Exact } from '../exact/exact.ts';

/**
 * A sum as a tree. A `product` is a term as it is owed: a product of parts, or in a sum or difference
 * one part with its sign; an `amount` is worked out, and says of which terms it is, or of which one it
 * is a piece.
 */
export type Expression =
  | {
      readonly kind: 'product';
      readonly term: string;
      /** A quotient with both numbers scaled alike, as `280÷7` for `28÷0.7`. */
      readonly scaled?: string;
    }
  | {
      readonly kind: 'amount';
      readonly worth: string;
      readonly of: readonly string[];
      /** As it is written in the problem language, as `2/6` for a third or `(80+6)^2` for 7396. */
      readonly scaled?: string;
    }
  | { readonly kind: 'sum'; readonly parts: readonly Expression[] };

export interface Move {
  /** The law that makes this line equal to the one before; the first is equal to the problem. */
  readonly law: Law;
  readonly expression: Expression;
  /** Which line of its method it is, from 1, so that a missing one is missed. Not in certificates of version 1. */
  readonly line?: number;
  /** By how much both are changed, or by what both are scaled: an exact amount. */
  readonly by?: string;
}

export interface MethodAgreement {
  readonly method: string;
  readonly moves: readonly Move[];
  /** The terms as the method brackets them, in one line; null when the total is zero. */
  readonly bracketing: Expression | null;
  /** True where only the brackets and the total are told, because the steps would be too long. */
  readonly brief: boolean;
  /** Where a learner's work gains or loses something; the moves then go only as far as before that step. */
  readonly leak?: { readonly step: number; readonly amount: string };
}

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
