import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { gcd } from '../../exact/rational.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { fracText, worthOf, type Frac } from '../fractions/fraction.ts';
import { renamed, RENAMING_SLIPS, TIDYING_SLIPS } from '../fractions/fraction-slips.ts';
import { findCommon, sideNumber, writing } from '../fractions/fraction-work.ts';
import { ADDED_WHOLE, FIND, FORM, SIMPLIFY, TURNING_SLIPS } from '../fractions/schools.ts';
import { tidyUp } from '../fractions/tidy.ts';
import { acceptsFactors, asFractions, openShare, writeRow, type Row } from './factors.ts';
import { factorSheet } from './factor-sheet.ts';
import { productPhrases } from './product-words.ts';

const { phrase } = productPhrases;

/** Rows of the paper. */
const [GIVEN, IMPROPER, LISTS, FACTORS, RENAMED, RESULT] = [0, 1, 2, 3, 4, 5];

export const fractionCommonDenominator = defineMethod({
  id: 'fraction-common-denominator',
  family: 'fraction-products',
  name: 'Counts of one part',
  shortName: 'Counts of one part',
  alsoCalled: ['common denominator division'],
  summary: 'Both numbers are counted in the same parts, and the counts are divided.',
  why: 'How often one amount goes into another does not depend on the parts in which both are counted.',
  leadsTo: 'Division as measuring: how many times, in any unit.',
  medium: 'on paper',
  direction: 'as fractions, one denominator, then the counts',
  freeOrder: false,
  schools: [FIND, SIMPLIFY, FORM],
  slips: [
    ADDED_WHOLE,
    ...RENAMING_SLIPS,
    slipOf('name-kept'),
    slipOf('counts-exchanged'),
    ...TIDYING_SLIPS,
    ...TURNING_SLIPS,
  ],
  phrases: productPhrases.book,
  accepts: acceptsFactors('quotient'),
  work,
  sheet: (trace: Trace): Sheet => factorSheet(trace, 'divide'),
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const owed = openShare(scribe, problem, GIVEN);
  const both = asFractions(scribe, problem, owed, { row: IMPROPER, sign: '÷' });
  const common = findCommon(
    scribe,
    both.all.map(({ bottom }) => bottom),
    school,
    { list: (k) => [LISTS, k], common: [LISTS, 2] },
  );
  const row = renamedBoth(scribe, both, common);
  const [dividend, divisor] = row.all as readonly [Frac, Frac];
  const { slip, made } = countsDivided(scribe, dividend, divisor);
  const [entry] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'counts' },
    takes: [row.entry],
    writes: [writing('subtotal', fracText(made), worthOf(made), [RESULT, 0])],
    phrase: phrase('factors.counts', {
      dividend: `${dividend.top}`,
      divisor: `${divisor.top}`,
      bottom: `${common}`,
      made: fracText(made),
      slip,
    }),
  });
  return tidyUp(scribe, { entry: entry!, frac: made, whole: null }, school, RESULT + 1);
}

/** Both numbers over the common denominator; those that have it already stay. */
function renamedBoth(scribe: Scribe, before: Row, common: bigint): Row {
  const stays = before.all.flatMap(({ bottom }, k) => (bottom === common ? [k] : []));
  return before.all.reduce((now, frac, operand): Row => {
    if (frac.bottom === common) return now;
    const by = common / frac.bottom;
    const other = before.all[1 - operand];
    const otherBy = other ? common / other.bottom : null;
    // Of nothing the answer is nothing, whatever the divisor is renamed to.
    const matters = before.all.every(({ top }) => top !== 0n);
    const of = { frac, common, by, otherBy, operand };
    const { slip, made, beside } = renamed(scribe, of, matters);
    return writeRow(
      scribe,
      now.entry,
      {
        texts: now.texts.with(operand, fracText(made)),
        all: now.all.with(operand, made),
        // What has the denominator already is written beside the one that gets it.
        written: [operand, ...stays],
        row: RENAMED,
        sign: '÷',
        beside: [sideNumber(beside, [FACTORS, operand])],
      },
      {
        law: 'scale-both',
        phase: { kind: 'rename' },
        phrase: phrase('fraction.rename', {
          top: `${frac.top}`,
          bottom: `${frac.bottom}`,
          by: `${by}`,
          to: `${made.top}`,
          otherBy: `${otherBy ?? 1n}`,
          slip,
        }),
      },
    );
  }, before);
}

/** The quotient of the counts as a fraction: rightly, or as a learner has it. */
function countsDivided(scribe: Scribe, dividend: Frac, divisor: Frac) {
  const due: Frac = { top: dividend.top, bottom: divisor.top };
  const kept: Frac = {
    top: dividend.top / gcd(dividend.top, divisor.top),
    bottom: (divisor.top / gcd(dividend.top, divisor.top)) * dividend.bottom,
  };
  const at = where('answer', 0);
  const may = dividend.top > 0n && divisor.top > 0n;
  const keeps = scribe.slip('name-kept', may && dividend.bottom > 1n, { at });
  const turns = scribe.slip('counts-exchanged', may && dividend.top !== divisor.top, { at });
  if (keeps) return { slip: 'name-kept', made: kept };
  if (turns) return { slip: 'counts-exchanged', made: { top: due.bottom, bottom: due.top } };
  return { slip: '', made: due };
}
