import type { Exact } from '../../exact/exact.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';

type HalveValues = {
  readonly left: Exact;
  readonly right: Exact;
  readonly half: Exact;
  readonly double: Exact;
  readonly odd: boolean;
  readonly slip: string;
};

const halve: Wording<HalveValues> = {
  digit: ({ left, right, half, double, odd, slip }, say) => {
    const dropped = say.base === 2 ? ', the last figure dropped and a 0 put on' : '';
    const next = `**${say.figures(half)}** and **${say.figures(double)}**${dropped}`;
    if (slip === 'keep-even')
      return `${say.figures(left)} is even, but the row is kept; then ${next}.`;
    if (slip === 'strike-odd')
      return `${say.figures(left)} is odd, but the row is struck; then ${next}.`;
    return odd
      ? `${say.figures(left)} is odd: keep ${say.figures(right)}, leave out the half; then ${next}.`
      : `${say.figures(left)} is even: strike the row; then ${next}.`;
  },
  value: ({ left, right, half, double, odd, slip }, say) => {
    const whole = `${say.figures(left)} ${say.times} ${say.figures(right)}`;
    const next = `${say.figures(half)} ${say.times} ${say.figures(double)}`;
    if (slip !== '')
      return `${whole} should go on as ${odd ? `${say.figures(right)} and ` : ''}${next}, but ${odd ? `the ${say.figures(right)} is lost` : `${say.figures(right)} is kept besides`}.`;
    return odd
      ? `${whole} is one **${say.figures(right)}**, which is kept, and **${next}**.`
      : `${whole} is as much as **${next}**: half as many, each twice as large.`;
  },
};

type DoubleValues = { readonly power: Exact; readonly double: Exact };

/** What halving and doubling says in its steps. */
export const halvingPhrases = definePhrases({
  'halving.head': {
    digit: ({ left, right }: { left: Exact; right: Exact }, say) =>
      `Two columns, headed **${say.figures(left)}** and **${say.figures(right)}**.`,
    value: ({ left, right }: { left: Exact; right: Exact }, say) =>
      `There are **${say.figures(left)}** of **${say.figures(right)}** to account for.`,
  },
  'halving.row': halve,
  'halving.last': {
    digit: ({ right }: { right: Exact }, say) => `1 is odd: keep **${say.figures(right)}**.`,
    value: ({ right }: { right: Exact }, say) =>
      `One **${say.figures(right)}** is left, and it is kept.`,
  },
  'halving.zero': plain(
    ({ right }: { right: Exact }, say) => `0 is even: nothing is kept of ${say.figures(right)}.`,
  ),
  'doubling.row': {
    digit: ({ power, double }: DoubleValues, say) =>
      `Double: **${say.figures(power)}** and **${say.figures(double)}**.`,
    value: ({ power, double }: DoubleValues, say) =>
      `**${say.figures(power)}** times the other factor is **${say.figures(double)}**.`,
  },
  'doubling.tick': {
    digit: ({ power, rest, missed }: TickValues, say) =>
      missed
        ? `${say.figures(power)} fits, but it is not ticked.`
        : `${say.figures(power)} fits: tick it, **${say.figures(rest)}** left to make up.`,
    value: ({ power, double, rest, missed }: TickValues, say) =>
      missed
        ? `The ${say.figures(power)}, worth ${say.figures(double)}, is passed over.`
        : `${say.figures(power)} of them, worth **${say.figures(double)}**, are taken; ${say.figures(rest)} are still to be made up.`,
  },
  'halving.sum': plain(({ parts, to }: { parts: readonly Exact[]; to: Exact }, say) => {
    if (parts.length === 0) return `Nothing is kept: **${say.figures(to)}**.`;
    if (parts.length === 1) return `Only **${say.figures(to)}** is kept.`;
    const sum =
      parts.length > 8
        ? `The ${parts.length} numbers kept`
        : parts.map((part) => say.figures(part)).join(' + ');
    return `${sum} = **${say.figures(to)}**.`;
  }),
  'halving.kept': plain(
    ({ power, double }: { power: Exact; double: Exact }, say) =>
      `the double ${say.figures(double)}, ${say.figures(power)} times the other factor`,
  ),
  'halving.answer': fixed('all numbers kept together'),
});

type TickValues = {
  readonly power: Exact;
  readonly double: Exact;
  readonly rest: Exact;
  readonly missed: boolean;
};
