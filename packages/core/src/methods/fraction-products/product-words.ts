import { definePhrases, type Wording } from '../../phrases/phrasebook.ts';
import { magnitude, partsNamed, partsSaid } from '../fractions/fraction.ts';
import { fractionPhrases } from '../fractions/fraction-words.ts';

function big(text: string): bigint {
  return BigInt(text);
}

type CopiedValues = { readonly texts: readonly string[] };

const copied: Wording<CopiedValues> = {
  digit: ({ texts }, say) => `${say.list(texts.map((text) => `**${text}**`))} beside.`,
  value: ({ texts }, say) =>
    `${say.list(texts.map((text) => `**${text}**`))} ${texts.length === 1 ? 'is a fraction' : 'are fractions'} as ${texts.length === 1 ? 'it is' : 'they are'}.`,
};

type WholeValues = { readonly whole: string };

const whole: Wording<WholeValues> = {
  digit: ({ whole: text }) => `${text} is **${text}/1**.`,
  value: ({ whole: text }) =>
    `${text} ${text === '1' ? 'whole' : 'wholes'}, each one part: **${text}/1**.`,
};

type CancelValues = {
  readonly above: string;
  readonly below: string;
  readonly by: string;
  readonly slip: string;
};

const cancel: Wording<CancelValues> = {
  digit: ({ above, below, by, slip }) =>
    slip === ''
      ? `${above} above and ${below} below, both ÷ ${by}: **${big(above) / big(by)}** and **${big(below) / big(by)}**.`
      : `${above} and ${below}, both above, ÷ ${by}: **${big(above) / big(by)}** and **${big(below) / big(by)}**.`,
  value: ({ above, below, by, slip }) =>
    slip === ''
      ? `${above} times and one of ${below} parts: **${by}** is in both, once multiplied and once divided by, so it may go.`
      : `${by} is in ${above} and in ${below}, but both multiply: the amount becomes ${big(by) * big(by)} times too small.`,
};

type MultiplyValues = {
  readonly tops: readonly string[];
  readonly bottoms: readonly string[];
  readonly made: string;
  readonly slip: string;
};

const tops: Wording<MultiplyValues> = {
  digit: ({ tops: all, made, slip }, say) =>
    slip === 'crossed-product'
      ? `Across: ${all.join(` ${say.times} `)} = **${made}**.`
      : `Above: ${all.join(` ${say.times} `)} = **${made}**.`,
  value: ({ tops: all, made }, say) =>
    `There are ${all.join(` ${say.times} `)} = **${made}** of the small parts.`,
};

const bottoms: Wording<MultiplyValues> = {
  digit: ({ bottoms: all, made, slip }, say) => {
    if (slip === 'bottom-kept') return `Below ${all[0]} stays: **${made}**.`;
    const where = slip === 'crossed-product' ? 'Across' : 'Below';
    return `${where}: ${all.join(` ${say.times} `)}: **${made}**.`;
  },
  value: ({ bottoms: all, made, slip }, say) => {
    const [top = '0', bottom = '1'] = made.split('/');
    if (slip === 'bottom-kept')
      return `The parts are named ${partsNamed(big(bottom))} as before, though each was cut anew: **${made}**.`;
    if (slip !== '') return `Tops are multiplied by bottoms, as if one divided: **${made}**.`;
    const verb = magnitude(big(top)) === 1n ? 'is' : 'are';
    return `A part of a part: ${all.join(` ${say.times} `)} of them make a whole; there ${verb} **${partsSaid(big(top), big(bottom))}**.`;
  },
};

type ApartValues = { readonly made: string };

const apart: Wording<ApartValues> = {
  digit: ({ made }) => `Wholes by wholes, parts by parts: **${made}**.`,
  value: ({ made }) =>
    `Wholes of the one times parts of the other are left out, both times: **${made}**.`,
};

type TurnValues = {
  readonly dividend: string;
  readonly divisor: string;
  readonly turned: string;
  readonly slip: string;
};

const TURN_SLIPS: Readonly<Record<string, string>> = {
  'dividend-turned': 'the first is turned, and not the divisor',
  'nothing-turned': 'neither of them is turned',
  'both-turned': 'both of them are turned',
};

const turn: Wording<TurnValues> = {
  digit: ({ divisor, turned, slip }, say) =>
    slip === ''
      ? `Instead of ÷ ${divisor} now ${say.times} **${turned}**.`
      : `Instead of ÷ now ${say.times}, and ${TURN_SLIPS[slip]}: **${turned}**.`,
  value: ({ dividend, divisor, turned, slip }, say) =>
    slip === ''
      ? `Both numbers ${say.times} ${turned}: the divisor ${divisor} becomes 1, and ${dividend} ${say.times} **${turned}** shared by 1 is that itself.`
      : `The divisor is to become 1 by what both are multiplied with; here ${TURN_SLIPS[slip]}: **${turned}**.`,
};

type CountsValues = {
  readonly dividend: string;
  readonly divisor: string;
  readonly bottom: string;
  readonly made: string;
  readonly slip: string;
};

const counts: Wording<CountsValues> = {
  digit: ({ dividend, divisor, made, slip }) => {
    if (slip === 'name-kept')
      return `${dividend} ÷ ${divisor}, and the denominator stays: **${made}**.`;
    if (slip !== '') return `${divisor} ÷ ${dividend}: **${made}**.`;
    return `${dividend} ÷ ${divisor}: **${made}**.`;
  },
  value: ({ dividend, divisor, bottom, made, slip }) => {
    const [a, b] = [partsSaid(big(dividend), big(bottom)), partsSaid(big(divisor), big(bottom))];
    if (slip === 'name-kept')
      return `How often ${b} go into ${a} is a number of times, and no ${partsNamed(big(bottom))}: **${made}** is another amount.`;
    if (slip !== '')
      return `It is asked how often ${b} go into ${a}, not the other way: **${made}**.`;
    return `${a} hold ${b} as often as ${dividend} holds ${divisor}: **${made}** times.`;
  },
};

type CutValues = { readonly top: string; readonly bottom: string; readonly isDown: boolean };

const areaCut: Wording<CutValues> = {
  digit: ({ top, bottom, isDown }) =>
    `${isDown ? 'Down' : 'Across'}: a whole in ${bottom}, **${top}** of them.`,
  value: ({ top, bottom, isDown }) =>
    `${isDown ? 'The other way a' : 'A'} whole side is cut into ${partsNamed(big(bottom))}; the rectangle takes **${partsSaid(big(top), big(bottom))}**.`,
};

type RegionValues = {
  readonly across: string;
  readonly down: string;
  readonly made: string;
  readonly slip: string;
};

const areaRegion: Wording<RegionValues> = {
  digit: ({ across, down, made, slip }, say) =>
    slip === ''
      ? `${across} ${say.times} ${down}: **${made}**.`
      : `Every part that is shaded one way or the other: **${made}**.`,
  value: ({ across, down, made, slip }, say) => {
    const [top = '0', bottom = '1'] = made.split('/');
    const count = `**${partsSaid(big(top), big(bottom))}**`;
    if (slip !== '') return `Parts that lie in one of the strips only are counted too: ${count}.`;
    return `${across} ${across === '1' ? 'part' : 'parts'} across and ${down} down: ${across} ${say.times} ${down} small parts, ${count}.`;
  },
};

/** The wordings of products and quotients of fractions, beside those of sums. */
export const productPhrases = definePhrases({
  ...fractionPhrases.wordings,
  'factors.copied': copied,
  'factors.whole': whole,
  'factors.cancel': cancel,
  'factors.tops': tops,
  'factors.bottoms': bottoms,
  'factors.apart': apart,
  'factors.turn': turn,
  'factors.counts': counts,
  'area.cut': areaCut,
  'area.region': areaRegion,
});
