import type { Exact } from '../../exact/exact.ts';
import type { Comparison } from '../comparison.ts';
import type { Lane } from '../comparison.ts';
import type { MethodAgreement, Move } from '../expressions.ts';
import { dealtSteps } from '../stops.ts';

/** What a certificate says of one method. */
export type Told = Pick<MethodAgreement, 'moves' | 'bracketing' | 'brief'>;

/** Reads off a work how it comes from the problem to its value. */
export type Telling = (comparison: Comparison, lane: Lane, total: Exact) => Told;

/** What is told where nothing has to be shown: a product of nothing. */
export const NOTHING_TOLD: Told = { moves: [], bracketing: null, brief: false };

/** The common terms in the order in which the method deals with them. */
export function dealtOrder(lane: Lane): readonly number[] {
  return [...dealtSteps(lane)].map(([term]) => term);
}

/** Drops moves that change nothing, such as brackets around single terms. */
export function withoutStandstill(moves: readonly Move[]): readonly Move[] {
  const texts = moves.map((move) => JSON.stringify(move.expression));
  return moves.filter((_, i) => i === 0 || texts[i] !== texts[i - 1]);
}
