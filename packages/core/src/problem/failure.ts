import { LIMITS, type LimitId } from './bounds.ts';

/**
 * Every reason a problem text can be refused. Codes are stable and appear in no sentence; the
 * sentences are in {@link failureText}. `at` counts characters of the typed text from 1.
 */
export type ProblemFailure =
  | { readonly code: 'empty' }
  | { readonly code: 'text-too-long'; readonly length: number; readonly limit: number }
  | { readonly code: 'unknown-character'; readonly found: string; readonly at: number }
  | { readonly code: 'word'; readonly found: string; readonly at: number }
  | { readonly code: 'repeated-sign'; readonly found: string; readonly at: number }
  | { readonly code: 'number-missing-after'; readonly sign: string; readonly at: number }
  | { readonly code: 'number-missing-before'; readonly sign: string; readonly at: number }
  | { readonly code: 'sign-missing-before'; readonly found: string; readonly at: number }
  | { readonly code: 'bracket-open'; readonly at: number }
  | { readonly code: 'bracket-unopened'; readonly at: number }
  | { readonly code: 'brackets-too-deep'; readonly at: number; readonly limit: number }
  | { readonly code: 'comma-in-number'; readonly at: number }
  | { readonly code: 'base-unknown'; readonly base: string; readonly at: number }
  | {
      readonly code: 'digit-not-in-base';
      readonly digit: string;
      readonly base: number;
      readonly at: number;
    }
  | {
      readonly code: 'number-too-long';
      readonly digits: number;
      readonly limit: number;
      readonly at: number;
    }
  | { readonly code: 'one-number'; readonly number: string }
  | { readonly code: 'answer-unread'; readonly found: string }
  | { readonly code: 'mixed-bases'; readonly bases: readonly number[] }
  | {
      readonly code: 'too-many-operands';
      readonly kind: string;
      readonly operands: number;
      readonly limit: number;
    }
  | { readonly code: 'over-limit'; readonly limit: LimitId; readonly most: number }
  | { readonly code: 'divides-by-zero'; readonly dividend: string }
  | { readonly code: 'kind-not-offered'; readonly kind: ProblemShape };

/** What goes past a limit, and how far it may go. */
const OVER: Record<LimitId, (most: number) => string> = {
  text: (most) => `The text is too long; a problem may have ${most} characters.`,
  signs: (most) =>
    `There are too many numbers, letters and signs here; a problem may have ${most} of them.`,
  brackets: (most) => `Brackets and signs may stand up to ${most} deep inside each other.`,
  figures: (most) => `A number here is too long; at most ${most} figures are worked.`,
  addends: (most) => `There are too many numbers here; at most ${most} are added.`,
  factors: (most) =>
    `Written out, a product or power here has more than ${most} factors; up to ${most} are multiplied.`,
  power: (most) => `A number is multiplied by itself up to the power ${most}.`,
  exponent: (most) => `Written out, a letter has too high an exponent; at most ${most} is worked.`,
  terms: (most) =>
    `Written out, the brackets have too many terms; at most ${most} are worked in all.`,
  coefficient: (most) =>
    `Written out, the number before a letter is too long; at most ${most} figures are worked.`,
  addedFigures: (most) =>
    `There are too many figures to add; the addends times the figures of the longest may be ${most}.`,
  products: (most) =>
    `The figures of these factors make too many single products; ${most} are worked, counted once for each stage.`,
  comparedProducts: (most) =>
    `The figures of these factors make too many single products to compare methods; ${most} are compared, counted once for each stage.`,
  benchFigures: (most) =>
    `The bench shows numbers of up to ${most} figures; here is a longer one. The command line works longer ones.`,
  benchProducts: (most) =>
    `The bench shows factors whose figures make up to ${most} single products, counted once for each stage; here are more. The command line works longer ones.`,
  benchAddedFigures: (most) =>
    `The bench shows sums whose addends times the figures of the longest make up to ${most}; here are more. The command line works longer ones.`,
  value: (most) => `What this makes is too long; at most ${most} figures are worked out.`,
  valuePower: (most) => `Powers are worked out up to ${most}.`,
};

/** What kind of computation a text is, when it is one that can be read but not worked. */
export type ProblemShape =
  | 'mixed sum'
  | 'negative number'
  | 'mixed operations'
  | 'uneven fraction'
  | 'fraction in another base'
  | 'power'
  | 'large power'
  | 'string of divisions'
  | 'quotient with letters'
  | 'percent'
  | 'negative root'
  | 'root of an expression'
  | 'one term';

export type ProblemFailureCode = ProblemFailure['code'];

const SHAPES: Record<ProblemShape, string> = {
  'mixed sum': 'a sum with more than one subtraction in it',
  'negative number': 'a computation with a negative number',
  'mixed operations': 'a computation with more than one kind of operation',
  'uneven fraction': 'a computation with a point inside a fraction',
  'fraction in another base': 'a fraction in another base than ten; write its numbers in base ten',
  'large power': `a power above the ${LIMITS.power}th, which would have too many factors`,
  'string of divisions':
    'a string of several divisions; divide by the product of the divisors instead',
  'quotient with letters': 'a quotient with letters',
  percent: 'a computation with a percentage',
  power: 'a power of something else than a whole number or a bracket',
  'negative root': 'a root of a negative number, and no number squared is negative',
  'root of an expression': 'a root of something other than one number in figures',
  'one term': 'a single term',
};

/** What is worked, for those who typed something else. */
const WORKED =
  'worked are sums, differences, products and quotients, brackets with letters such as (x+4)(3x-2), and square roots such as √7396.';

/** One clear sentence: what is wrong, where, and what to do. */
export function failureText(failure: ProblemFailure): string {
  switch (failure.code) {
    case 'empty':
      return 'Type a computation, such as 46 × 58, 642 − 387 or (x+4)(3x-2).';
    case 'text-too-long':
      return `The text is ${failure.length} characters long; a problem may have ${failure.limit}.`;
    case 'unknown-character':
      return `“${failure.found}” at character ${failure.at} is not part of a computation; use figures and signs, such as 46 × 58.`;
    case 'word':
      return `“${failure.found}” at character ${failure.at} is a word; type only the computation, such as 46 × 58.`;
    case 'repeated-sign':
      return `“${failure.found}” at character ${failure.at} follows another sign; one sign is enough between two numbers.`;
    case 'number-missing-after':
      return `A number is missing after “${failure.sign}” at character ${failure.at}.`;
    case 'number-missing-before':
      return `A number is missing before “${failure.sign}” at character ${failure.at}.`;
    case 'sign-missing-before':
      return `A sign such as × is missing before “${failure.found}” at character ${failure.at}.`;
    case 'bracket-open':
      return `The bracket opened at character ${failure.at} is not closed; add “)”.`;
    case 'bracket-unopened':
      return `The “)” at character ${failure.at} closes a bracket that was not opened; remove it.`;
    case 'brackets-too-deep':
      return `The brackets at character ${failure.at} are nested more than ${failure.limit} deep; use fewer.`;
    case 'comma-in-number':
      return `The comma at character ${failure.at} could stand before tenths or between thousands; write a point or no sign at all, or choose the comma as the decimal sign in Words and settings.`;
    case 'base-unknown':
      return `Base ${failure.base} at character ${failure.at} is not offered; bases go from 2 to 16.`;
    case 'digit-not-in-base':
      return `The digit ${failure.digit} at character ${failure.at} does not exist in base ${failure.base}.`;
    case 'number-too-long':
      return `The number at character ${failure.at} has ${failure.digits} digits; at most ${failure.limit} are worked.`;
    case 'answer-unread':
      return `“${shorten(failure.found)}” after the equals sign cannot be read as an answer; leave it out or write a number.`;
    case 'one-number':
      return `${shorten(failure.number)} is one number; add a sign and a second one, such as × 58.`;
    case 'mixed-bases':
      return `The numbers are written in bases ${failure.bases.join(' and ')}; write them all in one base.`;
    case 'kind-not-offered':
      return `This is ${SHAPES[failure.kind]}; ${WORKED}`;
    case 'too-many-operands':
      return `This has ${failure.operands} numbers; at most ${failure.limit} are worked in one ${failure.kind}.`;
    case 'over-limit':
      return OVER[failure.limit](failure.most);
    case 'divides-by-zero':
      return `${failure.dividend} ÷ 0 has no answer: ${failure.dividend === '0' ? 'any number times 0 makes 0, so no single one is the quotient' : `no number times 0 makes ${failure.dividend}`}; write another divisor.`;
  }
}

function shorten(text: string): string {
  return text.length > 24 ? `${text.slice(0, 20)}… (${text.length} figures)` : text;
}
