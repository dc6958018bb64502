import { Exact } from '../../exact/exact.ts';
import { definePhrases, plain, type Wording } from '../../phrases/phrasebook.ts';
import { divisionPhrases } from './division-words.ts';

type ChunkValues = {
  readonly chunk: Exact;
  readonly divisor: Exact;
  readonly product: Exact;
  readonly left: Exact;
};

const chunk: Wording<ChunkValues> = {
  digit: ({ chunk: by, divisor, product }, say) =>
    `**${say.worth(by)}** ${say.times} ${say.worth(divisor)} = **${say.worth(product)}**.`,
  value: ({ chunk: by, divisor, product, left }, say) =>
    `${say.worth(by)} times the divisor ${say.worth(divisor)} can be taken from ${say.worth(left)}: **${say.worth(product)}** off the dividend, **${say.worth(by)}** to the quotient.`,
};

type TakeValues = {
  readonly from: Exact;
  readonly product: Exact;
  readonly left: Exact;
  readonly divisor: Exact;
};

const take: Wording<TakeValues> = {
  digit: ({ from, product, left }, say) =>
    `${say.opening(say.minus(say.worth(from), say.worth(product)))} is **${say.worth(left)}**.`,
  value: ({ left, divisor }, say) =>
    left.isZero
      ? `Nothing is left to share.`
      : `**${say.worth(left)}** ${left.equals(Exact.ONE) ? 'is' : 'are'} still to be shared by ${say.worth(divisor)}.`,
};

type TotalValues = {
  readonly chunks: readonly Exact[];
  readonly to: Exact;
  readonly slip: string;
};

const TOTAL_WORDS: Readonly<Record<string, string>> = {
  'skip-chunk': ', with one chunk passed over',
  'chunk-ten-times-off': ', with one chunk ten times too small',
  'products-added': ', but these are the products, not the chunks',
};

const total: Wording<TotalValues> = {
  digit: ({ chunks, to, slip }, say) => {
    const wrong = TOTAL_WORDS[slip] ?? '';
    if (chunks.length === 0) return `No chunk fits: the quotient is **${say.worth(to)}**.`;
    if (chunks.length === 1 && slip === '') return `There is one chunk: **${say.worth(to)}**.`;
    const sum =
      chunks.length > 8
        ? `${chunks.length} chunks`
        : chunks.map((one) => say.worth(one)).join(' + ');
    return `${sum} = **${say.worth(to)}**${wrong}.`;
  },
  value: ({ chunks, to, slip }, say) =>
    chunks.length === 0
      ? `The divisor does not fit once: **${say.worth(to)}**.`
      : `All chunks together say how often the divisor was taken: **${say.worth(to)} ${to.equals(Exact.ONE) ? 'time' : 'times'}**${TOTAL_WORDS[slip] ?? ''}.`,
};

/** The wordings of partial quotients. */
export const chunkPhrases = definePhrases({
  ...divisionPhrases.wordings,
  'chunks.chunk': chunk,
  'chunks.take': take,
  'chunks.total': total,
  'chunks.share': plain(({ chunk: by }: { chunk: Exact }, say) => `the chunk of ${say.worth(by)}`),
});
