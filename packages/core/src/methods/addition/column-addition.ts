import type { Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { definePhrases, fixed, plain } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import {
  addColumns,
  answerOf,
  FORGET_SUM_CARRY,
  sumPhrases,
  WHOLE_COLUMN_TOTAL,
} from '../shared/add-columns.ts';
import { TOTAL_SLIPS } from '../shared/sum-slips.ts';
import { placeRule, placeSquare, widest } from '../shared/place-columns.ts';
import { acceptsSum, mostPlaces } from '../shared/sums.ts';
import {
  ADDEND_SLIPS,
  addendPhrases,
  allFiguresAdded,
  carriedToTheRight,
  lonelyFigures,
  shiftsOf,
} from './addend-slips.ts';
import { addendArea, digitAddends, isUsed, openAddends, plusSign } from './addend-rows.ts';

const phrases = definePhrases({
  ...sumPhrases.wordings,
  ...addendPhrases.wordings,
  'column-addition.column': plain(
    ({ place }: { place: number }, say) => `the ${say.places(place)} of all addends`,
  ),
  'column-addition.so-far': plain(
    ({ place }: { place: number }, say) => `sum of all places up to the ${say.places(place)}`,
  ),
  'column-addition.answer': fixed('answer of the column addition'),
});

const { phrase } = phrases;

export const columnAddition = defineMethod({
  id: 'column-addition',
  family: 'addition',
  name: 'Column addition',
  shortName: 'Column',
  alsoCalled: ['column method', 'vertical addition with carrying'],
  summary:
    'The addends stand under each other; each place is added, and tens of it are carried on.',
  why: 'Addends may be added place by place in any order, and ten of a place are one of the next.',
  medium: 'on paper',
  direction: 'from the ones to the left',
  freeOrder: false,
  schools: [
    {
      id: 'carries',
      label: 'Carries',
      options: [
        { id: 'above', label: 'above', reason: 'They stand with the figures they join.' },
        {
          id: 'below',
          label: 'below',
          reason: 'They stand over the line, last in the column, and the top stays free.',
        },
      ],
    },
  ],
  slips: [FORGET_SUM_CARRY, WHOLE_COLUMN_TOTAL, ...TOTAL_SLIPS, ...ADDEND_SLIPS],
  phrases: phrases.book,
  accepts: acceptsSum(),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem): Trace {
  const shifts = openAddends(scribe, problem, () => shiftsOf(scribe, problem));
  const figures = digitAddends(scribe, problem, shifts);
  const lonely = lonelyFigures(scribe, problem);
  const other = allFiguresAdded(scribe, figures) ?? carriedToTheRight(scribe, figures);
  if (other) return scribe.close(other, phrase('column-addition.answer', {}));
  const columns = addColumns(scribe, {
    figures: [...figures, ...lonely],
    what: 'addends',
    carryMedium: 'paper',
    strikes: true,
    maySlip: true,
  });
  for (const { place, entries } of columns) {
    if (entries.length < 2) continue;
    const name = phrase('column-addition.column', { place });
    scribe.group(`column-${place}`, 'column', entries, name);
  }
  columns.slice(0, -1).forEach(({ place, marks }, k) => {
    const below = answerOf(columns.slice(0, k));
    const name = phrase('column-addition.so-far', { place });
    scribe.group(`up-to-${place}`, 'subtotal', [...below, ...marks], name);
  });
  return scribe.close(answerOf(columns), phrase('column-addition.answer', {}));
}

function sheet(trace: Trace): Sheet {
  const { operands } = trace.problem;
  const rows = operands.length;
  const below = trace.school['carries'] === 'below' && isUsed(trace, 'sum-carry');
  const rule = below ? rows + 1 : rows;
  const width = widest(trace, mostPlaces(operands) + 1);
  return draftSheet(trace, {
    areas: {
      addend: addendArea,
      'sum-carry': ({ column }) => ({ ...placeSquare(column, below ? rows : -1), size: 'small' }),
      answer: ({ column }) => placeSquare(column, rule),
    },
    rulings: [placeRule(width, rule)],
    signs: [plusSign(trace.problem)],
  });
}
