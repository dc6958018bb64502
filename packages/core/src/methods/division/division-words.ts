import type { Exact } from '../../exact/exact.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Speaker } from '../../phrases/speaker.ts';
import type { LeftAgain } from './division-plan.ts';
import { FORGET_REMAINDER, REMAINDER_AS_TENTHS, SCALE_ONE, SKIP_ZERO } from './schools.ts';
import { otherwise, otherwiseInWorth, triedInWorth, triedWords } from './turning-words.ts';

type ScaleValues = {
  readonly dividend: Exact;
  readonly divisor: Exact;
  readonly toDividend: Exact;
  readonly toDivisor: Exact;
  readonly shift: number;
  readonly slip: string;
};

const scale: Wording<ScaleValues> = {
  digit: ({ toDividend, toDivisor, shift, slip }, say) => {
    const made = `**${say.worth(toDividend)} ÷ ${say.worth(toDivisor)}**`;
    const far = shift === 1 ? 'one place' : `${shift} places`;
    return slip === SCALE_ONE.id
      ? `Only the divisor’s point moves ${far}: ${made}.`
      : `Both points move ${far} to the right: ${made}.`;
  },
  value: ({ dividend, divisor, toDividend, toDivisor, shift, slip }, say) => {
    const given = `${say.worth(dividend)} ÷ ${say.worth(divisor)}`;
    const made = `**${say.worth(toDividend)} ÷ ${say.worth(toDivisor)}**`;
    const times = say.number(say.base ** shift);
    return slip === SCALE_ONE.id
      ? `The divisor becomes ${times} times as large and the dividend stays: ${made} is not ${given}.`
      : `Both numbers become ${times} times as large, so ${made} has the same quotient as ${given}.`;
  },
};

export type ShareValues = {
  readonly part: Exact;
  readonly divisor: Exact;
  readonly quotient: number;
  /** The figure of the dividend that belongs here. */
  readonly digit: number;
  readonly rest: Exact;
  readonly place: number;
  /** Whether another figure follows for the rest to join. */
  readonly goesOn: boolean;
  /** Whether a zero is put to the dividend here. */
  readonly added: boolean;
  readonly slip: string;
};

function after({ rest, goesOn, slip }: ShareValues, say: Speaker): string {
  if (rest.isZero) return '';
  if (slip === FORGET_REMAINDER.id) return `; the ${say.worth(rest)} left is forgotten`;
  return goesOn ? `, ${say.worth(rest)} goes to the next figure` : `, ${say.worth(rest)} left`;
}

function afterInWorth({ rest, place, goesOn, slip }: ShareValues, say: Speaker): string {
  if (rest.isZero) return '';
  const left = say.count(rest.numerator, place);
  const is = rest.numerator === 1n ? 'is' : 'are';
  if (slip === FORGET_REMAINDER.id) return `; the ${left} left ${is} forgotten`;
  if (!goesOn) return `; ${left} ${is} left over`;
  const lower = say.count(rest.numerator * BigInt(say.base), place - 1);
  return `; ${left} ${is} left, as many as ${lower}`;
}

const share: Wording<ShareValues> = {
  digit: (values, say) => {
    const { part, divisor, quotient, added, slip } = values;
    const told = otherwise(values, say);
    if (told !== null) return told;
    const zero = added ? 'With a 0 behind it: ' : '';
    if (slip === SKIP_ZERO.id) {
      return `${zero}${say.worth(divisor)} does not go into ${say.worth(part)}, and nothing is written.`;
    }
    if (quotient === 0 && !part.isZero) {
      return `${zero}${say.worth(divisor)} does not go into ${say.worth(part)}: write **0**${after(values, say)}.`;
    }
    return `${zero}${say.worth(part)} ÷ ${say.worth(divisor)}: write **${say.number(quotient)}**${after(values, say)}.`;
  },
  value: (values, say) => {
    const { part, divisor, quotient, place, slip } = values;
    const told = otherwiseInWorth(values, say);
    if (told !== null) return told;
    const shared = say.count(part.numerator, place);
    const by = say.worth(divisor);
    const give = part.numerator === 1n ? 'gives' : 'give';
    if (slip === SKIP_ZERO.id) {
      return `No ${say.places(place)} come of ${shared} shared by ${by}, but no zero holds their place: the figures before it move down.`;
    }
    if (part.isZero) return `There are no ${say.places(place)} to share: **0**.`;
    if (quotient === 0) {
      return `${shared} shared by ${by} ${give} no ${say.places(place)}: **0**${afterInWorth(values, say)}.`;
    }
    return `${shared} shared by ${by} ${give} **${say.count(quotient, place)}** each${afterInWorth(values, say)}.`;
  },
};

export type ProductValues = {
  readonly part: Exact;
  readonly divisor: Exact;
  readonly quotient: number;
  readonly product: Exact;
  readonly place: number;
};

type MultiplyValues = ProductValues & { readonly slip: string; readonly again: boolean };

const multiply: Wording<MultiplyValues> = {
  digit: ({ part, divisor, quotient, product, slip, again }, say) => {
    const told = triedWords({ slip, again, quotient, divisor, part }, say);
    return `${told ?? `${say.worth(divisor)} into ${say.worth(part)} goes **${say.number(quotient)}**`}; ${say.number(quotient)} ${say.times} ${say.worth(divisor)} = **${say.worth(product)}**.`;
  },
  value: ({ divisor, quotient, product, place, slip, again }, say) => {
    const used = `**${say.count(quotient, place)}** for each of ${say.worth(divisor)} ${quotient === 1 ? 'uses' : 'use'} up ${say.count(product.numerator, place)}`;
    return `${used}${triedInWorth({ slip, again, quotient }, say)}.`;
  },
};

export type SubtractValues = ProductValues & { readonly rest: Exact; readonly slip: string };

const subtract: Wording<SubtractValues> = {
  digit: ({ part, product, rest, slip }, say) => {
    const lost = slip === FORGET_REMAINDER.id ? ', but it is not carried on' : '';
    const is = part.minus(product).equals(rest) ? 'is' : 'is taken for';
    return `${say.opening(say.minus(say.worth(part), say.worth(product)))} ${is} **${say.worth(rest)}**${lost}.`;
  },
  value: ({ part, product, rest, place, slip }, say) => {
    const lost = slip === FORGET_REMAINDER.id ? ', and forgotten' : '';
    const used = `${say.count(product.numerator, place)} ${product.numerator === 1n ? 'is' : 'are'} used`;
    const taken = part.minus(product).equals(rest) ? '' : 'taken to be ';
    return `Of ${say.count(part.numerator, place)}, ${used}: ${taken}**${rest.isZero ? 'none' : say.count(rest.numerator, place)}** left${lost}.`;
  },
};

export type BringValues = {
  readonly digit: number;
  readonly before: Exact;
  readonly part: Exact;
  readonly place: number;
  readonly added: boolean;
};

const bringDown: Wording<BringValues> = {
  digit: ({ digit, part, added }, say) =>
    `${added ? 'Write a 0 behind it' : `Bring down the ${say.number(digit)}`}: **${say.worth(part)}**.`,
  value: ({ digit, before, part, place, added }, say) => {
    const whole = `**${say.count(part.numerator, place)}**`;
    if (before.isZero) return `The next figure is ${whole}.`;
    const left = say.count(before.numerator, place + 1);
    const is = before.numerator === 1n ? 'is' : 'are';
    if (added || digit === 0) return `${say.opening(left)} ${is} ${whole}.`;
    return `${say.opening(left)} and ${say.count(digit, place)} are ${whole}.`;
  },
};

type RestValues = {
  readonly rest: Exact;
  readonly scaled: Exact;
  readonly divisor: Exact;
  readonly quotient: Exact;
  /** The last place that was worked. */
  readonly place: number;
  readonly slip: string;
};

const REST_WORDS: Readonly<Record<string, string>> = {
  'remainder-dropped': 'and it is not told',
  'rest-in-scaled-units': 'but it is told in the scaled numbers',
  'rest-over-dividend': 'but it is written as if the dividend were the divisor',
};

const remainder: Wording<RestValues> = {
  digit: ({ rest, scaled, slip }, say) => {
    if (slip === REMAINDER_AS_TENTHS.id)
      return `The ${say.worth(scaled)} left is written after the point.`;
    if (slip === 'remainder-dropped') return `What is left, ${say.worth(rest)}, is not told.`;
    if (slip === 'rest-in-scaled-units') {
      return `${say.worth(scaled)} is left of the scaled number, and is told as it is: **${say.worth(scaled)}**.`;
    }
    if (slip === 'rest-over-dividend')
      return `The ${say.worth(rest)} left is put over the dividend.`;
    return rest.equals(scaled)
      ? `Write the remainder: **${say.worth(rest)}**.`
      : `${say.worth(scaled)} is left of the scaled number: the remainder is **${say.worth(rest)}**.`;
  },
  value: ({ rest, scaled, divisor, quotient, place, slip }, say) => {
    if (slip === REMAINDER_AS_TENTHS.id)
      return `${say.worth(scaled)} left to be shared by ${say.worth(divisor)} is not ${say.count(scaled.numerator, -1)}, but so it is written.`;
    const told = REST_WORDS[slip];
    if (told !== undefined) return `**${say.worth(rest)}** of the dividend is left, ${told}.`;
    return `${say.worth(quotient)} ${say.times} ${say.worth(divisor)} leaves **${say.worth(rest)}** of the dividend, ${rest.compare(divisor) < 0 ? 'too little' : 'enough'} for another ${place === 0 ? say.worth(divisor) : `${say.count(1, place).replace(/^1 /, '')} of ${say.worth(divisor)}`}.`;
  },
};

const repeats: Wording<LeftAgain> = {
  digit: ({ block, rest }, say) =>
    `${say.worth(rest)} is left, as it was once before: from here on **${block}** comes again and again.`,
  value: ({ block, rest, place, before }, say) => {
    const is = rest.numerator === 1n ? 'is' : 'are';
    const was = rest.numerator === 1n ? 'was' : 'were';
    return `${say.count(rest.numerator, place)} ${is} left, as ${say.count(rest.numerator, before)} ${was} before, so the same figures follow without end: **${block}**.`;
  },
};

const join: Wording<{ readonly rest: Exact }> = {
  digit: ({ rest }, say) => `Nothing of **${say.worth(rest)}** is shared any more.`,
  value: ({ rest }, say) =>
    `What is left and the figures after the point are **${say.worth(rest)}** together.`,
};

/** The wordings of all divisions. */
export const divisionPhrases = definePhrases({
  'division.scale': scale,
  'division.share': share,
  'division.multiply': multiply,
  'division.subtract': subtract,
  'division.bring-down': bringDown,
  'division.join': join,
  'division.remainder': remainder,
  'division.repeats': repeats,
  'division.figure': plain(
    ({ quotient, place }: { quotient: number; place: number }, say) =>
      `the ${say.places(place)} of the quotient, ${say.number(quotient)}`,
  ),
  'division.filled': fixed('The place that is left over is filled with a **0**.'),
  'division.rest': fixed('what is left of the dividend'),
  'division.answer': fixed('quotient and what is left'),
});
