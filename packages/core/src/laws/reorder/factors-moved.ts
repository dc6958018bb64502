import { type Exact } from '../../exact/exact.ts';
import { termsText } from '../../line/node-text.ts';
import { type Factor, numberOf, productNode, type Term } from '../../line/node.ts';
import { isAllNines } from '../../line/places.ts';
import { one, times } from '../../line/terms.ts';
import {
  type Change,
  type Fault,
  firstFault,
  type LawFrame,
  otherTerms,
  unequal,
  writtenFactors,
} from '../law.ts';
import { type Aim, defineMove, type Page, type Written } from '../move-spec.ts';
import { lastPlace } from '../regrouping.ts';
import { isDivisor, wholeFactors } from '../whole-factors.ts';
import { isTakenApart } from './taken-apart.ts';

/** Factors of one product go into another of the same worth. */
export const FACTORS_MOVED = defineMove({
  id: 'factors-moved',
  law: 'reorder',
  statement: 'A factor of one number of a product is given to another.',
  words: { brief: 'factors moved', says: 'factors moved' },
  check: factorsMoved,
  ofFactors: (old, made, page) => isTakenApart(old, made) || areMoved(old, made, page),
  write: (term, aim) => [...splitFactors(term, aim), ...asQuotients(term, aim)],
});

function factorsMoved(change: Change, frame: LawFrame): Fault {
  const [take, ...more] = change.takes;
  const [give, ...others] = change.gives;
  if (!take?.written || !give?.written || more.length + others.length > 0) {
    return 'it is not one product for another';
  }
  const isProduct = [take.written, give.written].every((of) => writtenFactors(of).length > 1);
  return firstFault(
    unequal(change),
    otherTerms(change, frame),
    isProduct ? null : 'it is not a product on both sides',
  );
}

/** One factor gives another a part of itself: 46 · 58 = 23 · 116. */
function areMoved(old: readonly Factor[], made: readonly Factor[], page: Page): boolean {
  const all = [...old, ...made];
  if (old.length !== 2 || made.length !== 2 || all.some(({ under }) => under)) return false;
  const sizes = all.map(({ node }) => (node.kind === 'number' ? node.amount : null));
  if (sizes.includes(null)) return false;
  const [a, b, c, d] = sizes as [Exact, Exact, Exact, Exact];
  return [
    [c, d],
    [d, c],
  ].some(([first, second]) => isEasierPair([a, b], [first!, second!], page));
}

const EASY_FACTORS = new Set(['2', '4', '5', '10', '100', '1000']);

function isEasierPair(
  [a, b]: readonly [Exact, Exact],
  after: readonly [Exact, Exact],
  { base, numbers }: Page,
): boolean {
  // Nothing moves from a factor that is nothing.
  if (a.isZero || after[0].isZero) return false;
  const [by, back] = [after[0].dividedBy(a), a.dividedBy(after[0])];
  if (!by.isWhole && !back.isWhole) return false;
  if (EASY_FACTORS.has(by.toString()) || EASY_FACTORS.has(back.toString())) return true;
  if (after.some((amount) => numbers.has(amount.toString()))) return true;
  const place = (amount: Exact) => lastPlace(amount, base) ?? -Infinity;
  return (
    Math.max(...after.map(place)) > Math.max(place(a), place(b)) ||
    after.some((own) => isAllNines(own, base))
  );
}

/** A factor taken apart by a number that is aimed at, or written as such a number divided. */
function splitFactors(term: Term, { base, factors: numbers }: Aim): readonly Written[] {
  return wholeFactors(term).flatMap(({ under, amount, put, index }) => {
    if (under) return [];
    return numbers.flatMap((part): readonly Written[] => {
      if (!isDivisor(part) || part.equals(amount)) return [];
      const other = amount.dividedBy(part);
      const over = part.dividedBy(amount);
      if (other.isWhole) {
        const parts = [part, other].map((own) => times(numberOf(own, base)));
        return [{ variant: `${part} in ${index}`, terms: put(parts) }];
      }
      if (!over.isWhole) return [];
      const parts = [times(numberOf(part, base)), { under: true, node: numberOf(over, base) }];
      return [{ variant: `${part} over ${index}`, terms: put(parts) }];
    });
  });
}

/** A factor as a larger one that is divided by a number that divides in the aim: 25 as 100 ÷ 4. */
function asQuotients(term: Term, { base, divisors }: Aim): readonly Written[] {
  const factors = term.node.kind === 'product' ? term.node.factors : [];
  const roundFirst = (a: Written, b: Written) => zerosIn(b) - zerosIn(a);
  const all = factors.flatMap(({ under, node }, index): readonly Written[] => {
    if (under || node.kind !== 'number') return [];
    return divisors.map((by) => {
      const parts: readonly Factor[] = [
        { under: false, node: numberOf(node.amount.times(by), base) },
        { under: true, node: numberOf(by, base) },
      ];
      const changed = factors.flatMap((own, k) => (k === index ? parts : [own]));
      const terms = one(term, productNode(changed));
      return { variant: `${index} over ${by}`, terms };
    });
  });
  return all.sort(roundFirst);
}

/** How many zeros its numbers end in. */
function zerosIn({ terms }: Written): number {
  return (
    termsText(terms)
      .match(/0+(?!\d)/g)
      ?.join('').length ?? 0
  );
}
