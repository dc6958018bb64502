import { cellBeyond } from '../../account/beyond.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt, worthAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { placeRule, placeSquare } from '../shared/place-columns.ts';
import { acceptsDifference, mostPlaces } from '../shared/sums.ts';
import {
  afterLittle,
  answerFigure,
  answerPlaces,
  columnName,
  differenceFact,
  digitsOwed,
  groupColumns,
  LITTLE,
  makes,
  minusSign,
  openTwoRows,
  placeFeatures,
  type TwoNumbers,
} from './two-rows.ts';

type PairValues = {
  readonly top: number;
  readonly bottom: number;
  readonly place: number;
  readonly slip: string;
  readonly dot: boolean;
};

const pair: Wording<PairValues> = {
  digit: ({ top, bottom, slip, dot }, say) => {
    const mark = dot ? 'a dot' : 'a small one';
    const above = `${mark} before the ${say.number(top)}`;
    const texts: Readonly<Record<string, string>> = {
      'forget-lower': `${above}, and nothing below`,
      'forget-upper': `${mark} below, one place on, and nothing above`,
      'little-one-as-one': `${above} that is counted as 1, and ${mark} below, one place on`,
      'lower-taken-off': `${above}, and one off below, one place on`,
      'lower-in-wrong-place': `${above}, and ${mark} below in the same place`,
    };
    const both = texts[slip] ?? `${above}, and ${mark} below, one place on`;
    return `${say.number(top)} is less than ${say.number(bottom)}: ${both}.`;
  },
  value: ({ top, bottom, place, slip }, say) => {
    const [upper, lower] = [top, bottom].map((count) => say.count(count, place));
    const [ten, one, next] = [
      say.count(say.base, place),
      say.count(1, place),
      say.count(1, place + 1),
    ];
    const texts: Readonly<Record<string, string>> = {
      'forget-lower': `**${ten}** are added above, but the ${next} below is forgotten`,
      'forget-upper': `**${next}** is added below, but the ${ten} above are forgotten`,
      'little-one-as-one': `only **${one}** is added above, and **${next}** below`,
      'lower-taken-off': `**${ten}** are added above, and **${next}** is taken off below`,
      'lower-in-wrong-place': `**${ten}** are added above, but only **${one}** below`,
    };
    const both = texts[slip];
    return `${upper} ${say.is(top)} fewer than ${lower}: ${both ?? `**${ten}** are added above and **${next}** below, so the difference stays`}.`;
  },
};

type ColumnValues = {
  readonly top: number;
  readonly bottom: number;
  readonly result: number;
  readonly place: number;
  readonly written: boolean;
  readonly adding: boolean;
  /** Whether the upper figure is too small after all, and the smaller is taken from the larger. */
  readonly turned: boolean;
};

const column: Wording<ColumnValues> = {
  digit: ({ top, bottom, result, written, adding, turned }, say) => {
    const sign = makes(top, bottom, result);
    const [upper, lower, rest] = [top, bottom, result].map((count) => say.number(count));
    if (turned) return `${lower} − ${upper} ${sign} **${rest}**, the smaller from the larger.`;
    const ending = written ? '' : ': no zero is written in front';
    return adding
      ? `${lower} and **${rest}** ${sign === '=' ? 'make' : 'are taken to make'} ${upper}${ending}.`
      : `${upper} − ${lower} ${sign} **${rest}**${ending}.`;
  },
  value: ({ top, bottom, result, place, written, adding, turned }, say) => {
    const isRight = makes(top, bottom, result) === '=';
    const [upper, lower, rest] = [top, bottom, result].map((count) => say.count(count, place));
    if (turned) {
      return `${upper} are fewer than ${lower}, but the smaller is taken from the larger: **${rest}**.`;
    }
    const ending = written ? '' : ', and no zero is written in front';
    return adding
      ? `${lower} and **${rest}** more ${isRight ? 'make' : 'are taken to make'} ${upper}${ending}.`
      : `${say.opening(say.minus(upper!, lower!))} ${isRight ? say.is(top - bottom) : 'is taken for'} **${rest}**${ending}.`;
  },
};

const phrases = definePhrases({
  'equal.pair': pair,
  'equal.column': column,
  'equal.digits': columnName,
  'equal.answer': fixed('answer of the equal additions'),
});

const { phrase } = phrases;

/** Slips of the two little ones, in the order in which their chances are named. */
const PAIR_SLIPS = [
  'forget-lower',
  'little-one-as-one',
  'forget-upper',
  'lower-taken-off',
  'lower-in-wrong-place',
] as const;
type PairSlip = (typeof PAIR_SLIPS)[number] | '';

export const equalAdditions = defineMethod({
  id: 'equal-additions',
  family: 'subtraction',
  name: 'Equal additions',
  shortName: 'Equal additions',
  alsoCalled: ['adding ten to both', 'the little ones'],
  summary:
    'Where a figure is too small, ten of it are added above and one of the next place below: both grow alike.',
  why: 'When both numbers grow alike, they stay as far apart as they were.',
  medium: 'on paper',
  direction: 'from the ones to the left',
  freeOrder: false,
  schools: [
    {
      id: 'mark',
      label: 'Mark',
      options: [
        { id: 'small-one', label: 'a small one', reason: 'It says what is added, and takes room.' },
        {
          id: 'dot',
          label: 'a dot',
          reason: 'Quick and small, but it must be remembered what it stands for.',
        },
      ],
    },
    {
      id: 'think',
      label: 'Think',
      options: [
        { id: 'take-away', label: 'take away', reason: 'Each place is a subtraction fact.' },
        {
          id: 'what-must-be-added',
          label: 'what must be added',
          reason: 'Each place is an addition fact with one number missing.',
        },
      ],
    },
  ],
  slips: PAIR_SLIPS.map(slipOf),
  phrases: phrases.book,
  accepts: acceptsDifference(false),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const numbers = openTwoRows(scribe, problem);
  const significant = Math.max(answerPlaces(problem), scribe.leastPlaces);
  const answer: Mark[] = [];
  let raised: Raised = NOT_RAISED;
  for (let place = 0; place < mostPlaces(problem.operands); place++) {
    const { top, bottom } = digitsOwed(scribe, numbers, place);
    let upper = digitAt(numbers.minuend, place);
    let lower: number = digitAt(numbers.subtrahend, place) + raised.by;
    const takes: Entry[] = [top, bottom, ...raised.marks].filter((entry) => entry !== null);
    const isRaised = raised.marks.length > 0;
    raised = NOT_RAISED;
    if (upper < lower) {
      const made = writeLittleOnes(scribe, numbers, { place, upper, lower, isRaised }, school);
      takes.push(...made.here);
      upper += made.above;
      lower += made.below;
      raised = made.next;
    }
    const result = differenceFact(scribe, upper, lower, place);
    const written = result > 0 || place < significant;
    const marks = scribe.step({
      law: 'evaluate',
      phase: { kind: 'difference', serves: place },
      takes,
      writes: written ? [answerFigure(result, place)] : [],
      phrase: phrase('equal.column', {
        top: upper,
        bottom: lower,
        result,
        place,
        written,
        adding: school['think'] === 'what-must-be-added',
        turned: upper < lower,
      }),
    });
    answer.push(...marks);
  }
  groupColumns(scribe, numbers, (place) => phrase('equal.digits', { place }));
  return scribe.close(answer, phrase('equal.answer', {}));
}

/** The little one that a lower figure has got. */
interface Raised {
  readonly by: number;
  readonly marks: readonly Mark[];
}
const NOT_RAISED: Raised = { by: 0, marks: [] };

interface Short {
  readonly place: number;
  readonly upper: number;
  readonly lower: number;
  /** Whether a little one stands at the lower figure already. */
  readonly isRaised: boolean;
}

/** Writes both little ones, or what a learner writes; says by how much the figures here and the next lower one change. */
function writeLittleOnes(scribe: Scribe, numbers: TwoNumbers, short: Short, school: School) {
  const { place, upper, lower } = short;
  const dot = school['mark'] === 'dot';
  const slip = pairSlip(scribe, numbers, short);
  const marks = scribe.step({
    law: 'same-change',
    phase: { kind: 'equal additions', serves: place },
    takes: [],
    writes: littleOnes(place, dot, slip, scribe.base),
    phrase: phrase('equal.pair', { top: upper, bottom: lower, place, slip, dot }),
  });
  const of = (area: string) => marks.filter(({ spot }) => spot.area === area);
  const isHere = slip === 'lower-in-wrong-place';
  const by = slip === 'lower-taken-off' ? -1 : 1;
  return {
    here: isHere ? marks : of('above'),
    above: slip === 'forget-upper' ? 0 : slip === 'little-one-as-one' ? 1 : scribe.base,
    below: isHere ? 1 : 0,
    next: isHere || slip === 'forget-lower' ? NOT_RAISED : { by, marks: of('below') },
  };
}

function pairSlip(
  scribe: Scribe,
  numbers: TwoNumbers,
  { place, upper, lower, isRaised }: Short,
): PairSlip {
  const chance = { at: where('place', place), features: placeFeatures(numbers, place) };
  const next = digitAt(numbers.subtrahend, place + 1);
  const may: Readonly<Record<(typeof PAIR_SLIPS)[number], boolean>> = {
    'forget-lower': true,
    'little-one-as-one': lower === upper + 1,
    'forget-upper': lower - upper < scribe.base,
    'lower-taken-off': next > 0,
    'lower-in-wrong-place': !isRaised && lower < upper + scribe.base,
  };
  return PAIR_SLIPS.filter((id) => scribe.slip(id, may[id], chance))[0] ?? '';
}

/** Ten of this place above, and one of the next place, to be taken away, below; or what a learner writes. */
function littleOnes(place: number, dot: boolean, slip: PairSlip, base: number): readonly Writing[] {
  const glyph = dot ? '•' : '1';
  const little = (area: string, at: number, count: number, column: number): Writing => ({
    role: 'little one',
    count,
    place: at,
    glyph,
    spot: { area, row: 0, column },
    beyond: cellBeyond(`beyond.${place}`, worthAt(1, base, at), BigInt(count)),
  });
  const above = little('above', slip === 'little-one-as-one' ? place : place + 1, 1, place);
  const isHere = slip === 'lower-in-wrong-place';
  const below = isHere
    ? little('below', place, -1, place)
    : little('below', place + 1, slip === 'lower-taken-off' ? 1 : -1, place + 1);
  if (slip === 'forget-lower') return [above];
  return slip === 'forget-upper' ? [below] : [above, below];
}

function sheet(trace: Trace): Sheet {
  const width = mostPlaces(trace.problem.operands) + 1;
  return draftSheet(trace, {
    areas: {
      top: ({ column: place }) => afterLittle(place, 0),
      bottom: ({ column: place }) => afterLittle(place, 1),
      above: ({ column: place }) => ({ ...placeSquare(place, 0), width: LITTLE, size: 'small' }),
      below: ({ column: place }) => ({ ...placeSquare(place, 2), size: 'small' }),
      answer: ({ column: place }) => afterLittle(place, 3),
    },
    rulings: [placeRule(width, 3)],
    signs: [minusSign(trace.problem)],
  });
}
