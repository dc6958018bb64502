import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Part } from '../../account/cut.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, type Numeral } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { Acceptance } from '../method-spec.ts';
import { defineMethod } from '../method.ts';
import { fracText, worthOf, type Frac } from '../fractions/fraction.ts';
import { TIDYING_SLIPS } from '../fractions/fraction-slips.ts';
import {
  combineParts,
  sideNumber,
  spotAt,
  writing,
  type Counted,
} from '../fractions/fraction-work.ts';
import { FORM, SIMPLIFY, TURNING_SLIPS } from '../fractions/schools.ts';
import { tidyUp } from '../fractions/tidy.ts';
import { areaSheet, FINEST, MOST_UNITS } from './area-sheet.ts';
import { acceptsFactors, factorOf } from './factors.ts';
import { productPhrases } from './product-words.ts';

const { phrase } = productPhrases;

/** Rows of the table beside the picture: the factors, how many parts a whole has, then the regions. */
const [GIVEN, UNIT, REGIONS] = [0, 1, 2];

export const fractionArea = defineMethod({
  id: 'fraction-area',
  family: 'fraction-products',
  name: 'A square cut both ways',
  shortName: 'Cut both ways',
  alsoCalled: ['area of parts', 'a part of a part'],
  summary:
    'A unit square is cut one way for one factor and the other way for the other; the parts in both are counted.',
  why: 'Cut both ways, a whole has as many equal parts as the denominators make together; the product is the rectangle of both factors.',
  leadsTo: 'Areas with sides that are no whole numbers, and tops and bottoms without the picture.',
  medium: 'on paper',
  direction: 'across, down, the parts of a whole, then the parts in the rectangle',
  freeOrder: false,
  schools: [SIMPLIFY, FORM],
  slips: [slipOf('any-shading-counted'), ...TIDYING_SLIPS, ...TURNING_SLIPS],
  phrases: productPhrases.book,
  accepts: acceptsArea,
  work,
  sheet: areaSheet,
});

function acceptsArea(problem: Problem): Acceptance {
  const accepted = acceptsFactors('product', 2)(problem);
  if (!accepted.ok) return accepted;
  const isLarge = problem.operands.some((operand) => {
    const { bottom } = factorOf(operand);
    return bottom > FINEST || numeralValue(operand).compare(Exact.of(MOST_UNITS)) > 0;
  });
  return isLarge
    ? { ok: false, reason: { code: 'too-fine-to-draw', parts: Number(FINEST), wholes: MOST_UNITS } }
    : { ok: true };
}

/** A side of the rectangle: the parts of a whole, and how many of them each piece of the side has. */
interface Side {
  readonly bottom: bigint;
  /** The part first, then the wholes, where there are both. */
  readonly pieces: readonly bigint[];
  readonly cut: readonly Part[];
}

function sideOf(operand: Numeral): Side {
  const { top, bottom } = factorOf(operand);
  const count = numeralValue({ ...operand, fraction: undefined }).numerator;
  const own = top - count * bottom;
  const pieces = [
    ...(operand.fraction ? [{ parts: own, text: fracText({ top: own, bottom }) }] : []),
    ...(count > 0n || !operand.fraction ? [{ parts: count * bottom, text: `${count}` }] : []),
  ];
  return {
    bottom,
    pieces: pieces.map(({ parts }) => parts),
    cut: pieces.map(({ parts, text }) => ({
      worth: Exact.of(parts, bottom),
      text,
      place: undefined,
    })),
  };
}

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const [across, down] = problem.operands.map(sideOf) as [Side, Side];
  scribe.open([across.cut, down.cut]);
  problem.operands.forEach((_, k) => scribe.giveWhole(k, spotAt([GIVEN, k])));
  for (const [k, side] of [across, down].entries()) {
    const top = side.pieces.reduce((so, own) => so + own, 0n);
    scribe.step({
      law: 'distribute',
      phase: { kind: 'cut', of: k },
      takes: [],
      writes: [
        {
          ...sideNumber(fracText({ top, bottom: side.bottom }), [0, 0]),
          spot: { area: k === 0 ? 'across' : 'down', row: 0, column: 0 },
        },
      ],
      phrase: phrase('area.cut', { top: `${top}`, bottom: `${side.bottom}`, isDown: k === 1 }),
    });
  }
  const unit = across.bottom * down.bottom;
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'unit' },
    takes: [],
    writes: [sideNumber(`${across.bottom}×${down.bottom} = ${unit}`, [UNIT, 0])],
    phrase: phrase('fraction.bottoms', {
      left: `${across.bottom}`,
      right: `${down.bottom}`,
      product: `${unit}`,
    }),
  });
  const regions = regionsOf(scribe, across, down);
  const last = REGIONS + regions.length;
  const [only] = regions;
  const made = regions.length === 1 ? only! : combineParts(scribe, regions, [last, 0]);
  return tidyUp(scribe, { entry: made.entry, frac: made.frac, whole: null }, school, last + 1);
}

/** The parts of every region of the rectangle, counted: wholes by wholes first. */
function regionsOf(scribe: Scribe, across: Side, down: Side): readonly Counted[] {
  const bottom = across.bottom * down.bottom;
  const all = across.pieces.flatMap((a, i) => down.pieces.map((b, k) => ({ a, b, i, k })));
  return [...all].reverse().map(({ a, b, i, k }, n): Counted => {
    const isProper = all.length === 1 && a < across.bottom && b < down.bottom;
    const shaded = a * down.bottom + b * across.bottom - a * b;
    const may = isProper && a * b > 0n;
    const wrong = scribe.slip('any-shading-counted', may, { at: where('cell', i, k) });
    const frac: Frac = { top: wrong ? shaded : a * b, bottom };
    const [entry] = scribe.step({
      law: 'evaluate',
      phase: { kind: 'cells', of: n },
      takes: [scribe.owes(i, k)],
      writes: [writing('product', fracText(frac), worthOf(frac), [REGIONS + n, 0])],
      phrase: phrase('area.region', {
        across: `${a}`,
        down: `${b}`,
        made: fracText(frac),
        slip: wrong ? 'any-shading-counted' : '',
      }),
    });
    return { entry: entry!, frac, sign: 1n, operand: n };
  });
}
