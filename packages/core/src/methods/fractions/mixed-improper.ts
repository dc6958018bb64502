import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { problemSign, type Problem } from '../../problem/problem.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { fracText, worthOf, type Frac } from './fraction.ts';
import { tableSheet, type TableSign } from './fraction-sheet.ts';
import {
  acceptsFractions,
  combineParts,
  findCommon,
  openOperands,
  renameAll,
  sideNumber,
  writing,
  type Counted,
  type Operand,
} from './fraction-work.ts';
import { fractionPhrases } from './fraction-words.ts';
import { RENAMING_SLIPS, TIDYING_SLIPS } from './fraction-slips.ts';
import { ADDED_WHOLE, FIND, SIMPLIFY, TURNING_SLIPS } from './schools.ts';
import { tidyUp } from './tidy.ts';

const { phrase } = fractionPhrases;

/** Rows of the paper; an operand has a column for its whole and one for its fraction. */
const [GIVEN, IMPROPER, LISTS, FACTORS, RENAMED, RESULT, TIDY] = [0, 1, 2, 3, 4, 5, 6];

export const mixedImproper = defineMethod({
  id: 'mixed-improper',
  family: 'fractions',
  name: 'Through improper fractions',
  shortName: 'Improper',
  alsoCalled: ['turn, work, turn back'],
  summary:
    'Mixed numbers become improper fractions, these are put together, and the result is turned back.',
  why: 'A whole is as many parts as its denominator says, so nothing but parts is counted.',
  leadsTo: 'Dividing with remainder, and every later computation with fractions.',
  medium: 'on paper',
  direction: 'all numbers into parts, then the parts, then back into wholes',
  freeOrder: false,
  schools: [FIND, SIMPLIFY],
  slips: [ADDED_WHOLE, ...RENAMING_SLIPS, ...TIDYING_SLIPS, ...TURNING_SLIPS],
  phrases: fractionPhrases.book,
  accepts: acceptsFractions('some wholes'),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const operands = openOperands(scribe, problem, (k) => ({
    whole: [GIVEN, 2 * k],
    part: [GIVEN, 2 * k + 1],
  }));
  const parts = operands.map((operand) => turned(scribe, operand, operands));
  const common = findCommon(
    scribe,
    parts.map(({ frac }) => frac.bottom),
    school,
    { list: (k) => [LISTS, 2 * k + 1], common: [LISTS, 2 * operands.length] },
  );
  const renamed = renameAll(scribe, parts, common, {
    factor: (k) => [FACTORS, 2 * k + 1],
    renamed: (k) => [RENAMED, 2 * k + 1],
  });
  const made = combineParts(scribe, renamed, [RESULT, 0]);
  return tidyUp(scribe, { ...made, whole: null }, { ...school, answer: 'mixed' }, TIDY);
}

/** An operand as parts alone. A whole number by itself takes the denominator of another one. */
function turned(scribe: Scribe, operand: Operand, all: readonly Operand[]): Counted {
  const { index, sign, count, whole, part, frac } = operand;
  const own = frac ?? { top: 0n, bottom: all.find((one) => one.frac)!.frac!.bottom };
  if (!whole) return { entry: part!, frac: own, sign, operand: index };
  const wrong = scribe.slip(ADDED_WHOLE.id, count > 0n && own.bottom > 1n, {
    at: where('operand', index),
  });
  const top = (wrong ? count : count * own.bottom) + own.top;
  const made: Frac = { top, bottom: own.bottom };
  const over = own.top === 0n ? '' : `+${own.top}`;
  const [, entry] = scribe.step({
    law: 'scale-both',
    phase: { kind: 'improper' },
    takes: part ? [whole, part] : [whole],
    writes: [
      sideNumber(wrong ? `${count}${over}` : `${count}×${own.bottom}${over}`, [
        IMPROPER,
        2 * index,
      ]),
      writing('renamed fraction', fracText(made), worthOf({ ...made, top: top * sign }), [
        IMPROPER,
        2 * index + 1,
      ]),
    ],
    phrase: phrase('fraction.improper', {
      whole: `${count}`,
      top: `${own.top}`,
      bottom: `${own.bottom}`,
      made: `${top}`,
      slip: wrong ? ADDED_WHOLE.id : '',
    }),
  });
  return { entry: entry!, frac: made, sign, operand: index };
}

function sheet(trace: Trace): Sheet {
  const { problem, steps } = trace;
  const sign = problemSign(problem.kind) === '+' ? 'plus' : 'minus';
  const filled = [...new Set(steps.flatMap(({ gives }) => gives.map(({ spot }) => spot.row)))];
  const between = (row: number): readonly TableSign[] =>
    problem.operands.slice(1).map((_, k) => ({ sign, row, column: 2 * (k + 1) }));
  return tableSheet(trace, {
    signs: [
      ...between(GIVEN),
      ...[IMPROPER, RENAMED].flatMap((row) => (filled.includes(row) ? between(row) : [])),
      ...filled
        .filter((row) => row >= RESULT)
        .map((row): TableSign => ({ sign: 'equals', row, column: 0 })),
    ],
  });
}
