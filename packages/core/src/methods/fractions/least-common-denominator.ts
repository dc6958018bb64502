import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { problemSign, type Problem } from '../../problem/problem.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { tableSheet, type TableSign } from './fraction-sheet.ts';
import {
  acceptsFractions,
  combineParts,
  findCommon,
  largerBottom,
  openOperands,
  renameAll,
  topsAndBottoms,
  type Counted,
} from './fraction-work.ts';
import { fractionPhrases } from './fraction-words.ts';
import { RENAMING_SLIPS, TIDYING_SLIPS } from './fraction-slips.ts';
import { FIND, FORM, SIMPLIFY, TOPS_AND_BOTTOMS, TURNING_SLIPS } from './schools.ts';
import { tidyUp } from './tidy.ts';

/** Rows of the paper. */
const [GIVEN, LISTS, FACTORS, RENAMED, RESULT, TIDY] = [0, 1, 2, 3, 4, 5];

export const leastCommonDenominator = defineMethod({
  id: 'least-common-denominator',
  family: 'fractions',
  name: 'Least common denominator',
  shortName: 'Least common',
  alsoCalled: ['like denominators first', 'common denominator method'],
  summary:
    'Every fraction is rewritten over the least denominator that all of them can have; then the numerators are put together.',
  why: 'Cutting every part alike changes no amount, and like parts can be counted together.',
  leadsTo: 'Equivalent fractions, and common multiples.',
  medium: 'on paper',
  direction: 'denominators first, then numerators, then the form of the answer',
  freeOrder: false,
  schools: [FIND, SIMPLIFY, FORM],
  slips: [
    TOPS_AND_BOTTOMS,
    slipOf('larger-bottom-taken'),
    slipOf('like-bottoms-multiplied'),
    ...RENAMING_SLIPS,
    ...TIDYING_SLIPS,
    ...TURNING_SLIPS,
  ],
  linesLike: { rank: 10, moves: ['rename'] },
  phrases: fractionPhrases.book,
  accepts: acceptsFractions('no wholes'),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const operands = openOperands(scribe, problem, (k) => ({ whole: [GIVEN, k], part: [GIVEN, k] }));
  const parts = operands.map(({ part, frac, sign, index }): Counted => ({
    entry: part!,
    frac: frac!,
    sign,
    operand: index,
  }));
  const unlike = new Set(parts.map(({ frac }) => frac.bottom)).size > 1;
  const wrong = unlike ? topsAndBottoms(scribe, parts, [RESULT, 0], parts.length - 1) : null;
  const larger = unlike && !wrong ? largerBottom(scribe, parts, [RESULT, 0]) : null;
  const made = wrong ?? larger ?? throughCommon(scribe, parts, school);
  return tidyUp(scribe, { ...made, whole: null }, school, TIDY);
}

function throughCommon(scribe: Scribe, parts: readonly Counted[], school: School) {
  const bottoms = parts.map(({ frac }) => frac.bottom);
  const common = findCommon(scribe, bottoms, school, {
    list: (k) => [LISTS, k],
    common: [LISTS, parts.length],
  });
  const [bottom = 1n] = bottoms;
  const isAlike = parts.length === 2 && bottoms.every((one) => one === bottom) && bottom > 1n;
  const multiplied = scribe.slip('like-bottoms-multiplied', isAlike, { at: where('answer', 0) });
  const renamed = renameAll(scribe, parts, multiplied ? bottom * bottom : common, {
    factor: (k) => [FACTORS, k],
    renamed: (k) => [RENAMED, k],
  });
  return combineParts(scribe, renamed, [RESULT, 0]);
}

function sheet(trace: Trace): Sheet {
  const { problem, steps } = trace;
  const sign = problemSign(problem.kind) === '+' ? 'plus' : 'minus';
  const rowsWith = (row: number) =>
    steps.some(({ gives }) => gives.some(({ spot }) => spot.row === row));
  const between = (row: number): readonly TableSign[] =>
    problem.operands.slice(1).map((_, k) => ({ sign, row, column: k + 1 }));
  const results = [...new Set(steps.flatMap(({ gives }) => gives.map(({ spot }) => spot.row)))];
  return tableSheet(trace, {
    signs: [
      ...between(GIVEN),
      ...(rowsWith(RENAMED) ? between(RENAMED) : []),
      ...results
        .filter((row) => row >= RENAMED)
        .map((row): TableSign => ({ sign: 'equals', row, column: 0 })),
    ],
  });
}
