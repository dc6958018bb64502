import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { fracText, worthOf, type Frac } from '../fractions/fraction.ts';
import { TIDYING_SLIPS } from '../fractions/fraction-slips.ts';
import { ADDED_WHOLE, FORM, SIMPLIFY, TURNING_SLIPS } from '../fractions/schools.ts';
import { tidyUp } from '../fractions/tidy.ts';
import {
  acceptsFactors,
  asFractions,
  cancelled,
  multiplied,
  openShare,
  writeRow,
  type Row,
} from './factors.ts';
import { factorSheet } from './factor-sheet.ts';
import { productPhrases } from './product-words.ts';
import { CANCEL } from './schools.ts';

const { phrase } = productPhrases;

/** Rows of the paper: the quotient, the same as fractions, the product that it is, then what is cancelled. */
const [GIVEN, IMPROPER, TURNED, CANCELLED] = [0, 1, 2, 3];

/** In the order in which their chances are named. */
const TURNING = ['dividend-turned', 'nothing-turned', 'both-turned'] as const;
type TurningSlip = (typeof TURNING)[number] | '';

export const fractionReciprocal = defineMethod({
  id: 'fraction-reciprocal',
  family: 'fraction-products',
  name: 'Times the reciprocal',
  shortName: 'Reciprocal',
  alsoCalled: ['turn and multiply', 'by the inverse'],
  summary: 'The divisor is turned upside down, and what is divided is multiplied by that.',
  why: 'Both numbers may be multiplied alike: by the reciprocal of the divisor, which makes the divisor 1.',
  leadsTo: 'Dividing by anything but zero as multiplying by its inverse.',
  medium: 'on paper',
  direction: 'as fractions, the divisor turned, then a product',
  freeOrder: false,
  schools: [CANCEL, SIMPLIFY, FORM],
  slips: [
    ADDED_WHOLE,
    ...TURNING.map(slipOf),
    slipOf('same-side-cancelled'),
    ...TIDYING_SLIPS,
    ...TURNING_SLIPS,
  ],
  phrases: productPhrases.book,
  accepts: acceptsFactors('quotient'),
  work,
  sheet: (trace: Trace): Sheet =>
    factorSheet(trace, 'divide', (row) => (row >= TURNED ? 'times' : 'divide')),
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const owed = openShare(scribe, problem, GIVEN);
  const fractions = asFractions(scribe, problem, owed, { row: IMPROPER, sign: '÷' });
  const turned = turnedOver(scribe, fractions);
  const isBefore = school['cancel'] === 'before';
  const { made: row, row: next } = isBefore
    ? cancelled(scribe, turned, CANCELLED)
    : { made: turned, row: CANCELLED };
  const factors = {
    tops: row.all.map(({ top }) => top),
    bottoms: row.all.map(({ bottom }) => bottom),
    slip: '',
  };
  const made = multiplied(scribe, row.entry, factors, next);
  return tidyUp(scribe, { entry: made.entry, frac: made.frac, whole: null }, school, made.row);
}

function upsideDown({ top, bottom }: Frac): Frac {
  return { top: bottom, bottom: top };
}

/** The two factors that a quotient becomes: rightly, or as a learner has it. */
function factorsOf(slip: TurningSlip, dividend: Frac, divisor: Frac): readonly [Frac, Frac] {
  switch (slip) {
    case 'dividend-turned':
      return [upsideDown(dividend), divisor];
    case 'nothing-turned':
      return [dividend, divisor];
    case 'both-turned':
      return [upsideDown(dividend), upsideDown(divisor)];
    case '':
      return [dividend, upsideDown(divisor)];
  }
}

function turnedOver(scribe: Scribe, before: Row): Row {
  const [dividend, divisor] = before.all as readonly [Frac, Frac];
  const worth = ([a, b]: readonly [Frac, Frac]) => worthOf(a).times(worthOf(b));
  const due = worth(factorsOf('', dividend, divisor));
  const made = TURNING.filter((slip) => {
    const may = dividend.top > 0n && !worth(factorsOf(slip, dividend, divisor)).equals(due);
    return scribe.slip(slip, may, { at: where('operand', 1) });
  });
  const slip = made[0] ?? '';
  const all = factorsOf(slip, dividend, divisor);
  return writeRow(
    scribe,
    before.entry,
    { texts: all.map(fracText), all, written: [0, 1], row: TURNED, sign: '×' },
    {
      law: 'scale-both',
      phase: { kind: 'turn' },
      phrase: phrase('factors.turn', {
        dividend: fracText(dividend),
        divisor: fracText(divisor),
        turned: slip === '' ? fracText(all[1]) : all.map(fracText).join(' × '),
        slip,
      }),
    },
  );
}
