import type { ComparisonDocument } from '@levee/core';
import { comparison } from './demo-comparison.ts';

/** Ways that are in no book, beside methods and beside each other: right, wrong, and with an equals sign that says “and then”. */
export const OWN_LINE_COMPARISONS: readonly ComparisonDocument[] = [
  comparison({
    title: 'Two ways of a class: crates of couplings',
    story: '34 crates with 98 hose couplings each',
    unit: 'couplings',
    units: ['crates', 'couplings per crate'],
    tags: ['own lines', 'spring course'],
    counted: true,
    problem: '34 × 98',
    estimate: null,
    papers: [
      ['grid-multiplication'],
      { lines: ['= 34 × 100 − 34 × 2', '= 3400 − 68', '= 3332'], code: 'T07' },
      { lines: ['= 17 × 196', '= 17 × 200 − 17 × 4', '= 3400 − 68', '= 3332'], code: 'T11' },
    ],
    steps: [7, 9, 9],
  }),
  comparison({
    title: 'What was too much, taken once more',
    story: '503 m of bank, 268 m of it faced with stone',
    unit: 'm',
    tags: ['own lines'],
    problem: '503 − 268',
    estimate: null,
    papers: [
      { lines: ['= 503 − 300 − 32', '= 203 − 32', '= 171'], code: 'K03' },
      { lines: ['= 535 − 300', '= 235'], code: 'K08' },
      { lines: ['268 +32→ 300 +203→ 503', '= 235'], code: 'K12' },
    ],
    steps: [9, 9, 9],
  }),
  comparison({
    title: 'An equals sign that says “and then”',
    story: 'four gauge readings along the weir',
    unit: 'cm',
    tags: ['own lines', 'equals sign'],
    problem: '6 + 8 + 5 + 9',
    estimate: null,
    papers: [
      ['running-total'],
      { lines: ['6 + 8 = 14 + 5 = 19 + 9 = 28'], code: 'K05' },
      { lines: ['= 14 + 14', '= 28'], code: 'K09' },
    ],
    steps: [4, 9, 9],
  }),
  comparison({
    title: 'By the right number, and by the wrong one',
    story: '864 stakes in bundles of 6',
    unit: 'bundles',
    tags: ['own lines'],
    counted: true,
    problem: '864 ÷ 6',
    estimate: null,
    papers: [
      ['partial-quotients'],
      { lines: ['= 600 ÷ 6 + 264 ÷ 6', '= 100 + 44', '= 144'], code: 'T02' },
      {
        lines: ['~= 864 ÷ 4 + 864 ÷ 2', 'the divisor does not fall apart', '= 432 ÷ 3', '= 144'],
        code: 'T09',
      },
    ],
    steps: [11, 9, 9],
  }),
  comparison({
    title: 'Twelfths without being told',
    story: 'a hatch 2/3 m high on a sill of 1/4 m',
    unit: 'm',
    tags: ['own lines', 'fractions'],
    problem: '2/3 + 1/4',
    estimate: null,
    papers: [
      ['least-common-denominator'],
      { lines: ['8 twelfths + 3 twelfths', '= 11/12'], code: 'T04' },
      { lines: ['= 3/7'], code: 'T13' },
    ],
    steps: [5, 9, 9],
  }),
  comparison({
    title: 'Brackets, one kept whole',
    story: '',
    unit: '',
    tags: ['own lines', 'letters'],
    problem: '(x + 5)(2x − 3)',
    estimate: null,
    papers: [
      ['expand-grid'],
      {
        lines: ['= 2x(x + 5) − 3(x + 5)', '= 2x^2 + 10x − 3x − 15', '= 2x^2 + 7x − 15'],
        name: 'second bracket apart',
      },
    ],
    steps: [7, 9],
  }),
];
