import { Exact } from '../exact/exact.ts';
import { LIMITS } from './bounds.ts';

/** Every kind of problem, in the order in which kinds are listed. */
export const PROBLEM_KINDS = [
  'product',
  'sum',
  'difference',
  'quotient',
  'root',
  'expression',
] as const;
export type ProblemKind = (typeof PROBLEM_KINDS)[number];

export type ProblemSign = '×' | '+' | '−' | '÷' | '√' | '=';

/**
 * What a term of a kind is: a product of one part of every operand, one part of one operand, or a piece of the
 * first operand, of which the answer is found one after the other.
 */
export type TermShape = 'products' | 'parts' | 'pieces';

/**
 * How decimals are worked. Counted: as whole numbers, the point placed at the end. Lined up: as whole numbers of
 * one smallest place, with the point on the paper. Own: the work itself deals with the point.
 */
export type PointRule = 'counted' | 'lined-up' | 'own';

/** How a kind is written, worked out and taken apart; a new kind adds its entry here. */
export interface KindRules {
  readonly sign: ProblemSign;
  /** How few and how many operands it has. */
  readonly least: number;
  readonly most: number;
  /** What the account of the problem holds: its value, and of a root the number under the sign. */
  readonly value: (worths: readonly Exact[]) => Exact;
  /** What the operands are called, in order; the last name serves for all that follow. */
  readonly operandNames: readonly string[];
  readonly terms: TermShape;
  /** Whether all operands but the first count against it. */
  readonly takesAway: boolean;
  /** Whether the operands may change places. */
  readonly commutes: boolean;
  readonly point: PointRule;
}

export const KINDS: Record<ProblemKind, KindRules> = {
  product: {
    sign: '×',
    least: 2,
    most: LIMITS.factors,
    value: (worths) => worths.reduce((total, factor) => total.times(factor)),
    operandNames: ['factor'],
    terms: 'products',
    takesAway: false,
    commutes: true,
    point: 'counted',
  },
  sum: {
    sign: '+',
    least: 2,
    most: LIMITS.addends,
    value: Exact.sum,
    operandNames: ['addend'],
    terms: 'parts',
    takesAway: false,
    commutes: true,
    point: 'lined-up',
  },
  difference: {
    sign: '−',
    least: 2,
    most: 2,
    value: ([minuend, ...rest]) => minuend!.minus(Exact.sum(rest)),
    operandNames: ['minuend', 'subtrahend'],
    terms: 'parts',
    takesAway: true,
    commutes: false,
    point: 'lined-up',
  },
  quotient: {
    sign: '÷',
    least: 2,
    most: 2,
    value: ([dividend, ...rest]) => rest.reduce((left, by) => left.dividedBy(by), dividend!),
    operandNames: ['dividend', 'divisor'],
    terms: 'pieces',
    takesAway: false,
    commutes: false,
    point: 'own',
  },
  root: {
    sign: '√',
    least: 1,
    most: 1,
    value: ([radicand]) => radicand!,
    operandNames: ['number under the root'],
    terms: 'pieces',
    takesAway: false,
    commutes: false,
    point: 'own',
  },
  expression: {
    sign: '=',
    least: 1,
    most: 1,
    value: ([all]) => all!,
    operandNames: ['computation'],
    terms: 'parts',
    takesAway: false,
    commutes: false,
    point: 'own',
  },
};

/** What a term of a kind is. */
export function termShape(kind: ProblemKind): TermShape {
  return KINDS[kind].terms;
}

/** How decimals of a kind are worked. */
export function pointRule(kind: ProblemKind): PointRule {
  return KINDS[kind].point;
}
