import type { Page } from '../../../laws/move-spec.ts';
import { MOVES } from '../../../laws/moves.ts';
import { factorsOf, withoutCommon } from '../../../line/factors.ts';
import type { Node } from '../../../line/node.ts';
import { writtenOut } from '../../../line/powers.ts';
import { plus } from '../../../line/terms.ts';
import { type Found, moveAt } from '../move.ts';
import { factorSteps } from './factors.ts';

/**
 * Powers as their factors: x³ as x·x·x, 2⁵ as 2² · 2³, which puts powers together; and 2⁵ as 4 · 4 · 2, where factors are
 * worked out.
 */
export function powerSteps(old: Node, made: Node, page: Page): readonly Found[] {
  if (![...factorsOf(old), ...factorsOf(made)].some(({ node }) => node.kind === 'power')) return [];
  const move = MOVES.find(({ ofPowers }) => ofPowers?.(old, made));
  if (move) return [[moveAt(move.id, [plus(old)], [plus(made)])]];
  const [from, to] = [old, made].map((node) => writtenOut(node));
  if (!from || !to) return [];
  const [left, rest] = withoutCommon(from, to);
  if (left.length + rest.length === 0) return [];
  const areNumbers = [...left, ...rest].every((factor) => factor.node.kind === 'number');
  return areNumbers ? factorSteps(left, rest, page, () => []) : [];
}
