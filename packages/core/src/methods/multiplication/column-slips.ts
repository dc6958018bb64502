import {
  carryFeatures,
  figureFeatures,
  where,
  type Fact,
  type Where,
} from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import { digitAt, type Numeral } from '../../exact/numeral.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method.ts';
import type { TwoFactors } from './two-factors.ts';

/** Slips at one product of a line, in the order in which their chances are named. */
const OF_PRODUCT = [
  'carry-before-multiplying',
  'forget-carry',
  'carry-multiplied',
  'leftmost-not-multiplied',
  'old-carry-again',
  'carry-over-zero',
  'times-one-as-one',
  'carry-to-wrong-line',
] as const;
export type ProductSlip = (typeof OF_PRODUCT)[number] | '';

/** Slips of a whole line. */
const OF_LINE = [
  'omit-placeholder',
  'one-placeholder-for-two',
  'extra-placeholder',
  'first-figure-again',
] as const;
export type ColumnLineSlip = (typeof OF_LINE)[number] | '';

export const COLUMN_MULTIPLICATION_SLIPS: readonly SlipSpec[] = [
  {
    ...slipOf('forget-carry'),
    mechanism:
      'A carry is written or held, but not added to the next product, or to the next column of the sum.',
  },
  ...OF_PRODUCT.filter((id) => id !== 'forget-carry').map(slipOf),
  ...OF_LINE.map(slipOf),
  slipOf('whole-product-in-place'),
  slipOf('column-by-column'),
];

/** One product of a line as it is worked. */
export interface Product {
  readonly digit: number;
  readonly multiplier: number;
  readonly carried: number;
  /** The carry that was used one figure before. */
  readonly old: number;
  /** The carry that joined this figure in the line before. */
  readonly above: number;
  /** Whether figures are still to come. */
  readonly isLast: boolean;
}

/** The two figures of the fact that a product uses; null where a slip uses none. */
export function factOf({ digit, multiplier, carried }: Product, slip: ProductSlip): Fact | null {
  switch (slip) {
    case 'leftmost-not-multiplied':
    case 'carry-over-zero':
    case 'times-one-as-one':
      return null;
    default: {
      const figure = slip === 'carry-before-multiplying' ? digit + carried : digit;
      return { sign: '×', of: [multiplier, figure], due: multiplier * figure };
    }
  }
}

/** Names the chances of a product; every one is asked for in every run, so that they are counted alike. */
export function productSlip(scribe: Scribe, product: Product, at: Where): ProductSlip {
  const { carried, digit } = product;
  const features = [...carryFeatures(carried), ...figureFeatures(digit, product.multiplier)];
  const made = OF_PRODUCT.filter((id) =>
    scribe.slip(id, mayInProduct(id, product), {
      at,
      features,
      ahead: id === 'carry-over-zero' ? 1 : 0,
    }),
  );
  return made.at(-1) ?? '';
}

function mayInProduct(
  id: ProductSlip,
  { digit, multiplier, carried, old, above, isLast }: Product,
): boolean {
  switch (id) {
    case 'carry-before-multiplying':
      return carried > 0 && multiplier !== 1;
    case 'forget-carry':
      return carried > 0;
    case 'carry-multiplied':
      return carried > 1 && digit > 0;
    case 'leftmost-not-multiplied':
      return carried > 0 && isLast && digit > 0 && multiplier > 1;
    case 'old-carry-again':
      return carried > 0 && old > 0;
    case 'carry-over-zero':
      return carried > 0 && digit === 0 && !isLast;
    case 'times-one-as-one':
      return multiplier === 1 && digit > 1;
    case 'carry-to-wrong-line':
      return above > 0 && above !== carried;
    case '':
      return false;
  }
}

/** What a product comes to with its carry, when its fact is taken for a number. */
export function productTotal(
  { digit, carried, old, above }: Product,
  slip: ProductSlip,
  product: number,
): number {
  switch (slip) {
    case 'forget-carry':
    case 'carry-before-multiplying':
      return product;
    case 'carry-multiplied':
      return product * carried;
    case 'leftmost-not-multiplied':
      return digit + carried;
    case 'old-carry-again':
      return product + carried + old;
    case 'carry-over-zero':
      return 0;
    case 'times-one-as-one':
      return 1 + carried;
    case 'carry-to-wrong-line':
      return product + above;
    case '':
      return product + carried;
  }
}

/** Names the chances of a line; gives the slip that is made. `zeros` tells whether lines begin with zeros that are written. */
export function columnLineSlip(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  j: number,
  zeros: boolean,
): ColumnLineSlip {
  const [figure, first] = [digitAt(bottom, j), digitAt(bottom, 0)];
  const counts = figure > 0 && top.digits.some((digit) => digit > 0);
  const may: Readonly<Record<(typeof OF_LINE)[number], boolean>> = {
    'omit-placeholder': counts && j > 0,
    'one-placeholder-for-two': counts && j > 1,
    'extra-placeholder': counts && zeros,
    'first-figure-again': counts && j > 0 && first > 0 && first !== figure,
  };
  const empty = zerosFrom(top, 0);
  const made = OF_LINE.filter((id) => {
    const opens = zeros && shiftOf(id, j) > 0 ? 1 : 0;
    return scribe.slip(id, may[id], { at: where('line', j), ahead: empty + opens });
  });
  return made[0] ?? '';
}

/** How many places a line is shifted. */
export function shiftOf(slip: ColumnLineSlip, j: number): number {
  switch (slip) {
    case 'omit-placeholder':
      return 0;
    case 'one-placeholder-for-two':
      return j - 1;
    case 'extra-placeholder':
      return j + 1;
    default:
      return j;
  }
}

/** How many zeros stand in a number from a place on to the left. */
export function zerosFrom({ digits }: Numeral, place: number): number {
  const filled = digits.findIndex((digit, i) => i >= place && digit > 0);
  return filled < 0 ? 0 : filled - place;
}
