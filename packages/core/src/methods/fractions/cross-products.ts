import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { problemSign, type Problem } from '../../problem/problem.ts';
import type { Sheet, SheetLink } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { Exact } from '../../exact/exact.ts';
import { fracText, type Frac } from './fraction.ts';
import { tableSheet, type TableSign } from './fraction-sheet.ts';
import {
  acceptsFractions,
  combineParts,
  openOperands,
  sideNumber,
  topsAndBottoms,
  writing,
  type Counted,
  type Place,
} from './fraction-work.ts';
import { fractionPhrases } from './fraction-words.ts';
import { TIDYING_SLIPS } from './fraction-slips.ts';
import { FORM, SIMPLIFY, TOPS_AND_BOTTOMS, TURNING_SLIPS } from './schools.ts';
import { tidyUp } from './tidy.ts';

const { phrase } = fractionPhrases;

/** Rows of a stage: the products, the fractions, the product of the denominators. */
const [PRODUCTS, FRACTIONS, BOTTOMS, STAGE] = [0, 1, 2, 3];

export const crossProducts = defineMethod({
  id: 'cross-products',
  family: 'fractions',
  name: 'Cross products',
  shortName: 'Cross products',
  alsoCalled: ['the butterfly', 'multiplying across'],
  mind: 'Crossing here multiplies a numerator by the other denominator; in one-line multiplication it joins digits of one place.',
  summary:
    'Each numerator times the other denominator, over the product of the denominators; several fractions two at a time.',
  why: 'Both fractions are counted in the parts that the product of the denominators makes.',
  leadsTo: 'Adding fractions with letters, where any two denominators have at least their product.',
  medium: 'either',
  direction: 'across, across, below; then the form of the answer',
  freeOrder: false,
  schools: [SIMPLIFY, FORM],
  slips: [TOPS_AND_BOTTOMS, slipOf('cross-own-bottom'), ...TIDYING_SLIPS, ...TURNING_SLIPS],
  phrases: fractionPhrases.book,
  accepts: acceptsFractions('no wholes'),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const operands = openOperands(scribe, problem, (k) => {
    const at: Place = k === 0 ? [FRACTIONS, 0] : [(k - 1) * STAGE + FRACTIONS, 1];
    return { whole: at, part: at };
  });
  const [first, ...rest] = operands.map(({ part, frac, sign, index }): Counted => ({
    entry: part!,
    frac: frac!,
    sign,
    operand: index,
  }));
  let made = first!;
  for (const [stage, next] of rest.entries()) {
    const last = stage === rest.length - 1;
    made = crossed(scribe, made, next, stage, last ? [rest.length * STAGE, 0] : null);
  }
  return tidyUp(
    scribe,
    { entry: made.entry, frac: made.frac, whole: null },
    school,
    rest.length * STAGE + 1,
  );
}

/** Where a part is crossed: what the stages before have made is no fraction of the question. */
function partWhere({ operand }: Counted, stage: number, column: number) {
  return column === 0 && stage > 0 ? where('stage', stage) : where('operand', operand);
}

/** Two fractions crossed; the result goes where the next stage takes its first one, or to its own row. */
function crossed(
  scribe: Scribe,
  left: Counted,
  right: Counted,
  stage: number,
  end: Place | null,
): Counted {
  const row = stage * STAGE;
  const at: Place = end ?? [row + STAGE + FRACTIONS, 0];
  const unlike = left.frac.bottom !== right.frac.bottom;
  const wrong = unlike ? topsAndBottoms(scribe, [left, right], at, right.operand) : null;
  if (wrong) return { ...left, ...wrong };
  const bottom = left.frac.bottom * right.frac.bottom;
  const products = [
    [left, right.frac.bottom, 0],
    [right, left.frac.bottom, 1],
  ] as const;
  const crossedParts = products.map(([part, other, column]): Counted => {
    const may = part.frac.top !== 0n && part.frac.bottom !== other;
    const at = partWhere(part, stage, column);
    const own = scribe.slip('cross-own-bottom', may, { at });
    const made: Frac = { top: part.frac.top * (own ? part.frac.bottom : other), bottom };
    const worth = Exact.of(made.top * part.sign, bottom);
    const [entry] = scribe.step({
      law: 'scale-both',
      phase: { kind: 'cross', of: stage },
      takes: [part.entry],
      writes: [
        writing('fraction product', `${made.top}`.replace('-', '−'), worth, [
          row + PRODUCTS,
          column,
        ]),
      ],
      phrase: phrase('fraction.cross', {
        top: `${part.frac.top}`,
        bottom: `${part.frac.bottom}`,
        other: `${other}`,
        product: `${made.top}`,
        own,
      }),
    });
    const name = `the fraction ${fracText(part.frac)} in parts of ${bottom}`;
    const named = phrase('fraction.named', { name });
    scribe.group(`cross-${stage}-${column}`, 'product', [entry!], named);
    return { ...part, entry: entry!, frac: made };
  });
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'cross', of: stage },
    takes: [],
    writes: [sideNumber(`${bottom}`, [row + BOTTOMS, 0])],
    phrase: phrase('fraction.bottoms', {
      left: `${left.frac.bottom}`,
      right: `${right.frac.bottom}`,
      product: `${bottom}`,
    }),
  });
  return { ...left, ...combineParts(scribe, crossedParts, at), sign: 1n };
}

/** Links from each numerator to the denominator that it is multiplied by, in the step that does so. */
function sheet(trace: Trace): Sheet {
  const { problem, steps } = trace;
  const stages = problem.operands.length - 1;
  const sign = problemSign(problem.kind) === '+' ? 'plus' : 'minus';
  const signs = Array.from({ length: stages }, (_, stage): TableSign => ({
    sign,
    row: stage * STAGE + FRACTIONS,
    column: 1,
  }));
  const results = [...new Set(steps.flatMap(({ gives }) => gives.map(({ spot }) => spot.row)))];
  return tableSheet(trace, {
    signs: [
      ...signs,
      ...results
        .filter((row) => row >= stages * STAGE)
        .map((row): TableSign => ({ sign: 'equals', row, column: 0 })),
    ],
    links: (box) =>
      steps.flatMap(({ number, gives }): SheetLink[] => {
        const mark = gives.find(({ role }) => role === 'fraction product');
        if (!mark) return [];
        const row = mark.spot.row - PRODUCTS + FRACTIONS;
        const [a, b] = [box(row, 0), box(row, 1)];
        const ends = { x1: a.x + a.width, x2: b.x };
        return mark.spot.column === 0
          ? [{ step: number, ...ends, y1: a.y + 0.5, y2: b.y + 1.5 }]
          : [{ step: number, ...ends, y1: a.y + 1.5, y2: b.y + 0.5 }];
      }),
  });
}
