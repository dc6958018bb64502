import { type Factor, isOne } from '../../line/node.ts';

/** A number becomes factors, or a quotient: 32 = 4 · 8, 25 = 100 ÷ 4. */
export function isTakenApart(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  if (!only || only.under || more.length > 0 || made.length < 2) return false;
  if (only.node.kind !== 'number') return false;
  return made.every(({ node }) => node.kind === 'number' && !isOne(node));
}
