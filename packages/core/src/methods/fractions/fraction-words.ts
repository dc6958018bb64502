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
  readonly slip: string;
};

const rename: Wording<RenameValues> = {
  digit: ({ top, bottom, by, to, slip }, say) => {
    const common = big(bottom) * big(by);
    const made = fracText({ top: big(to), bottom: common });
    return slip === ''
      ? `${top} ${say.times} ${by} = ${to}, ${bottom} ${say.times} ${by} = ${common}: **${made}**.`
      : `${bottom} ${say.times} ${by} = ${common}, and the ${top} stays: **${made}**.`;
  },
  value: ({ top, bottom, by, to, slip }) => {
    const common = big(bottom) * big(by);
    const made = `**${partsSaid(big(to), common)}**`;
    const [count, whole] = [big(top), big(bottom)];
    const is = magnitude(count) === 1n ? 'is' : 'are';
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
};

const cross: Wording<CrossValues> = {
  digit: ({ top, other, product }, say) => `Across: ${top} ${say.times} ${other} = **${product}**.`,
  value: ({ top, bottom, other, product }, say) => {
    const common = big(bottom) * big(other);
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
};

const combine: Wording<CombineValues> = {
  digit: ({ tops, bottom, made, difference }) =>
    tops.length === 1
      ? `Parts: **${fracText({ top: big(made), bottom: big(bottom) })}**.`
      : `${tops.join(difference ? ' − ' : ' + ')} = ${made.replace('-', '−')}: **${fracText({ top: big(made), bottom: big(bottom) })}**.`,
  value: ({ tops, bottom, made, difference }, say) => {
    const all = tops.map((top) => partsSaid(big(top), big(bottom)));
    const result = `**${partsSaid(big(made), big(bottom))}**`;
    if (all.length === 1) return `The parts are ${result}.`;
    if (difference && big(made) === 0n) {
      return `${say.opening(say.minus(all[0]!, all[1]!))}: **nothing** is left.`;
    }
    return difference
      ? `${say.opening(say.minus(all[0]!, all[1]!))}: ${result}.`
      : `${say.opening(say.list(all))} are ${result}.`;
  },
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
    const parts = big(opened) * (slip === 'whole-as-ten' ? 10n : big(bottom));
    const kept = slip === 'whole-kept' ? `, but ${stays} stays` : `; ${stays} stays`;
    return `${short}: ${say.ungroup} ${opened} as ${parts}/${bottom}${kept}, and ${top} + ${parts} = **${made}**.`;
  },
  value: ({ opened, top, bottom, stays, made, needed, slip }) => {
    const b = big(bottom);
    const verb = big(top) === 1n ? 'is' : 'are';
    const fewer = `${partsSaid(big(top), b)} ${verb} fewer than ${partsSaid(big(needed), b)}`;
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
};

const form: Wording<FormValues> = {
  digit: ({ top, bottom, whole, rest, others, answer }) => {
    const division = `${top} ÷ ${bottom} = ${whole}${rest === '0' ? '' : ` r ${rest}`}`.replaceAll(
      '-',
      '−',
    );
    return others === '0'
      ? `${division}: **${answer}**.`
      : `${division}, and ${others}: **${answer}**.`;
  },
  value: ({ bottom, whole, rest, others, answer }) => {
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

type AnswerValues = { readonly whole: string; readonly part: string; readonly answer: string };

const together: Wording<AnswerValues> = {
  digit: ({ answer }) => `Wholes and part: **${answer}**.`,
  value: ({ whole, part, answer }) =>
    `${whole} ${whole === '1' ? 'whole' : 'wholes'} and ${part} are **${answer}**.`,
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
  'fraction.wholes': wholes,
  'fraction.open': open,
  'fraction.improper': improper,
  'fraction.tidy': tidy,
  'fraction.form': form,
  'fraction.together': together,
  'fraction.named': named,
  'fraction.answer': fixed('the answer'),
});
