import { GROUPINGS } from '../exact/notation.ts';

/** Words on which practitioners differ, each with the options a user may choose; default first. */
export const VOCABULARY = {
  carry: {
    label: 'Moving ten of a place to the next',
    options: ['carry', 'regroup', 'trade', 'hold'],
  },
  ungroup: {
    label: 'Opening one of a place into ten of the next lower',
    options: ['regroup', 'borrow', 'exchange', 'ungroup', 'trade'],
  },
  minus: { label: 'How a subtraction is said', options: ['minus', 'take away', 'less'] },
  ones: { label: 'The rightmost place of a whole number', options: ['ones', 'units'] },
  times: { label: 'The times sign', options: ['×', '·'] },
  point: { label: 'The sign before the tenths', options: ['.', ','] },
  group: { label: 'Between threes of figures', options: GROUPINGS },
  facts: { label: 'How a product is said', options: ['times', 'lots of', 'without a verb'] },
  simplify: {
    label: 'Making the numbers of a fraction as small as they can be',
    options: ['simplify', 'reduce', 'bring to lowest terms'],
  },
  gather: {
    label: 'Putting like terms together',
    options: ['collect', 'gather', 'combine', 'simplify'],
  },
  placeholder: {
    label: 'The zero that opens a line of tens',
    options: ['place-value zero', 'placeholder'],
  },
} as const;

export type VocabularyKey = keyof typeof VOCABULARY;

/** One chosen word for each key. */
export type Vocabulary = {
  readonly [K in VocabularyKey]: (typeof VOCABULARY)[K]['options'][number];
};

export const DEFAULT_VOCABULARY: Vocabulary = {
  carry: 'carry',
  ungroup: 'regroup',
  minus: 'minus',
  ones: 'ones',
  times: '×',
  point: '.',
  group: 'nothing',
  facts: 'times',
  simplify: 'simplify',
  gather: 'collect',
  placeholder: 'place-value zero',
};

/** Takes the known words out of anything; unknown keys and words fall back to the defaults. */
export function decodeVocabulary(input: unknown): Vocabulary {
  const given = typeof input === 'object' && input !== null ? input : {};
  const chosen = Object.entries(given).filter(
    ([key, word]) =>
      key in VOCABULARY &&
      (VOCABULARY[key as VocabularyKey].options as readonly unknown[]).includes(word),
  );
  return { ...DEFAULT_VOCABULARY, ...Object.fromEntries(chosen) };
}
