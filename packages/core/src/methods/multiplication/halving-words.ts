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
    if (slip === 'odd-half-rounded-up')
      return `${say.figures(left)} is odd: keep ${say.figures(right)}, and the half is rounded up; then ${next}.`;
    if (slip === 'both-columns-halved')
      return `${say.figures(left)} is ${odd ? `odd: keep ${say.figures(right)}` : 'even: strike the row'}; both columns are halved: ${next}.`;
    if (slip === 'strike-odd')
      return `${say.figures(left)} is odd, but the row is struck; then ${next}.`;
    return odd
      ? `${say.figures(left)} is odd: keep ${say.figures(right)}, leave out the half; then ${next}.`
      : `${say.figures(left)} is even: strike the row; then ${next}.`;
  },
  value: ({ left, right, half, double, odd, slip }, say) => {
    const [one, two] = [say.amount(right), say.amount(double)];
    const whole = `${say.figures(left)} ${say.times} ${one}`;
    const next = `${say.figures(half)} ${say.times} ${two}`;
    if (slip === 'odd-half-rounded-up')
      return `${whole} is one ${one}, which is kept, and less than **${next}**, with which the work goes on.`;
    if (slip === 'both-columns-halved')
      return `${whole} should go on with twice ${one}, but it goes on as **${next}**.`;
    if (slip !== '')
      return `${whole} should go on as ${odd ? `${one} and ` : ''}${next}, but ${odd ? `the ${one} is lost` : `${one} is kept besides`}.`;
    return odd
      ? `${whole} is one **${one}**, which is kept, and **${next}**.`
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
      `**${say.figures(left)}** times **${say.amount(right)}** is to be found.`,
  },
  'halving.row': halve,
  'halving.last': {
    digit: ({ right, stopped }: { right: Exact; stopped: boolean }, say) =>
      stopped
        ? `1 is thought to be the end: ${say.figures(right)} is struck.`
        : `1 is odd: keep **${say.figures(right)}**.`,
    value: ({ right, stopped }: { right: Exact; stopped: boolean }, say) =>
      `One **${say.amount(right)}** is left, ${stopped ? 'but it is not kept' : 'and it is kept'}.`,
  },
  'halving.zero': plain(
    ({ right }: { right: Exact }, say) => `0 is even: nothing is kept of ${say.figures(right)}.`,
  ),
  'doubling.row': {
    digit: ({ power, double }: DoubleValues, say) =>
      `Double: **${say.figures(power)}** and **${say.figures(double)}**.`,
    value: ({ power, double }: DoubleValues, say) =>
      `**${say.figures(power)}** times the other factor is **${say.amount(double)}**.`,
  },
  'doubling.tick': {
    digit: ({ power, rest, missed }: TickValues, say) =>
      missed
        ? `${say.figures(power)} fits, but it is not ticked.`
        : `${say.figures(power)} fits: tick it, **${say.figures(rest)}** left to make up.`,
    value: ({ power, double, rest, missed }: TickValues, say) =>
      missed
        ? `The ${say.figures(power)}, worth ${say.amount(double)}, is passed over.`
        : `${say.figures(power)} of them, worth **${say.amount(double)}**, are taken; ${say.figures(rest)} are still to be made up.`,
  },
  'halving.sum': {
    digit: ({ parts, to }: SumValues, say) => kept(parts, to, (amount) => say.figures(amount)),
    value: ({ parts, to }: SumValues, say) => kept(parts, to, (amount) => say.amount(amount)),
  },
  'halving.kept': plain(
    ({ power, double }: { power: Exact; double: Exact }, say) =>
      `the double ${say.figures(double)}, ${say.figures(power)} times the other factor`,
  ),
  'halving.answer': fixed('all numbers kept together'),
});

type SumValues = { readonly parts: readonly Exact[]; readonly to: Exact };

function kept(parts: readonly Exact[], to: Exact, text: (amount: Exact) => string): string {
  if (parts.length === 0) return `Nothing is kept: **${text(to)}**.`;
  if (parts.length === 1) return `Only **${text(to)}** is kept.`;
  return parts.length > 8
    ? `The ${parts.length} numbers kept make **${text(to)}**.`
    : `${parts.map(text).join(' + ')} = **${text(to)}**.`;
}

type TickValues = {
  readonly power: Exact;
  readonly double: Exact;
  readonly rest: Exact;
  readonly missed: boolean;
};
