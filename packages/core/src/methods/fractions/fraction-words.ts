import { definePhrases, fixed, type Wording } from '../../phrases/phrasebook.ts';
import { fracText, magnitude, partsNamed, partsSaid } from './fraction.ts';

/** Numbers travel in phrases as texts; they may be long. */
function big(text: string): bigint {
  return BigInt(text);
}

type FindValues = {
  readonly bottoms: readonly string[];
  readonly lists: readonly string[];
  readonly common: string;
  readonly by: string;
};

const find: Wording<FindValues> = {
  digit: ({ bottoms, lists, common, by }) => {
    const each = bottoms.map((bottom, k) => `${bottom}: ${lists[k]}`).join('; ');
    return by === 'primes'
      ? `${each}. Every prime as often as it is needed: **${common}**.`
      : `${each}. The first in ${bottoms.length === 2 ? 'both' : 'all'}: **${common}**.`;
  },
  value: ({ bottoms, common }, say) => {
    const names = say.list(bottoms.map((bottom) => partsNamed(big(bottom))));
    return `The parts are ${names}; all of them can be cut into **${partsNamed(big(common))}**.`;
  },
};

type RenameValues = {
  readonly top: string;
  readonly bottom: string;
  readonly by: string;
  readonly to: string;
  /** The factor of the other fraction. */
  readonly otherBy: string;
  readonly slip: string;
};

/** What is done to the numerator in renaming, in figures. */
function renamedTop({ top, bottom, by, to, otherBy, slip }: RenameValues, times: string): string {
  switch (slip) {
    case 'bottom-only':
      return `the ${top} stays`;
    case 'by-other-factor':
      return `${top} ${times} ${otherBy} = ${to}`;
    case 'top-by-bottom':
      return `${top} ${times} ${bottom} = ${to}`;
    default:
      return `${top} ${times} ${by} = ${to}`;
  }
}

const rename: Wording<RenameValues> = {
  digit: (values, say) => {
    const { top, bottom, by, to, slip } = values;
    const common = big(bottom) * big(by);
    const made = fracText({ top: big(to), bottom: common });
    const above = renamedTop(values, say.times);
    const below = `${bottom} ${say.times} ${by} = ${common}`;
    if (slip === 'same-added-above-and-below') {
      const more = common - big(bottom);
      return `${top} + ${more} = ${to}, ${bottom} + ${more} = ${common}: **${made}**.`;
    }
    return slip === 'bottom-only'
      ? `${below}, and ${above}: **${made}**.`
      : `${above}, ${below}: **${made}**.`;
  },
  value: ({ top, bottom, by, to, slip }) => {
    const common = big(bottom) * big(by);
    const made = `**${partsSaid(big(to), common)}**`;
    const [count, whole] = [big(top), big(bottom)];
    const is = magnitude(count) === 1n ? 'is' : 'are';
    if (slip !== '' && slip !== 'bottom-only') {
      return `${partsSaid(count, whole)} ${is} written as ${made}, which is another amount.`;
    }
    if (slip !== '') {
      return `${partsSaid(count, whole)} ${is} written as ${made}, though each was cut into ${by} and none was counted anew.`;
    }
    return `Each part is cut into ${by}: ${partsSaid(count, whole)} ${is} ${made}.`;
  },
};

type CrossValues = {
  readonly top: string;
  readonly bottom: string;
  readonly other: string;
  readonly product: string;
  /** Whether the numerator is multiplied by its own denominator. */
  readonly own: boolean;
};

const cross: Wording<CrossValues> = {
  digit: ({ top, bottom, other, product, own }, say) =>
    own
      ? `Not across: ${top} ${say.times} ${bottom} = **${product}**.`
      : `Across: ${top} ${say.times} ${other} = **${product}**.`,
  value: ({ top, bottom, other, product, own }, say) => {
    const common = big(bottom) * big(other);
    if (own) {
      return `${partsSaid(big(top), big(bottom))} taken as often as its own denominator says: **${partsSaid(big(product), common)}**.`;
    }
    return `${partsSaid(big(top), big(bottom))} counted in parts of both denominators, ${bottom} ${say.times} ${other} = ${common} to the whole: **${partsSaid(big(product), common)}**.`;
  },
};

type BottomValues = { readonly left: string; readonly right: string; readonly product: string };

const bottoms: Wording<BottomValues> = {
  digit: ({ left, right, product }, say) =>
    `Denominators: ${left} ${say.times} ${right} = **${product}**.`,
  value: ({ left, right, product }, say) =>
    `A whole has ${left} ${say.times} ${right} = **${product}** of these parts.`,
};

type CombineValues = {
  readonly tops: readonly string[];
  readonly bottom: string;
  readonly made: string;
  readonly difference: boolean;
  /** Whether the smaller is taken from the larger, the wrong way round. */
  readonly turned: boolean;
};

const combine: Wording<CombineValues> = {
  digit: ({ tops, bottom, made, difference, turned }) =>
    tops.length === 1
      ? `Parts: **${fracText({ top: big(made), bottom: big(bottom) })}**.`
      : `${tops.join(difference ? ' − ' : ' + ')} = ${made.replace('-', '−')}: **${fracText({ top: big(made), bottom: big(bottom) })}**${turned ? ', the smaller from the larger' : ''}.`,
  value: ({ tops, bottom, made, difference, turned }, say) => {
    const all = tops.map((top) => partsSaid(big(top), big(bottom)));
    const result = `**${partsSaid(big(made), big(bottom))}**`;
    if (all.length === 1) return `The parts are ${result}.`;
    if (difference && big(made) === 0n) {
      return `${say.opening(say.minus(all[0]!, all[1]!))}: **nothing** is left.`;
    }
    if (turned)
      return `${all[1]} are fewer than ${all[0]}, but they are taken from them: ${result}.`;
    return difference
      ? `${say.opening(say.minus(all[0]!, all[1]!))}: ${result}.`
      : `${say.opening(say.list(all))} are ${result}.`;
  },
};

type LargerValues = { readonly bottom: string; readonly made: string };

const largerBottom: Wording<LargerValues> = {
  digit: ({ bottom, made }) => `Over the larger denominator, ${bottom}, as they are: **${made}**.`,
  value: ({ bottom, made }) =>
    `All are counted as ${partsNamed(big(bottom))}, whatever they were: **${made}**.`,
};

type SlippedTidyValues = { readonly slip: string; readonly from: string; readonly made: string };

/** A result that is not brought to lowest terms as it should be. */
const slippedTidy: Wording<SlippedTidyValues> = {
  digit: ({ slip, from, made }) =>
    slip === 'unreduced'
      ? `${from} is left as it is.`
      : `Of ${from} ${TIDY_WORDS[slip] ?? ''}: **${made}**.`,
  value: ({ slip, from, made }) =>
    slip === 'unreduced'
      ? `The amount is right, and ${from} is not brought to lowest terms.`
      : `${from} is taken for **${made}**, which is another amount.`,
};

const TIDY_WORDS: Readonly<Record<string, string>> = {
  'one-number-reduced': 'only the numerator is divided',
  'unlike-factors-reduced': 'both numbers are divided, by unlike factors',
  'figures-struck': 'a figure that stands above and below is struck',
};

type TopsBottomsValues = { readonly made: string };

const topsAndBottoms: Wording<TopsBottomsValues> = {
  digit: ({ made }) => `Numerators together and denominators together: **${made}**.`,
  value: ({ made }) =>
    `Parts of different size are counted as if they were alike, and the denominators too: **${made}**.`,
};

type WholesValues = {
  readonly wholes: readonly string[];
  readonly made: string;
  readonly difference: boolean;
};

const wholes: Wording<WholesValues> = {
  digit: ({ wholes: all, made, difference }) =>
    all.length === 1
      ? `Wholes: **${made}**.`
      : `Wholes: ${all.join(difference ? ' − ' : ' + ')} = **${made}**.`,
  value: ({ wholes: all, made, difference }, say) => {
    const count = (text: string) => `${text} ${text === '1' ? 'whole' : 'wholes'}`;
    if (all.length === 1) return `There ${made === '1' ? 'is' : 'are'} **${count(made)}**.`;
    return difference
      ? `${say.opening(say.minus(count(all[0]!), count(all[1]!)))}: **${count(made)}**.`
      : `${say.opening(say.list(all.map(count)))} are **${count(made)}**.`;
  },
};

type OpenValues = {
  readonly opened: string;
  readonly top: string;
  readonly bottom: string;
  readonly stays: string;
  readonly made: string;
  readonly needed: string;
  readonly slip: string;
};

const open: Wording<OpenValues> = {
  digit: ({ opened, top, bottom, stays, made, needed, slip }, say) => {
    const short = `${top} is less than ${needed}`;
    if (slip === 'one-before-numerator') {
      return `${short}: a 1 is put before the ${top}, **${made}**; ${stays} ${stays === '1' ? 'stays' : 'stay'}.`;
    }
    const parts = big(opened) * (slip === 'whole-as-ten' ? 10n : big(bottom));
    const kept = slip === 'whole-kept' ? `, but ${stays} stays` : `; ${stays} stays`;
    return `${short}: ${say.ungroup} ${opened} as ${parts}/${bottom}${kept}, and ${top} + ${parts} = **${made}**.`;
  },
  value: ({ opened, top, bottom, stays, made, needed, slip }) => {
    const b = big(bottom);
    const verb = big(top) === 1n ? 'is' : 'are';
    const fewer = `${partsSaid(big(top), b)} ${verb} fewer than ${partsSaid(big(needed), b)}`;
    if (slip === 'one-before-numerator') {
      return `${fewer}: ${opened === '1' ? 'the opened whole is' : 'the opened wholes are'} written as a 1 before them, **${partsSaid(big(made), b)}**.`;
    }
    const gives = big(opened) * (slip === 'whole-as-ten' ? 10n : b);
    const left = `${stays} ${stays === '1' ? 'whole stays' : 'wholes stay'}`;
    const act = opened === '1' ? '1 whole is opened' : `${opened} wholes are opened`;
    const wrong = slip === 'whole-kept' ? ', as if none had been opened' : '';
    return `${fewer}: ${act} into ${partsSaid(gives, b)}, which makes **${partsSaid(big(made), b)}**; ${left}${wrong}.`;
  },
};

type ImproperValues = {
  readonly whole: string;
  readonly top: string;
  readonly bottom: string;
  readonly made: string;
  readonly slip: string;
};

const improper: Wording<ImproperValues> = {
  digit: ({ whole, top, bottom, made, slip }, say) => {
    const result = `**${fracText({ top: big(made), bottom: big(bottom) })}**`;
    const over = top === '0' ? '' : ` + ${top}`;
    return slip === ''
      ? `${whole} ${say.times} ${bottom}${over} = ${made}: ${result}.`
      : `${whole}${over} = ${made}: ${result}.`;
  },
  value: ({ whole, top, bottom, made, slip }) => {
    const named = partsNamed(big(bottom));
    const result = `**${partsSaid(big(made), big(bottom))}**`;
    if (slip !== '') return `The ${whole} is counted as ${whole} ${named} only: ${result}.`;
    const all = big(whole) * big(bottom);
    const start = `${whole} ${whole === '1' ? 'whole is' : 'wholes are'} ${partsSaid(all, big(bottom))}`;
    return top === '0'
      ? `${start}: ${result}.`
      : `${start}, and ${partsSaid(big(top), big(bottom))} more: ${result}.`;
  },
};

type TidyValues = {
  readonly top: string;
  readonly bottom: string;
  readonly by: string;
  readonly how: string;
};

/** Whether both numbers of a fraction can be divided, and by what. */
const tidy: Wording<TidyValues> = {
  digit: ({ top, bottom, by, how: found }, say) => {
    const how = found.replaceAll('×', say.times);
    const small = { top: big(top) / big(by), bottom: big(bottom) / big(by) };
    if (by === '1') return `${how}: no factor but 1, so **${fracText(small)}** stays.`;
    return `${how}: ${top} ÷ ${by} = ${small.top}, ${bottom} ÷ ${by} = ${small.bottom}: **${fracText(small)}**.`.replaceAll(
      '-',
      '−',
    );
  },
  value: ({ top, bottom, by, how: found }, say) => {
    const how = found.replaceAll('×', say.times);
    const [t, b, f] = [big(top), big(bottom), big(by)];
    if (f === 1n)
      return `Nothing to ${say.words.simplify}: ${lower(how)}; no factor but 1 is in both.`;
    return `Every ${by} of the ${partsNamed(b)} make one of the ${partsNamed(b / f)}: ${partsSaid(t, b)} ${magnitude(t) === 1n ? 'is' : 'are'} **${partsSaid(t / f, b / f)}**.`;
  },
};

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

type FormValues = {
  readonly top: string;
  readonly bottom: string;
  readonly whole: string;
  readonly rest: string;
  readonly others: string;
  readonly answer: string;
  readonly slip: string;
};

const form: Wording<FormValues> = {
  digit: ({ top, bottom, whole, rest, others, answer, slip }) => {
    const division = `${top} ÷ ${bottom} = ${whole}${rest === '0' ? '' : ` r ${rest}`}`.replaceAll(
      '-',
      '−',
    );
    if (slip !== '') return `${division}, written as **${answer}**.`;
    return others === '0'
      ? `${division}: **${answer}**.`
      : `${division}, and ${others}: **${answer}**.`;
  },
  value: ({ bottom, whole, rest, others, answer, slip }) => {
    if (slip === 'whole-forgotten') return `Only the part is written: **${answer}**.`;
    if (slip === 'whole-lost-turning-back') {
      return `Only what is over is written, **${answer}**; the ${whole === '1' ? 'whole is' : 'wholes are'} lost.`;
    }
    if (slip !== '')
      return `The wholes are written as parts and what is over as wholes: **${answer}**.`;
    const [b, w] = [big(bottom), magnitude(big(whole))];
    const beside = others === '0' ? '' : ` and ${others} ${others === '1' ? 'whole' : 'wholes'}`;
    if (b === 1n) return `${w} ${w === 1n ? 'whole' : 'wholes'}${beside}: **${answer}**.`;
    const below = answer.startsWith('−') || answer.startsWith('-') ? ' below zero' : '';
    const groups = `${b} of the ${partsNamed(b)} are a whole; there ${w === 1n ? 'is' : 'are'} ${w} of them${below}`;
    const over = rest === '0' ? '' : `, and ${partsSaid(magnitude(big(rest)), b)} over`;
    const more = others === '0' ? '' : `, beside ${others} ${others === '1' ? 'whole' : 'wholes'}`;
    return `${groups}${over}${more}: **${answer}**.`;
  },
};

type AnswerValues = {
  readonly whole: string;
  readonly part: string;
  readonly answer: string;
  /** Whether the wholes are forgotten. */
  readonly forgotten: boolean;
};

const together: Wording<AnswerValues> = {
  digit: ({ answer, forgotten }) =>
    forgotten ? `Only the part is written: **${answer}**.` : `Wholes and part: **${answer}**.`,
  value: ({ whole, part, answer, forgotten }) =>
    forgotten
      ? `${part} is handed in, and the ${whole} ${whole === '1' ? 'whole is' : 'wholes are'} forgotten.`
      : `${whole} ${whole === '1' ? 'whole' : 'wholes'} and ${part} are **${answer}**.`,
};

type NamedValues = { readonly name: string };

const named: Wording<NamedValues> = {
  digit: ({ name }) => name,
  value: ({ name }) => name,
};

/** The wordings of all fraction methods. */
export const fractionPhrases = definePhrases({
  'fraction.find': find,
  'fraction.rename': rename,
  'fraction.cross': cross,
  'fraction.bottoms': bottoms,
  'fraction.combine': combine,
  'fraction.tops-and-bottoms': topsAndBottoms,
  'fraction.larger-bottom': largerBottom,
  'fraction.slipped-tidy': slippedTidy,
  'fraction.wholes': wholes,
  'fraction.open': open,
  'fraction.improper': improper,
  'fraction.tidy': tidy,
  'fraction.form': form,
  'fraction.together': together,
  'fraction.named': named,
  'fraction.answer': fixed('the answer'),
});
