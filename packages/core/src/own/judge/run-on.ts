import type { Surd } from '../../exact/surd.ts';
import {
  flatFactors,
  productNode,
  valueOfFactors,
  valueOfTerms,
  type Factor,
  type Term,
} from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';

/**
 * The first part of a line, read from the left, that is worth an amount: `46` of `46 − 2`, `4 × 25` of `4 × 25 × 3`. An
 * equals sign before such a line means “and then”. Null where no first part is, or the whole line is.
 */
export function firstPartWorth(line: readonly Term[], amount: Surd): string | null {
  for (let count = 1; count < line.length; count++) {
    const part = line.slice(0, count);
    if (valueOfTerms(part).equals(amount)) return termsText(part);
  }
  const [first] = line;
  if (!first || first.minus) return null;
  const factors: readonly Factor[] =
    first.node.kind === 'product' ? flatFactors(first.node.factors) : [];
  const most = line.length === 1 ? factors.length : factors.length + 1;
  for (let count = 1; count < most; count++) {
    const part = factors.slice(0, count);
    if (part.length > 0 && valueOfFactors(part).equals(amount)) {
      return termsText([{ minus: false, node: productNode(part) }]);
    }
  }
  return null;
}
