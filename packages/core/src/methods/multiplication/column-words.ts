import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Speaker } from '../../phrases/speaker.ts';
import { sumPhrases } from '../shared/add-columns.ts';

export type ProductValues = {
  readonly digit: number;
  readonly place: number;
  readonly multiplier: number;
  readonly linePlace: number;
  /** The operand that the multiplier belongs to. */
  readonly lower: number;
  readonly carried: number;
  /** The carry that joined this figure in the line before. */
  readonly above: number;
  /** What the fact is taken for. */
  readonly fact: number;
  readonly total: number;
  /** What goes to the next figure; 0 when nothing does. */
  readonly keep: number;
  readonly slip: string;
};

/** What is done in figures where a learner slips in another way than by leaving out a carry; null for all else. */
function slippedFigures(
  slip: string,
  of: Pick<ProductValues, 'digit' | 'multiplier' | 'carried' | 'above' | 'fact' | 'total'>,
  say: Speaker,
): string | null {
  const [digit, carried] = [say.number(of.digit), say.number(of.carried)];
  const fact = say.fact(of.multiplier, of.digit, of.fact);
  const write = `write **${say.number(of.total % say.base)}**`;
  switch (slip) {
    case 'carry-multiplied':
      return `${fact}, and times the ${carried} ${say.carried} is ${say.number(of.total)}: ${write}`;
    case 'leftmost-not-multiplied':
      return `The ${digit} is not multiplied; with ${carried} ${say.carried} it makes ${say.number(of.total)}: ${write}`;
    case 'old-carry-again':
      return `${fact}, and with ${carried} ${say.carried} and the old carry once more it makes ${say.number(of.total)}: ${write}`;
    case 'carry-to-wrong-line':
      return `${fact}, and the ${say.number(of.above)} ${say.carried} in the line before makes ${say.number(of.total)}: ${write}`;
    case 'carry-over-zero':
      return `${fact}: write **0**; the ${carried} ${say.carried} goes along to the next figure`;
    case 'times-one-as-one':
      return `${digit} times 1 is taken for 1${of.carried > 0 ? `, and ${carried} ${say.carried} makes ${say.number(of.total)}` : ''}: ${write}`;
    default:
      return null;
  }
}

/** The same with what the figures are worth. */
function slippedWorth(
  slip: string,
  of: Pick<ProductValues, 'digit' | 'carried' | 'total' | 'place' | 'lower'> & {
    readonly at: number;
  },
  say: Speaker,
): string | null {
  const upper = say.count(of.digit, of.place, 1 - of.lower);
  const [carried, total] = [of.carried, of.total].map((count) => say.count(count, of.at));
  switch (slip) {
    case 'carry-multiplied':
      return `The product is multiplied by the ${carried} ${say.carried} instead of joined by them: **${total}**`;
    case 'leftmost-not-multiplied':
      return `The ${upper} are not multiplied, only joined by the ${carried} ${say.carried}: **${total}**`;
    case 'old-carry-again':
      return `The carry used before is added once more, to ${carried} ${say.carried}: **${total}**`;
    case 'carry-to-wrong-line':
      return `What was ${say.carried} in the line before is counted here once more: **${total}**`;
    case 'carry-over-zero':
      return `No product here, and the ${carried} ${say.carried} are counted with the next place`;
    case 'times-one-as-one':
      return `Once ${upper} is taken for **${total}**`;
    default:
      return null;
  }
}

interface LineWords {
  readonly multiplier: number;
  readonly place: number;
  /** The operand that the multiplier belongs to. */
  readonly lower: number;
  readonly [more: string]: string | number | boolean;
}
type ZeroRow = LineWords & { readonly top: string };
type LeftOut = LineWords & { readonly next: boolean };
type Opening = LineWords & { readonly zeros: number };

const product: Wording<ProductValues> = {
  digit: ({ digit, multiplier, carried, above, fact: taken, total, keep, slip }, say) => {
    if (slip === 'carry-before-multiplying') {
      return `${say.number(digit)} and ${say.number(carried)} ${say.carried} are multiplied together: write **${say.number(total)}**${keep > 0 ? `, keeping ${say.number(keep)}` : ''}.`;
    }
    const own = slippedFigures(
      slip,
      { digit, multiplier, carried, above, fact: taken, total },
      say,
    );
    if (own) return `${own}${keep > 0 ? `, ${say.passOnFigures(keep)}` : ''}.`;
    const fact = say.fact(multiplier, digit, taken);
    const plus =
      carried > 0 && slip !== 'forget-carry'
        ? `, and ${say.number(carried)} ${say.carried} makes ${say.number(total)}`
        : '';
    const lost =
      slip === 'forget-carry' ? ` The ${say.number(carried)} ${say.carried} is forgotten.` : '';
    if (keep === 0) return `${fact}${plus}: write **${say.number(total)}**.${lost}`;
    return `${fact}${plus}: write **${say.number(total % say.base)}**, ${say.passOnFigures(keep)}.${lost}`;
  },
  value: (values, say) => {
    const { digit, place, multiplier, linePlace, lower, carried, total, keep, slip } = values;
    const at = place + linePlace;
    if (slip === 'carry-before-multiplying') {
      return `The ${say.carried} ${say.count(carried, at)} are multiplied as if they were still to be: **${say.count(total, at)}**.`;
    }
    const own = slippedWorth(slip, { digit, carried, total, at, place, lower }, say);
    if (own) return `${own}${keep > 0 ? `; ${say.passOn(keep, at + 1)}` : ''}.`;
    const fact = say.placeFact(multiplier, linePlace, digit, place, lower, values.fact);
    const plus =
      carried > 0 && slip !== 'forget-carry'
        ? `; with the ${say.count(carried, at)} ${say.carried} they make **${say.count(total, at)}**`
        : '';
    const lost =
      slip === 'forget-carry'
        ? ` The ${say.count(carried, at)} ${say.carried} ${say.is(carried)} forgotten.`
        : '';
    if (keep === 0) return `${fact}${plus}.${lost}`;
    return `${fact}${plus}: write **${say.count(total % say.base, at)}**, ${say.passOn(keep, at + 1)}.${lost}`;
  },
};

export const columnPhrases = definePhrases({
  ...sumPhrases.wordings,
  'column.product': product,
  'column.zero-row': {
    digit: ({ multiplier, top }: ZeroRow, say) =>
      `${say.number(multiplier)} times anything is 0: write a row of zeros under ${top}.`,
    value: ({ place, lower }: ZeroRow, say) =>
      `There are no ${say.places(place, lower)} to multiply by, so this line is **nothing**.`,
  },
  'column.zero-left-out': {
    digit: ({ multiplier, next }: LeftOut, say) =>
      `${say.number(multiplier)} times anything is 0: no row is written${next ? ', and the next line begins with a zero more' : ''}.`,
    value: ({ place, lower, next }: LeftOut, say) =>
      `There are no ${say.places(place, lower)} to multiply by: nothing is written${next ? ', and a zero of the next line holds their place' : ''}.`,
  },
  'column.placeholder': {
    digit: ({ zeros }: Opening, say) =>
      `Next line: write **${'0'.repeat(zeros)}** first, the ${say.placeholder}${zeros === 1 ? '' : 's'}.`,
    value: ({ multiplier, place, zeros, lower }: Opening, say) =>
      `${multiplier === 0 ? `This line counts **${say.places(place)}**` : `The ${say.number(multiplier)} is **${say.count(multiplier, place, lower)}**, so this line counts ${say.places(place)}`}: ${zeros === 1 ? 'a zero holds' : 'zeros hold'} the places below.`,
  },
  'column.by-column': fixed(
    'Each figure is multiplied with the one under it alone, and that is thought to be all.',
  ),
  'column.line': plain(
    ({ line, number }: { line: string; number: number }, say) =>
      `line ${number}, ${line.replace('×', say.times)}`,
  ),
  'column.answer': fixed('answer of the column'),
});
