import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { problemSign, type Problem } from '../../problem/problem.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { fracText, worthOf, type Frac } from './fraction.ts';
import { tableSheet, type TableSign } from './fraction-sheet.ts';
import {
  acceptsFractions,
  combineParts,
  findCommon,
  openOperands,
  renameAll,
  writing,
  type Counted,
  type Operand,
} from './fraction-work.ts';
import { fractionPhrases } from './fraction-words.ts';
import { RENAMING_SLIPS, TIDYING_SLIPS } from './fraction-slips.ts';
import { FIND, SIMPLIFY, WHOLE_AS_TEN, WHOLE_KEPT } from './schools.ts';
import { tidyUp } from './tidy.ts';

const { phrase } = fractionPhrases;

/** Columns: wholes and fractions as given, the factor, the renamed fraction, the opened number, lists. */
const [WHOLES, PARTS, FACTORS, RENAMED, OPENED, OPENED_PARTS, LISTS] = [0, 1, 2, 3, 4, 5, 6];

export const mixedSeparate = defineMethod({
  id: 'mixed-separate',
  family: 'fractions',
  name: 'Wholes and parts apart',
  shortName: 'Apart',
  alsoCalled: ['fractions under fractions, wholes under wholes'],
  summary:
    'Wholes with wholes and parts with parts; a whole is opened into parts, or parts give a whole back.',
  why: 'A mixed number is a sum, and a whole is as many parts as the denominator says.',
  medium: 'on paper',
  direction: 'the fractions first, then the wholes, then both together',
  freeOrder: false,
  schools: [FIND, SIMPLIFY],
  slips: [
    ...RENAMING_SLIPS,
    slipOf('part-smaller-from-larger'),
    WHOLE_AS_TEN,
    slipOf('one-before-numerator'),
    WHOLE_KEPT,
    ...TIDYING_SLIPS,
    slipOf('whole-forgotten'),
  ],
  phrases: fractionPhrases.book,
  accepts: acceptsFractions('some wholes', false),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const operands = openOperands(scribe, problem, (k) => ({
    whole: [k, WHOLES],
    part: [k, PARTS],
  }));
  const given = operands.flatMap(({ part, frac, sign, index }): Counted[] =>
    part ? [{ entry: part, frac: frac!, sign, operand: index }] : [],
  );
  const common = findCommon(
    scribe,
    given.map(({ frac }) => frac.bottom),
    school,
    { list: (k) => [given[k]!.operand, LISTS], common: [operands.length, LISTS] },
  );
  const renamed = renameAll(scribe, given, common, {
    factor: (k) => [k, FACTORS],
    renamed: (k) => [k, RENAMED],
  });
  const below = operands.length;
  const ready = opened(scribe, operands, renamed, common);
  const parts = combineParts(scribe, ready.parts, [below, ready.columns[1]], ready.turned);
  const whole = combineWholes(scribe, ready.wholes, [below, ready.columns[0]]);
  return tidyUp(scribe, { ...parts, whole }, { ...school, answer: 'mixed' }, below + 1);
}

interface WholeCount {
  readonly entry: Entry;
  readonly count: bigint;
  readonly sign: bigint;
}

interface Ready {
  readonly parts: readonly Counted[];
  readonly wholes: readonly WholeCount[];
  /** The columns of the results: wholes and parts. */
  readonly columns: readonly [number, number];
  /** Whether the smaller part is taken from the larger. */
  readonly turned: boolean;
}

/** Opens a whole of the first number where its parts are fewer than those taken away. */
function opened(
  scribe: Scribe,
  operands: readonly Operand[],
  parts: readonly Counted[],
  common: bigint,
): Ready {
  const wholes = operands.flatMap(({ whole, count, sign }): WholeCount[] =>
    whole ? [{ entry: whole, count, sign }] : [],
  );
  const taken = parts.filter(({ sign }) => sign < 0n).reduce((so, { frac }) => so + frac.top, 0n);
  const first = parts.find(({ operand }) => operand === 0);
  const top = first?.frac.top ?? 0n;
  const [from] = wholes;
  const isDifference = operands.some(({ sign }) => sign < 0n);
  if (!isDifference || top >= taken || !from || from.sign < 0n || from.count === 0n) {
    const columns = [WHOLES, parts.length > 0 ? RENAMED : PARTS] as const;
    return { parts, wholes, columns, turned: false };
  }
  const mayTurn = parts.length === 2;
  const turned = scribe.slip('part-smaller-from-larger', mayTurn, { at: where('answer', 0) });
  if (turned) return { parts, wholes, columns: [WHOLES, RENAMED], turned };
  const needed = (taken - top + common - 1n) / common;
  const count = needed > from.count ? from.count : needed;
  const asTen = scribe.slip(WHOLE_AS_TEN.id, common !== 10n, { at: where('operand', 0) });
  const kept = scribe.slip(WHOLE_KEPT.id, !asTen, { at: where('operand', 0) });
  const inFront = BigInt(`1${top}`);
  const mayFront = top > 0n && inFront !== top + count * common && !asTen && !kept;
  const isFront = scribe.slip('one-before-numerator', mayFront, { at: where('operand', 0) });
  const opened10 = count * (asTen ? 10n : common);
  const made: Frac = { top: isFront ? inFront : top + opened10, bottom: common };
  const stays = kept ? from.count : from.count - count;
  const takes = first ? [from.entry, first.entry] : [from.entry];
  const [whole, part] = scribe.step({
    law: 'scale-both',
    phase: { kind: 'open' },
    takes,
    strikes: takes,
    writes: [
      writing('opened whole', `${stays}`, Exact.of(stays), [0, OPENED]),
      writing('opened whole', fracText(made), worthOf(made), [0, OPENED_PARTS]),
    ],
    phrase: phrase('fraction.open', {
      opened: `${count}`,
      top: `${top}`,
      bottom: `${common}`,
      stays: `${stays}`,
      made: `${made.top}`,
      needed: `${taken}`,
      slip: asTen ? WHOLE_AS_TEN.id : kept ? WHOLE_KEPT.id : isFront ? 'one-before-numerator' : '',
    }),
  });
  const others = parts.filter((one) => one !== first);
  return {
    parts: [{ entry: part!, frac: made, sign: 1n, operand: 0 }, ...others],
    wholes: [{ entry: whole!, count: stays, sign: 1n }, ...wholes.slice(1)],
    columns: [OPENED, OPENED_PARTS],
    turned: false,
  };
}

function combineWholes(
  scribe: Scribe,
  wholes: readonly WholeCount[],
  at: readonly [number, number],
): { readonly entry: Mark; readonly count: bigint } {
  const count = wholes.reduce((so, one) => so + one.count * one.sign, 0n);
  const [entry] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'wholes' },
    takes: wholes.map((one) => one.entry),
    writes: [
      writing(
        'subtotal',
        `${count}`.replace('-', '−'),
        Exact.sum(wholes.map(({ entry: e }) => e.worth)),
        at,
      ),
    ],
    phrase: phrase('fraction.wholes', {
      wholes: wholes.map((one) => `${one.count}`),
      made: `${count}`.replace('-', '−'),
      difference: wholes.some(({ sign }) => sign < 0n),
    }),
  });
  scribe.group(
    'wholes',
    'subtotal',
    [entry!],
    phrase('fraction.named', { name: 'the wholes together' }),
  );
  return { entry: entry!, count };
}

function sheet(trace: Trace): Sheet {
  const { problem, steps } = trace;
  const last = problem.operands.length - 1;
  const sign = problemSign(problem.kind) === '+' ? 'plus' : 'minus';
  const filled = [...new Set(steps.flatMap(({ gives }) => gives.map(({ spot }) => spot.row)))];
  return tableSheet(trace, {
    signs: [
      { sign, row: last, column: WHOLES },
      ...filled
        .filter((row) => row > last + 1)
        .map((row): TableSign => ({ sign: 'equals', row, column: WHOLES })),
    ],
    ruled: [last],
  });
}
