import { Exact } from '../exact/exact.ts';
import { type Factor, productNode, type Term } from '../line/node.ts';
import { one } from '../line/terms.ts';

/** A whole number that stands as a factor, with a way to put other factors in its place. */
export interface WholeFactor {
  readonly index: number;
  readonly under: boolean;
  readonly amount: Exact;
  readonly put: (factors: readonly Factor[]) => readonly Term[];
}

/** The whole numbers other than nothing that multiply or divide in a term. */
export function wholeFactors(term: Term): readonly WholeFactor[] {
  const factors = term.node.kind === 'product' ? term.node.factors : [];
  return factors.flatMap(({ under, node }, index) => {
    if (node.kind !== 'number' || !node.amount.isWhole || node.amount.isZero) return [];
    const put = (extra: readonly Factor[]) =>
      one(term, productNode(factors.flatMap((own, k) => (k === index ? extra : [own]))));
    return [{ index, under, amount: node.amount, put }];
  });
}

/** Whether a number takes others apart as a factor: a whole one above one. */
export function isDivisor(part: Exact): boolean {
  return part.isWhole && part.compare(Exact.ONE) > 0;
}
