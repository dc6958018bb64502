import { laidBeyond } from '../../account/beyond.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt, worthAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { placeRule, placeSquare } from '../shared/place-columns.ts';
import { acceptsDifference, mostPlaces } from '../shared/sums.ts';
import {
  answerPlaces,
  columnName,
  digitsOwed,
  groupColumns,
  minusSign,
  openTwoRows,
  placeFeatures,
} from './two-rows.ts';

type PairValues = {
  readonly top: number;
  readonly bottom: number;
  readonly place: number;
  readonly forgotten: boolean;
  readonly dot: boolean;
};

const pair: Wording<PairValues> = {
  digit: ({ top, bottom, forgotten, dot }, say) => {
    const mark = dot ? 'a dot' : 'a small one';
    const both = forgotten ? 'and nothing below' : `and ${mark} below, one place on`;
    return `${say.number(top)} is less than ${say.number(bottom)}: ${mark} before the ${say.number(top)}, ${both}.`;
  },
  value: ({ top, bottom, place, forgotten }, say) => {
    const [upper, lower] = [top, bottom].map((count) => say.count(count, place));
    const above = `**${say.count(say.base, place)}** are added above`;
    const short = `${upper} ${say.is(top)} fewer than ${lower}`;
    if (forgotten)
      return `${short}: ${above}, but the ${say.count(1, place + 1)} below is forgotten.`;
    return `${short}: ${above} and **${say.count(1, place + 1)}** below, so the difference stays.`;
  },
};

type ColumnValues = {
  readonly top: number;
  readonly bottom: number;
  readonly place: number;
  readonly written: boolean;
  readonly adding: boolean;
};

const column: Wording<ColumnValues> = {
  digit: ({ top, bottom, written, adding }, say) => {
    const [upper, lower, rest] = [top, bottom, top - bottom].map((count) => say.number(count));
    const ending = written ? '' : ': no zero is written in front';
    return adding
      ? `${lower} and **${rest}** make ${upper}${ending}.`
      : `${upper} − ${lower} = **${rest}**${ending}.`;
  },
  value: ({ top, bottom, place, written, adding }, say) => {
    const [upper, lower, rest] = [top, bottom, top - bottom].map((count) =>
      say.count(count, place),
    );
    const ending = written ? '' : ', and no zero is written in front';
    return adding
      ? `${lower} and **${rest}** more make ${upper}${ending}.`
      : `${say.opening(say.minus(upper!, lower!))} ${say.is(top - bottom)} **${rest}**${ending}.`;
  },
};

const phrases = definePhrases({
  'equal.pair': pair,
  'equal.column': column,
  'equal.digits': columnName,
  'equal.answer': fixed('answer of the equal additions'),
});

const { phrase } = phrases;

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
  slips: [
    {
      id: 'forget-lower',
      label: 'Little one below forgotten',
      mechanism: 'Ten are added above, and nothing below to keep the difference.',
    },
  ],
  phrases: phrases.book,
  accepts: acceptsDifference(false),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const numbers = openTwoRows(scribe, problem);
  const significant = Math.max(answerPlaces(problem), scribe.leastPlaces);
  const dot = school['mark'] === 'dot';
  const answer: Mark[] = [];
  let raised: Mark | null = null;
  for (let place = 0; place < mostPlaces(problem.operands); place++) {
    const { top, bottom } = digitsOwed(scribe, numbers, place);
    let upper = digitAt(numbers.minuend, place);
    const lower: number = digitAt(numbers.subtrahend, place) + (raised ? 1 : 0);
    const takes: Entry[] = [top, bottom, raised].filter((entry) => entry !== null);
    raised = null;
    if (upper < lower) {
      const forgotten = scribe.slip('forget-lower', true, {
        at: where('place', place),
        features: placeFeatures(numbers, place),
      });
      const [above, below]: readonly Mark[] = scribe.step({
        law: 'same-change',
        phase: { kind: 'equal additions', serves: place },
        takes: [],
        writes: littleOnes(place, dot, forgotten, scribe.base),
        phrase: phrase('equal.pair', { top: upper, bottom: lower, place, forgotten, dot }),
      });
      takes.push(above!);
      raised = below ?? null;
      upper += scribe.base;
    }
    const result = upper - lower;
    const written = result > 0 || place < significant;
    const marks = scribe.step({
      law: 'evaluate',
      phase: { kind: 'difference', serves: place },
      takes,
      writes: written
        ? [
            {
              role: 'answer',
              count: result,
              place,
              spot: { area: 'answer', row: 0, column: place },
            },
          ]
        : [],
      phrase: phrase('equal.column', {
        top: upper,
        bottom: lower,
        place,
        written,
        adding: school['think'] === 'what-must-be-added',
      }),
    });
    answer.push(...marks);
  }
  groupColumns(scribe, numbers, (place) => phrase('equal.digits', { place }));
  return scribe.close(answer, phrase('equal.answer', {}));
}

/** Ten of this place above, and one of the next place, to be taken away, below. */
function littleOnes(
  place: number,
  dot: boolean,
  forgotten: boolean,
  base: number,
): readonly Writing[] {
  const ten = worthAt(1, base, place + 1);
  const glyph = dot ? '•' : '1';
  const above: Writing = {
    role: 'little one',
    count: 1,
    place: place + 1,
    glyph,
    spot: { area: 'above', row: 0, column: place },
    beyond: laidBeyond(`beyond.${place}`, ten),
  };
  const below: Writing = {
    role: 'little one',
    count: -1,
    place: place + 1,
    glyph,
    spot: { area: 'below', row: 0, column: place + 1 },
    beyond: laidBeyond(`beyond.${place}`, ten, -1n),
  };
  return forgotten ? [above] : [above, below];
}

/** A figure leaves room for a small one before it. */
const LITTLE = 0.3;

function sheet(trace: Trace): Sheet {
  const width = mostPlaces(trace.problem.operands) + 1;
  const figure = (place: number, y: number) => ({
    ...placeSquare(place, y),
    x: LITTLE - place,
    width: 1 - LITTLE,
  });
  return draftSheet(trace, {
    areas: {
      top: ({ column: place }) => figure(place, 0),
      bottom: ({ column: place }) => figure(place, 1),
      above: ({ column: place }) => ({ ...placeSquare(place, 0), width: LITTLE, size: 'small' }),
      below: ({ column: place }) => ({ ...placeSquare(place, 2), size: 'small' }),
      answer: ({ column: place }) => figure(place, 3),
    },
    rulings: [placeRule(width, 3)],
    signs: [minusSign(trace.problem)],
  });
}
