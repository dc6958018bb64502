import { where } from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method-spec.ts';
import { isNegative } from './term-list.ts';

/** Slips in one product of two terms, in the order in which their chances are named. */
const OF_PRODUCT = [
  'second-not-multiplied',
  'square-as-double',
  'exponents-multiplied',
  'factors-added',
  'number-not-squared',
] as const;
export type ProductSlip = (typeof OF_PRODUCT)[number];

/** Slips in putting like terms together. */
const OF_KIND = [
  'minus-and-minus-plus',
  'minus-cut-off',
  'exponents-added-in-sum',
  'unwritten-one-as-zero',
] as const;
export type KindSlip = (typeof OF_KIND)[number];

export const PRODUCT_SLIPS: readonly SlipSpec[] = [...OF_PRODUCT, 'middle-terms-forgotten'].map(
  slipOf,
);
export const KIND_SLIPS: readonly SlipSpec[] = OF_KIND.map(slipOf);

/** Two terms that are multiplied. */
export interface TwoTerms {
  readonly left: Exact;
  readonly right: Exact;
  /** Whether the first bracket is a single term, and the second term is not the first of its bracket. */
  readonly isFurther: boolean;
  /** Whether a bracket is multiplied by itself, and a term of it by itself. */
  readonly isSquare: boolean;
}

/** The slip that is made in a product, with what is written; null for none. */
export function slippedProduct(
  scribe: Scribe,
  terms: TwoTerms,
  at: ReturnType<typeof where>,
  mayAny: boolean,
): { readonly slip: ProductSlip; readonly made: Exact } | null {
  const right = terms.left.times(terms.right);
  const by = (slip: ProductSlip) => productBy(slip, terms, right);
  const made = OF_PRODUCT.filter((slip) => {
    const wrong = mayAny ? by(slip) : null;
    return scribe.slip(slip, wrong !== null && !wrong.isZero && !wrong.equals(right), { at });
  });
  const [slip] = made;
  return slip ? { slip, made: by(slip)! } : null;
}

/** What a slip makes of two terms, whose product is given; null where it cannot be made. */
function productBy(
  slip: ProductSlip,
  { left, right, isFurther, isSquare }: TwoTerms,
  product: Exact,
): Exact | null {
  const number = product.isZero ? Exact.ZERO : product.coefficient;
  const [a, b] = [powerOf(left), powerOf(right)];
  const letters = product.lettersOnly;
  switch (slip) {
    case 'second-not-multiplied':
      return isFurther ? right : null;
    case 'square-as-double': {
      const isSame = a !== null && b !== null && a.letter === b.letter && a.power + b.power === 2;
      return isSame ? number.times(Exact.of(2)).times(Exact.letter(a.letter)) : null;
    }
    case 'exponents-multiplied': {
      const power = a && b && a.letter === b.letter ? a.power * b.power : 0;
      if (!a || power === 0 || power > MOST_POWER) return null;
      return number.times(Exact.letters(new Map([[a.letter, power]])));
    }
    case 'factors-added': {
      const isWritten = [left, right].every(
        ({ coefficient, letters: own }) => own !== '' && !isOne(coefficient),
      );
      return isWritten ? left.coefficient.plus(right.coefficient).times(letters) : null;
    }
    case 'number-not-squared': {
      const isNumbered = isSquare && left.letters !== '' && !isOne(left.coefficient);
      return isNumbered ? left.coefficient.times(letters) : null;
    }
  }
}

/** The largest power that is written. */
const MOST_POWER = 12;

function isOne(number: Exact): boolean {
  return number.absolute().equals(Exact.ONE);
}

/** The one letter of a term and its exponent; null for numbers and terms of several letters. */
function powerOf({ exponents }: Exact): { readonly letter: string; readonly power: number } | null {
  const [only, ...more] = exponents;
  return only && more.length === 0 ? { letter: only[0], power: only[1] } : null;
}

/** The slip that is made in gathering a kind, with what is written; null for none. */
export function slippedKind(
  scribe: Scribe,
  letters: string,
  terms: readonly Exact[],
  mayAny: boolean,
): { readonly slip: KindSlip; readonly made: Exact } | null {
  const right = Exact.sum(terms);
  const made = OF_KIND.filter((slip) => {
    const wrong = mayAny && terms.length > 1 ? kindBy(slip, letters, terms) : null;
    const may = wrong !== null && !wrong.isZero && !wrong.equals(right);
    return scribe.slip(slip, may, { at: scribe.kindWhere(letters) });
  });
  const [slip] = made;
  return slip ? { slip, made: kindBy(slip, letters, terms)! } : null;
}

/** What a slip makes of like terms; null where it cannot be made. */
function kindBy(slip: KindSlip, letters: string, terms: readonly Exact[]): Exact | null {
  const negative = terms.filter(isNegative);
  switch (slip) {
    case 'minus-and-minus-plus': {
      if (negative.length < 2) return null;
      const rest = terms.filter((term) => !isNegative(term));
      return Exact.sum(rest).minus(Exact.sum(negative));
    }
    case 'minus-cut-off': {
      const at = terms.findIndex((term, k) => k > 0 && isNegative(term));
      if (at < 0 || at === terms.length - 1) return null;
      const after = Exact.sum(terms.slice(at + 1));
      return Exact.sum(terms.slice(0, at + 1)).minus(after);
    }
    case 'exponents-added-in-sum': {
      const own = terms[0] ? powerOf(terms[0]) : null;
      if (!own || own.power * terms.length > MOST_POWER) return null;
      const numbers = terms.map(({ coefficient }) => coefficient);
      const count = numbers.every((one) => one.equals(Exact.ONE)) ? Exact.ONE : Exact.sum(numbers);
      return count.times(Exact.letters(new Map([[own.letter, own.power * terms.length]])));
    }
    case 'unwritten-one-as-zero': {
      const isUnwritten = (term: Exact) => letters !== '' && isOne(term.coefficient);
      const kept = terms.filter((term) => !isUnwritten(term));
      return kept.length < terms.length ? Exact.sum(kept) : null;
    }
  }
}

/** A number and a term with a letter that are joined to one term; null where they are not. */
export function joinedToOne(scribe: Scribe, line: readonly Exact[]): Exact | null {
  const [first, second] = line;
  const number = line.find(({ letters }) => letters === '');
  const term = line.find(({ letters }) => letters !== '');
  const isPair = line.length === 2 && first && second && number && term;
  const made = isPair ? term.coefficient.plus(number).times(term.lettersOnly) : null;
  const may = made !== null && !made.isZero;
  return scribe.slip('sum-joined-to-one-term', may, { at: where('answer', 0) }) ? made : null;
}
