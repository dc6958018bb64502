import { Exact } from '../../exact/exact.ts';
import { factorsOf, withoutPower } from '../../line/factors.ts';
import { isNumber } from '../../line/kinds.ts';
import {
  factorKey,
  type Node,
  numberOf,
  productNode,
  sumNode,
  type Term,
  turned,
} from '../../line/node.ts';
import { times } from '../../line/terms.ts';
import type { Expression } from '../../problem/expression.ts';
import {
  type Change,
  type Fault,
  firstFault,
  type LawFrame,
  otherTerms,
  unequal,
  writtenFactors,
} from '../law.ts';
import { defineMove, type Gathered } from '../move-spec.ts';
import { cutOf } from './along-a-cut.ts';

/** Products with a factor in common become that factor times a sum. */
export const FACTOR_OUT = defineMove({
  id: 'factor-out',
  law: 'distribute',
  statement: 'A factor that products share is taken out.',
  words: { brief: 'distributive law', says: 'distributive law, a factor taken out' },
  check: factorOut,
  recognise: (old, made, { base }) => {
    const [only, ...more] = made;
    if (!only || more.length > 0 || old.length < 2) return null;
    const parts = only.minus ? turned(old) : old;
    // What is put together must be seen in the products; numbers that only happen to share a factor must show it.
    const isSeen = hasSum(only.node) || (parts.some(isProductOfNumbers) && isNumber(only.node));
    const cut = isSeen ? cutOf(withoutPower(only.node), parts, base) : null;
    return cut && { used: cut.used };
  },
  gather: commonFactor,
  undoes: 'distribute',
});

function factorOut(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  const [give] = gives;
  const lists = takes.map(({ written }) => (written ? writtenFactors(written).map(textOf) : []));
  const made = give?.written ? writtenFactors(give.written) : [];
  const [first = [], ...rest] = lists;
  const common = first.filter((factor) => rest.every((list) => list.includes(factor)));
  return firstFault(
    unequal(change),
    takes.length > 1 && gives.length === 1 ? null : 'it is not several products made one',
    common.length > 0 && made.some((factor) => common.includes(textOf(factor)))
      ? null
      : 'no factor is common to all',
    otherTerms(change, frame),
  );
}

function textOf(of: Expression): string {
  return JSON.stringify(of);
}

function isProductOfNumbers({ node }: Term): boolean {
  return node.kind === 'product' && isNumber(node);
}

function hasSum(node: Node): boolean {
  return node.kind === 'product' && node.factors.some((factor) => factor.node.kind === 'sum');
}

/** A factor that stands in every term, before a bracket of what is left. */
function commonFactor(terms: readonly Term[]): readonly Gathered[] {
  const [first, ...rest] = terms.map(({ node }) => factorsOf(node));
  const hasProduct = terms.some(({ node }) => node.kind === 'product');
  if (!first || rest.length === 0 || !hasProduct) return [];
  return first.flatMap((factor) => {
    const key = factorKey(factor);
    if (!rest.every((factors) => factors.some((own) => factorKey(own) === key))) return [];
    const left = terms.map(({ minus, node }) => {
      const factors = [...factorsOf(node)];
      factors.splice(
        factors.findIndex((own) => factorKey(own) === key),
        1,
      );
      return { minus, node: factors.length === 0 ? ONE : productNode(factors) };
    });
    const made: readonly Term[] = [
      { minus: false, node: productNode([factor, times(sumNode(left))]) },
    ];
    return [{ terms: made, changes: [[terms, made]] }];
  });
}

const ONE = numberOf(Exact.ONE, 10);
