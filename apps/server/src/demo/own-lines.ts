import type { ComparisonDocument } from '@levee/core';
import { comparison } from './demo-comparison.ts';

/** Ways that are in no book, beside methods and beside each other: right, wrong, and with an equals sign that says “and then”. */
export const OWN_LINE_COMPARISONS: readonly ComparisonDocument[] = [
  comparison({
    title: 'Two ways of a class: pallets of sandbags',
    story: 'sandbags on 46 pallets of 58',
    unit: 'bags',
    units: ['pallets', 'bags per pallet'],
    tags: ['own lines', 'north bank'],
    counted: true,
    problem: '46 × 58',
    estimate: null,
    papers: [
      ['grid-multiplication'],
      { lines: ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'], code: 'T07' },
      { lines: ['= 23 × 116', '= 20 × 116 + 3 × 116', '= 2320 + 348', '= 2668'], code: 'T11' },
    ],
    steps: [7, 4, 5],
  }),
  comparison({
    title: 'Where the lines part: what was too much',
    story: '642 m of bank, 387 m of it faced with stone',
    unit: 'm',
    tags: ['own lines'],
    problem: '642 − 387',
    estimate: null,
    papers: [
      { lines: ['642 − 400 = 242', '242 − 13 = 229'], code: 'K03' },
      { lines: ['= 655 − 400', '= 255'], code: 'K08' },
      { lines: ['387 +13→ 400 +242→ 642', '= 255'], code: 'K12' },
    ],
    steps: [0, 2, 3],
  }),
  comparison({
    title: 'An equals sign that says “and then”',
    story: 'four gauge readings along the weir',
    unit: 'cm',
    tags: ['own lines', 'equals sign'],
    problem: '7 + 9 + 4 + 8',
    estimate: null,
    papers: [
      ['running-total'],
      { lines: ['7 + 9 = 16 + 4 = 20 + 8 = 28'], code: 'K05' },
      { lines: ['= 16 + 12', '= 28'], code: 'K09' },
    ],
    steps: [4, 1, 2],
  }),
  comparison({
    title: 'By the right factor, and by the wrong one',
    story: '952 stakes in bundles of 7',
    unit: 'bundles',
    tags: ['own lines'],
    counted: true,
    problem: '952 ÷ 7',
    estimate: null,
    papers: [
      ['partial-quotients'],
      { lines: ['= 700 ÷ 7 + 252 ÷ 7', '= 100 + 36', '= 136'], code: 'T02' },
      {
        lines: ['= 952 ÷ 5 + 952 ÷ 2', '~= 190.4 + 476', 'the divisor does not fall apart'],
        code: 'T09',
      },
    ],
    steps: [3, 4, 1],
  }),
  comparison({
    title: 'Twelfths without being told',
    story: 'a hatch 3/4 m high on a sill of 1/6 m',
    unit: 'm',
    tags: ['own lines', 'fractions'],
    problem: '3/4 + 1/6',
    estimate: null,
    papers: [
      ['least-common-denominator'],
      { lines: ['9 twelfths + 2 twelfths', '= 11/12'], code: 'T04' },
      { lines: ['= 4/10'], code: 'T13' },
    ],
    steps: [3, 3, 1],
  }),
  comparison({
    title: 'Brackets, one kept whole',
    story: '',
    unit: '',
    tags: ['own lines', 'letters'],
    problem: '(x + 4)(3x − 2)',
    estimate: null,
    papers: [
      ['expand-grid'],
      {
        lines: ['= 3x(x + 4) − 2(x + 4)', '= 3x^2 + 12x − 2x − 8', '= 3x^2 + 10x − 8'],
        name: 'the second bracket taken apart',
      },
    ],
    steps: [4, 3],
  }),
];
