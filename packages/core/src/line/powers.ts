import { factorsOf } from './factors.ts';
import type { Factor, Node } from './node.ts';

/** Most factors that powers are written out to. */
const MOST_WRITTEN = 12;

/** Factors with powers of numbers and letters written out; null where there are too many. */
export function writtenOut(node: Node): readonly Factor[] | null {
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
