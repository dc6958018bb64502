import { Exact } from '../../exact/exact.ts';
import { factorsOf, without } from '../../line/factors.ts';
import { numberOf, productNode, termKey, type Term } from '../../line/node.ts';
import { times } from '../../line/terms.ts';
import {
  type Amount,
  type Change,
  type Fault,
  firstFault,
  type LawFrame,
  otherTerms,
  unequal,
} from '../law.ts';
import { type Aim, defineMove, FITS, type Gathered } from '../move-spec.ts';

/** Equal addends are counted: 26 + 26 + 26 as 3 × 26. */
export const EQUAL_ADDENDS = defineMove({
  id: 'equal-addends',
  law: 'distribute',
  statement: 'Equal addends are one of them times their count.',
  words: { brief: 'equal addends', says: 'equal addends as a product' },
  check: equalAddends,
  recognise: (old, made) => {
    const [product, ...more] = made;
    if (!product || more.length > 0 || !areEqual(old)) return null;
    const [first] = old;
    if (!first || first.minus !== product.minus) return null;
    const left = without(factorsOf(product.node), factorsOf(first.node));
    const [count, ...others] = left ?? [];
    const isCount = count && !count.under && count.node.kind === 'number' && others.length === 0;
    return isCount && count.node.value.rational?.equals(Exact.of(old.length)) ? FITS : null;
  },
  gather: counted,
});

function areEqual(terms: readonly Term[]): boolean {
  return terms.length > 1 && new Set(terms.map(termKey)).size === 1;
}

function equalAddends(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  const addends = addendsIn(takes, frame);
  const sizes = new Set(addends.map(String));
  return firstFault(
    unequal(change),
    addends.length > 1 && gives.length === 1 && sizes.size === 1
      ? null
      : 'it is not several equal amounts made one',
    otherTerms(change, frame),
  );
}

/** What the amounts of each number of the problem come to together; of other terms each by itself. */
function addendsIn(takes: readonly Amount[], { partsOf }: LawFrame): readonly Exact[] {
  const byNumber = new Map<string, Exact>();
  for (const [k, { worth, terms }] of takes.entries()) {
    const numbers = new Set([...terms].flatMap(partsOf).map(({ operand }) => operand));
    const [only, ...more] = numbers;
    const key = only === undefined || more.length > 0 ? `amount ${k}` : `number ${only}`;
    byNumber.set(key, (byNumber.get(key) ?? Exact.ZERO).plus(worth));
  }
  return [...byNumber.values()];
}

/** Addends that stand more than once as one product, where their count multiplies in the line that is aimed at. */
function counted(terms: readonly Term[], { base, factors }: Aim): readonly Gathered[] {
  const keys = [...new Set(terms.map(termKey))];
  return keys.flatMap((key): readonly Gathered[] => {
    const equal = terms.filter((term) => termKey(term) === key);
    const [first] = equal;
    const size = Exact.of(equal.length);
    if (
      !first ||
      first.node.value.isZero ||
      equal.length < 2 ||
      !factors.some((own) => own.equals(size))
    )
      return [];
    const count = times(numberOf(size, base));
    const made = { minus: first.minus, node: productNode([count, ...factorsOf(first.node)]) };
    const rest = terms.flatMap((term) => {
      if (term === first) return [made];
      return equal.includes(term) ? [] : [term];
    });
    return [{ terms: rest, changes: [[equal, [made]]] }];
  });
}
