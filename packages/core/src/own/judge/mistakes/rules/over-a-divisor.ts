import { factorsOf } from '../../../../line/factors.ts';
import { type Factor, type Term, valueOfTerms } from '../../../../line/node.ts';
import { over, partsOf, shared, single } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const OVER_A_DIVISOR: FalseRule = {
  id: 'over-a-divisor',
  truth: 'A dividend may be taken apart and shared part by part; a divisor may not.',
  counter: { from: '60 ÷ 15', line: '60 ÷ 10 + 60 ÷ 5' },
  write: (from, aim) =>
    single(from, (node) => {
      const [a, b, ...more] = factorsOf(node);
      if (!a || !b?.under || a.under || more.length > 0) return null;
      const cut = partsOf(b.node) ?? divisorsOf(a, b, aim);
      const shares = cut?.map((part) => {
        const node = shared([a, over(part.node)]);
        return node && { minus: part.minus, node };
      });
      return !shares || shares.includes(null) ? null : (shares as readonly Term[]);
    }),
};

/** The parts into which a line takes a divisor apart, where each of its terms shares the same dividend by one of them. */
function divisorsOf(a: Factor, b: Factor, aim: readonly Term[]): readonly Term[] | null {
  const parts = aim.map((term): Term | null => {
    const [dividend, divisor, ...more] = factorsOf(term.node);
    const isShare = dividend && divisor?.under && !dividend.under && more.length === 0;
    const isSame = isShare && dividend.node.key === a.node.key;
    return isSame ? { minus: term.minus, node: divisor.node } : null;
  });
  const taken = parts.flatMap((part) => part ?? []);
  const isWhole = taken.length === aim.length && taken.length > 1;
  return isWhole && valueOfTerms(taken).equals(b.node.value) ? taken : null;
}
