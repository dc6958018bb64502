import { move, type Found, type Page } from '../move.ts';
import type { Factor, Node, Term } from '../node.ts';
import { factorsOf } from './distribute.ts';
import { factorSteps, withoutCommon } from './factors.ts';

/** Most factors that powers are written out to. */
const MOST_WRITTEN = 12;

/**
 * Powers as their factors: x³ as x·x·x, 2⁵ as 2² · 2³, which puts powers together; and 2⁵ as 4 · 4 · 2, where factors are
 * worked out.
 */
export function powerSteps(old: Node, made: Node, page: Page): readonly Found[] {
  if (![...factorsOf(old), ...factorsOf(made)].some(({ node }) => node.kind === 'power')) return [];
  const [from, to] = [old, made].map((node) => writtenOut(node));
  if (!from || !to) return [];
  const [left, rest] = withoutCommon(from, to);
  if (left.length + rest.length === 0) {
    return [[move(['like-terms', 'like-terms'], [plus(old)], [plus(made)])]];
  }
  const areNumbers = [...left, ...rest].every((factor) => factor.node.kind === 'number');
  return areNumbers ? factorSteps(left, rest, page, () => []) : [];
}

function plus(node: Node): Term {
  return { minus: false, node };
}

/** Factors with powers of numbers and letters written out; null where there are too many. */
function writtenOut(node: Node): readonly Factor[] | null {
  const all = factorsOf(node).flatMap((factor): readonly Factor[] => {
    const { node: own, under } = factor;
    if (own.kind !== 'power' || own.exponent > MOST_WRITTEN) return [factor];
    const inner = own.of.kind === 'power' ? writtenOut(own.of) : [{ under: false, node: own.of }];
    return Array.from({ length: own.exponent }, () => inner ?? [])
      .flat()
      .map((each) => ({ under: under !== each.under, node: each.node }));
  });
  return all.length > 0 && all.length <= MOST_WRITTEN ? all : null;
}
