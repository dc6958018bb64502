import { isNumber } from '../../line/kinds.ts';
import { type Factor, numberOf } from '../../line/node.ts';
import { type Change, type Fault, firstFault, type LawFrame, oneForOne } from '../law.ts';
import { defineMove, type Written } from '../move-spec.ts';
import { isDivisor, wholeFactors } from '../whole-factors.ts';

/** A division by a product is a division by each of its factors. */
export const DIVIDE_BY_FACTORS = defineMove({
  id: 'divide-by-factors',
  law: 'scale-both',
  statement: 'To divide by a product is to divide by each of its factors.',
  words: { brief: 'by factors', says: 'divided by the factors, one after the other' },
  check: divideByFactors,
  ofFactors: (old, made) => isDividedByFactors(old, made) || isDividedByFactors(made, old),
  write: (term, { base, factors: numbers }) =>
    wholeFactors(term).flatMap(({ index, under, amount, put }) =>
      numbers.flatMap((part): readonly Written[] => {
        if (!under || !isDivisor(part) || part.equals(amount)) return [];
        const other = amount.dividedBy(part);
        if (!other.isWhole) return [];
        const parts = [part, other].map((own) => ({ under, node: numberOf(own, base) }));
        return [{ variant: `${part} in ${index}`, terms: put(parts) }];
      }),
    ),
});

function divideByFactors(change: Change, frame: LawFrame): Fault {
  const written = [...change.takes, ...change.gives].map((amount) => amount.written);
  const isQuotient = written.every((of) => of?.kind === 'quotient');
  return firstFault(
    oneForOne(change),
    isQuotient && written.length > 0 ? null : 'it is not a quotient on both sides',
    frame.inFigures ? 'it is not written as a quotient' : null,
  );
}

/** a ÷ bc as a ÷ b ÷ c. */
function isDividedByFactors(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  return (
    more.length === 0 &&
    only?.under === true &&
    made.length > 1 &&
    made.every(({ under, node }) => under && isNumber(node))
  );
}
