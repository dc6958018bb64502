import { type Exact } from '../exact/exact.ts';
import { digitWorth, figure, type Numeral } from '../exact/numeral.ts';
import { termText } from '../exact/terms-text.ts';

/** One piece of an operand: 40 of 46. Parts are listed smallest first and add up to the operand. */
export interface Part {
  readonly worth: Exact;
  /** As written in the operand's base. */
  readonly text: string;
  /** The place of the part when it is one digit of the operand. */
  readonly place: number | undefined;
}

/** The operand cut at its places, zeros included: 406 is 6, 0 tens and 400. */
export function placeCut(operand: Numeral): readonly Part[] {
  return operand.digits.map((digit, place) => ({
    worth: digitWorth(operand, place),
    text: digit === 0 ? '0' : figure(digit) + '0'.repeat(place),
    place,
  }));
}

/** An operand cut into its terms, the last one first, with the sign that a minus before it gives them. */
export function termsCut({ terms }: Numeral): readonly Part[] {
  if (!terms) throw new RangeError('termsCut: the operand has no terms');
  const worths = terms.list.map((term) => (terms.taken ? term.negate() : term));
  return worths.reverse().map((worth) => ({ worth, text: termText(worth), place: undefined }));
}
