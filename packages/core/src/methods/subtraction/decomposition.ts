import type { Mark, School, Trace } from '../../account/account.ts';
import { where } from '../../account/chance.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { definePhrases, fixed } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { placeRule, placeSquare } from '../shared/place-columns.ts';
import { acceptsDifference, mostPlaces } from '../shared/sums.ts';
import {
  FILLED,
  Minuend,
  ON_PAPER_SLIPS,
  REGROUP,
  REGROUPING_SLIPS,
  TAIL_NOT_FILLED,
  type WritePlace,
} from './regrouping.ts';
import { move } from './regrouping-words.ts';
import { columnSlip, COLUMN_SLIPS, slippedColumn, slippedResult } from './column-slips.ts';
import {
  afterLittle,
  answerFigure,
  answerPlaces,
  columnDifference,
  columnName,
  differenceFact,
  groupColumns,
  minusSign,
  LITTLE,
  openTwoRows,
  type TwoNumbers,
} from './two-rows.ts';

const phrases = definePhrases({
  'decomposition.move': move,
  'decomposition.column': columnDifference,
  'decomposition.slipped': slippedColumn,
  'decomposition.pair': columnName,
  'decomposition.regrouped': fixed('the minuend as it is regrouped'),
  'decomposition.answer': fixed('answer of the decomposition'),
});

const { phrase } = phrases;

export const decomposition = defineMethod({
  id: 'decomposition',
  family: 'subtraction',
  name: 'Decomposition',
  shortName: 'Decomposition',
  alsoCalled: ['column subtraction with regrouping', 'borrowing'],
  summary: 'Place by place; where a figure is too small, one of the next place is opened into ten.',
  why: 'One of a place is ten of the next lower; the minuend is only written in another way.',
  medium: 'on paper',
  direction: 'from the ones to the left; the scan from the largest place down',
  freeOrder: false,
  schools: [REGROUP, FILLED],
  slips: [...REGROUPING_SLIPS, ...COLUMN_SLIPS, ...ON_PAPER_SLIPS],
  phrases: phrases.book,
  accepts: acceptsDifference(false),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const numbers = openTwoRows(scribe, problem);
  const minuend = new Minuend(
    scribe,
    numbers,
    (count, place, row, from) => ({
      role: 'regrouped digit',
      count,
      place,
      spot: { area: 'regrouped', row, column: place },
      from,
    }),
    (values) => phrase('decomposition.move', values),
    { inFront: school['filled'] === 'one-in-front' ? littleOne : null, raise },
  );
  const tail = unfilledTail(scribe, numbers);
  if (tail && scribe.willSlip(TAIL_NOT_FILLED, WHOLE)) minuend.leaveTail(tail.places);
  const scans = school['regroup'] === 'scan-first';
  if (scans) minuend.scan();
  const significant = Math.max(answerPlaces(problem), scribe.leastPlaces);
  const answer: Mark[] = [];
  numbers.minuend.digits.forEach((_, place) => {
    if (!scans) minuend.repair(place, false);
    if (place === tail?.first) {
      const isMade = scribe.willSlip(TAIL_NOT_FILLED, WHOLE);
      const ahead = isMade ? 0 : -minuend.openedFor(tail.all, place);
      scribe.slip(TAIL_NOT_FILLED, true, { at: WHOLE, ahead });
    }
    minuend.chanceAt(place);
    answer.push(...writeColumn(scribe, numbers, minuend, place, place < significant));
  });
  groupColumns(scribe, numbers, (place) => phrase('decomposition.pair', { place }));
  const regrouped = minuend.regrouped();
  if (regrouped.length > 0)
    scribe.group('regrouped', 'line', regrouped, phrase('decomposition.regrouped', {}));
  return scribe.close(answer, phrase('decomposition.answer', {}));
}

const WHOLE = where('answer', 0);

/** The places behind the point where the minuend has no figure but the subtrahend has, and the first that is not 0. */
function unfilledTail(scribe: Scribe, { subtrahend }: TwoNumbers) {
  const places = scribe.blankTails[0] ?? 0;
  const first = subtrahend.digits.findIndex((digit) => digit > 0);
  if (first < 0 || first >= places) return null;
  return { places, first, all: Array.from({ length: places }, (_, place) => place) };
}

/** One column subtracted; a zero in front is written only where it is `needed`. */
function writeColumn(
  scribe: Scribe,
  { subtrahend }: TwoNumbers,
  minuend: Minuend,
  place: number,
  needed: boolean,
): readonly Mark[] {
  const bare = place >= subtrahend.digits.length;
  const [top, bottom] = [minuend.counts[place]!, minuend.taken(place)];
  const over = minuend.counts.slice(place);
  const column = { place, top, bottom, bare, over, subtrahend: subtrahend.digits };
  const slip = columnSlip(scribe, column, minuend.features(place));
  const left = minuend.leftShort.get(place) ?? '';
  const usesFact = !slip && left !== 'zero-minus-is-zero';
  const due = usesFact ? differenceFact(scribe, top, bottom, place) : 0;
  const result = slip ? slippedResult(slip, column) : due;
  const written = result !== null && (result > 0 || needed || slip !== null);
  return scribe.step({
    law: 'evaluate',
    phase: { kind: 'difference', serves: place },
    takes: [
      ...minuend.at(place),
      ...(bare ? [] : [scribe.owes(1, place)]),
      ...minuend.raisedAt(place),
    ],
    writes: written ? [answerFigure(result, place)] : [],
    phrase: slip
      ? phrase('decomposition.slipped', {
          slip,
          top,
          bottom,
          place,
          lastLower: subtrahend.digits.at(-1)!,
          result: result ?? 0,
        })
      : phrase('decomposition.column', {
          top,
          bottom,
          bare,
          place,
          written,
          result: due,
          slip: left,
        }),
  });
}

/** Ten of a place, before the figure that stands there after so many rewritings. */
const littleOne: WritePlace = (count, place, row, from) => ({
  role: 'little one',
  count,
  place: place + 1,
  spot: { area: 'front', row, column: place },
  from,
});

/** A little one at a figure of the subtrahend, where a learner mixes in another method. */
function raise(place: number): Writing {
  return {
    role: 'little one',
    count: -1,
    place,
    glyph: '1',
    spot: { area: 'below', row: 0, column: place },
  };
}

function sheet(trace: Trace): Sheet {
  const width = mostPlaces(trace.problem.operands) + 1;
  const raised = trace.steps.some(({ gives }) => gives.some(({ spot }) => spot.area === 'below'));
  const room = trace.school['filled'] === 'one-in-front' || raised ? LITTLE : 0;
  const figure = (place: number, y: number) => afterLittle(place, y, room);
  return draftSheet(trace, {
    areas: {
      top: ({ column }) => figure(column, 0),
      bottom: ({ column }) => figure(column, 1),
      regrouped: ({ row, column }) => ({ ...figure(column, -1 - row), size: 'small' }),
      front: ({ row, column }) => ({ ...placeSquare(column, -row), width: LITTLE, size: 'small' }),
      below: ({ column }) => ({ ...placeSquare(column, 1), width: LITTLE, size: 'small' }),
      answer: ({ column }) => figure(column, 2),
    },
    rulings: [placeRule(width, 2)],
    signs: [minusSign(trace.problem)],
  });
}
