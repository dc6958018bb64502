import { where } from '../../account/chance.ts';
import type { Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { digitAt, numberText } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { placeRule, placeSquare } from '../shared/place-columns.ts';
import { orderSchool } from '../shared/schools.ts';
import { acceptsDifference, isPositive, mostPlaces } from '../shared/sums.ts';
import { signed, wholeWriting } from '../shared/whole.ts';
import {
  columnName,
  differenceFact,
  digitsOwed,
  groupColumns,
  makes,
  openTwoRows,
  placeFeatures,
  type TwoNumbers,
} from './two-rows.ts';

type PlaceValues = {
  readonly top: number;
  readonly bottom: number;
  /** How far the figures are taken to be apart. */
  readonly size: number;
  readonly place: number;
  readonly lost: boolean;
};

const place: Wording<PlaceValues> = {
  digit: ({ top, bottom, size, lost }, say) => {
    const result = top < bottom && !lost ? -size : size;
    const note = lost ? ', with its sign lost' : result < 0 ? ', a shortfall' : '';
    const sign = makes(top, bottom, size);
    return `${say.number(top)} − ${say.number(bottom)} ${sign} **${say.number(result)}**${note}.`;
  },
  value: ({ top, bottom, size, place: at, lost }, say) => {
    const [upper, lower] = [top, bottom].map((count) => say.count(count, at));
    const result = say.count(size, at);
    const said = say.opening(say.minus(upper!, lower!));
    if (makes(top, bottom, size) !== '=') {
      const side = top < bottom ? `**${result}** still missing` : `**${result}**`;
      return `${said} is taken for ${side}.`;
    }
    if (lost) return `${said} should be ${result} short, but it is written as **${result}** over.`;
    if (top < bottom) return `${said}: **${result}** ${say.is(size)} still missing.`;
    return `${said} ${say.is(size)} **${result}**.`;
  },
};

const phrases = definePhrases({
  'differences.place': place,
  'differences.read': plain(
    ({ parts, dropped }: { parts: readonly Exact[]; dropped: boolean }, say) =>
      `At full worth${dropped ? ', the signs dropped' : ''}: **${signedSum(parts, (part) => say.amount(part))}**.`,
  ),
  'differences.join': {
    digit: ({ from, part, to, turned }: JoinValues, say) =>
      `${say.amount(from)} ${isPositive(part) !== turned ? '+' : '−'} ${say.amount(part.absolute())} = **${say.amount(to)}**.`,
    value: ({ from, part, to, turned }: JoinValues, say) =>
      turned
        ? `${say.amount(part.absolute())} are missing once more, but are given back to ${say.amount(from)}: **${say.amount(to)}**.`
        : isPositive(part)
          ? `${say.amount(from)} with ${say.amount(part)} more ${say.is(2)} **${say.amount(to)}**.`
          : `${say.amount(from)} with ${say.amount(part.absolute())} missing ${say.is(2)} **${say.amount(to)}**.`,
  },
  'differences.alone': plain(({ to }: { to: Exact }, say) => `That is all: **${say.amount(to)}**.`),
  'differences.pair': columnName,
  'differences.of': plain(
    ({ place: at }: { place: number }, say) => `the signed difference of the ${say.places(at)}`,
  ),
  'differences.so-far': plain(
    ({ to }: { to: Exact }, say) => `the differences so far, ${say.amount(to)}`,
  ),
  'differences.answer': fixed('answer of the partial differences'),
});

type JoinValues = {
  readonly from: Exact;
  readonly part: Exact;
  readonly to: Exact;
  /** Whether a learner gives back what is missing. */
  readonly turned: boolean;
};

/** `300 − 60 − 4`; more than six parts are only counted. */
function signedSum(parts: readonly Exact[], text: (part: Exact) => string): string {
  if (parts.length > 6) return `${parts.length} parts`;
  return parts
    .map((part, k) => {
      const sign = isPositive(part) ? (k === 0 ? '' : ' + ') : k === 0 ? '−' : ' − ';
      return `${sign}${text(part.absolute())}`;
    })
    .join('');
}

const { phrase } = phrases;

export const partialDifferences = defineMethod({
  id: 'partial-differences',
  family: 'subtraction',
  name: 'Partial differences',
  shortName: 'Partial differences',
  alsoCalled: ['signed column subtraction', 'place differences with signs'],
  summary:
    'Every place is subtracted by itself, a shortfall is written as a negative, and all are put together.',
  why: 'Places may be subtracted each by itself; their signed differences add up to the difference.',
  leadsTo: 'Numbers with signs, and like terms in columns.',
  medium: 'on paper',
  direction: 'free; from the ones or from the largest',
  freeOrder: false,
  schools: [
    orderSchool('line'),
    {
      id: 'combine',
      label: 'Put together',
      options: [
        {
          id: 'one-by-one',
          label: 'one by one',
          reason: 'From the largest place down, keeping one total.',
        },
        {
          id: 'signs-apart',
          label: 'signs apart',
          reason: 'All that is over and all that is missing first: only one subtraction is left.',
        },
      ],
    },
  ],
  slips: [
    {
      ...slipOf('lost-sign'),
      mechanism: 'A shortfall is written as if it were over: the smaller figure from the larger.',
    },
    slipOf('signs-dropped'),
    slipOf('second-shortfall-given-back'),
  ],
  linesLike: { rank: 3, moves: ['places', 'worked-out'] },
  phrases: phrases.book,
  accepts: acceptsDifference(true),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const numbers = openTwoRows(scribe, problem);
  const places = Array.from({ length: mostPlaces(problem.operands) }, (_, at) => at);
  const inOrder = school['order'] === 'largest-first' ? [...places].reverse() : places;
  const byPlace = new Map(inOrder.map((at) => [at, writePlace(scribe, numbers, at)]));
  groupColumns(scribe, numbers, (at) => phrase('differences.pair', { place: at }));
  const filled = places.reverse().flatMap((at) => {
    const mark = byPlace.get(at)!;
    return mark.worth.isZero ? [] : [mark];
  });
  return scribe.close(
    [together(scribe, [...byPlace.values()], filled, school)],
    phrase('differences.answer', {}),
  );
}

function writePlace(scribe: Scribe, numbers: TwoNumbers, at: number): Mark {
  const { top, bottom } = digitsOwed(scribe, numbers, at);
  const [upper, lower] = [digitAt(numbers.minuend, at), digitAt(numbers.subtrahend, at)];
  const lost = scribe.slip('lost-sign', upper < lower, {
    at: where('place', at),
    features: placeFeatures(numbers, at),
  });
  const size = differenceFact(scribe, upper, lower, at);
  const [mark] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'places' },
    takes: [top, bottom].filter((entry) => entry !== null),
    writes: [
      {
        role: 'place total',
        count: upper < lower && !lost ? -size : size,
        place: at,
        spot: { area: 'signed', row: 0, column: at },
      },
    ],
    phrase: phrase('differences.place', { top: upper, bottom: lower, size, place: at, lost }),
  });
  scribe.group(`difference-${at}`, 'place total', [mark!], phrase('differences.of', { place: at }));
  return mark!;
}

/** Reads the signed figures at full worth, then puts them together; one alone is the answer. */
function together(
  scribe: Scribe,
  all: readonly Mark[],
  filled: readonly Mark[],
  school: School,
): Mark {
  const { base } = scribe;
  if (filled.length < 2) {
    const to = filled[0]?.worth ?? Exact.ZERO;
    const [answer] = scribe.step({
      law: 'place-value',
      phase: { kind: 'together' },
      takes: all,
      writes: [wholeWriting('answer', to, ANSWER, base)],
      phrase: phrase('differences.alone', { to }),
    });
    return answer!;
  }
  const missing = filled.some(({ worth }) => !isPositive(worth));
  const dropped = scribe.slip('signs-dropped', missing, { at: where('answer', 0) });
  const worths = filled.map(({ worth }) => (dropped ? worth.absolute() : worth));
  const parts = scribe.step({
    law: 'place-value',
    phase: { kind: 'together' },
    takes: all,
    writes: filled.map((mark, row) =>
      wholeWriting('place total', worths[row]!, { area: 'part', row, column: 0 }, base, {
        from: [mark],
        ...(row > 0 ? { glyph: signed(worths[row]!, base) } : {}),
      }),
    ),
    phrase: phrase('differences.read', { parts: worths, dropped }),
  });
  return school['combine'] === 'signs-apart'
    ? signsApart(scribe, parts)
    : oneByOne(scribe, parts, true, filled);
}

const ANSWER = { area: 'answer', row: 0, column: 0 } as const;

/** One part after another; `figures` are those of the places, where a learner may give a shortfall back. */
function oneByOne(
  scribe: Scribe,
  parts: readonly Mark[],
  answers: boolean,
  figures: readonly Mark[] = [],
): Mark {
  const [first, ...rest] = parts;
  return rest.reduce((so, part, k) => {
    const last = answers && k === rest.length - 1;
    const before = parts.slice(0, k + 1).some(({ worth }) => !isPositive(worth));
    const place = figures[k + 1]?.place;
    const again = place !== undefined && before && !isPositive(part.worth);
    const turned = scribe.slip('second-shortfall-given-back', again, {
      at: where('place', place ?? 0),
    });
    return join(scribe, { so, part, turned }, last ? null : part.spot.row);
  }, first!);
}

interface Joined {
  readonly so: Mark;
  readonly part: Mark;
  readonly turned: boolean;
}

/** Everything over, everything missing, and then the one from the other. */
function signsApart(scribe: Scribe, parts: readonly Mark[]): Mark {
  const over = parts.filter(({ worth }) => isPositive(worth));
  const missing = parts.filter(({ worth }) => !isPositive(worth));
  if (over.length === 0 || missing.length === 0) return oneByOne(scribe, parts, true);
  const [so, part] = [oneByOne(scribe, over, false), oneByOne(scribe, missing, false)];
  return join(scribe, { so, part, turned: false }, null);
}

/** Joins two amounts into a total at the side of a row, or into the answer. */
function join(scribe: Scribe, { so, part, turned }: Joined, row: number | null): Mark {
  const to = turned ? so.worth.minus(part.worth) : so.worth.plus(part.worth);
  const spot = row === null ? ANSWER : { area: 'total', row, column: 0 };
  const [made] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'together' },
    takes: [so, part],
    writes: [
      wholeWriting(row === null ? 'answer' : 'subtotal', to, spot, scribe.base, {
        hop: { from: so.worth, to },
      }),
    ],
    phrase: phrase('differences.join', { from: so.worth, part: part.worth, to, turned }),
  });
  if (row !== null) {
    scribe.group(`so-far-${row}`, 'subtotal', [made!], phrase('differences.so-far', { to }));
  }
  return made!;
}

/** Places stand two squares apart, so that a sign before a figure is no sign between two. */
const PITCH = 2;

function sheet(trace: Trace): Sheet {
  const { operands, base } = trace.problem;
  const places = mostPlaces(operands);
  const parts = trace.steps.flatMap(({ gives }) =>
    gives.filter(({ spot }) => spot.area === 'part'),
  );
  const width = PITCH * places;
  const wide = Math.max(2, Math.ceil(numberText(trace.total.absolute(), base).length * 0.7) + 1);
  const number = (x: number, y: number, size: number) => ({
    x,
    y,
    width: size,
    height: 1,
    align: 'right' as const,
  });
  const below = 3 + parts.length;
  return draftSheet(trace, {
    areas: {
      top: ({ column }) => placeSquare(PITCH * column, 0),
      bottom: ({ column }) => placeSquare(PITCH * column, 1),
      signed: ({ column }) => ({
        x: -PITCH * column - 0.75,
        y: 2,
        width: 1.6,
        height: 1,
        align: 'right',
      }),
      part: ({ row }) => number(1 - width, 3 + row, width),
      total: ({ row }) => number(1.2, 3 + row, wide),
      answer: () => number(1 - width, below, width),
    },
    rulings: [
      placeRule(width, 2),
      placeRule(width, 3),
      ...(parts.length > 0 ? [placeRule(width, below)] : []),
    ],
    signs: [{ sign: 'minus', ...placeSquare(width - 1, 1) }],
  });
}
