import { slipOf } from '../../slips/catalogue.ts';
import { where } from '../../account/chance.ts';
import type { Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { digitAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { FORGET_SUM_CARRY, sumPhrases, totalOfLines } from '../shared/add-columns.ts';
import { marksIn, placeRule, placeSquare, widest } from '../shared/place-columns.ts';
import { orderSchool } from '../shared/schools.ts';
import { acceptsSum, mostPlaces } from '../shared/sums.ts';
import { countedWritings, zerosInFront } from '../shared/whole.ts';
import { addendArea, openAddends, plusSign } from './addend-rows.ts';

type PlaceValues = {
  readonly figures: readonly string[];
  readonly total: number;
  readonly place: number;
  readonly slip: string;
};

const placeTotal: Wording<PlaceValues> = {
  digit: ({ figures, total, place, slip }, say) => {
    const sum =
      figures.length === 1
        ? `Only ${figures[0]} here`
        : `${sumText(figures)} = ${say.number(total)}`;
    if (slip === 'skip-place') return `${sum}, but this line is passed over.`;
    if (slip === 'drop-zeros')
      return `${sum}: write **${say.number(total)}** and leave out the zeros.`;
    if (place === 0 || total === 0) return `${sum}: write **${say.number(total)}**.`;
    const zeros = place === 1 ? 'one zero' : `${place} zeros`;
    return `${sum}, then ${zeros}: write **${say.number(total)}${'0'.repeat(Math.min(place, 12))}${place > 12 ? '…' : ''}**.`;
  },
  value: ({ total, place, slip }, say) => {
    const sum = `The ${say.places(place)} of all addends make **${say.count(total, place)}**`;
    if (slip === 'skip-place') return `${sum}, but this line is passed over.`;
    if (slip === 'drop-zeros') return `${sum}, but only ${say.count(total, 0)} are written.`;
    return `${sum}, written whole on a line of its own.`;
  },
};

function sumText(figures: readonly string[]): string {
  return figures.length > 5 ? `${figures.length} figures` : figures.join(' + ');
}

const phrases = definePhrases({
  ...sumPhrases.wordings,
  'partial-sums.place': placeTotal,
  'partial-sums.line': plain(
    ({ place }: { place: number }, say) => `the ${say.places(place)} of all addends together`,
  ),
  'partial-sums.answer': fixed('answer of the partial sums'),
});

const { phrase } = phrases;

export const partialSums = defineMethod({
  id: 'partial-sums',
  family: 'addition',
  name: 'Partial sums',
  shortName: 'Partial sums',
  alsoCalled: ['place totals written whole', 'expanded column addition'],
  summary:
    'Every place is added by itself and its sum written whole on a line; the lines are added.',
  why: 'A sum may be taken apart into the sums of its places; nothing is carried until they are put together.',
  medium: 'on paper',
  direction: 'free; from the ones or from the largest',
  freeOrder: false,
  schools: [orderSchool('line')],
  slips: [
    {
      ...slipOf('drop-zeros'),
      mechanism: 'The sum of the tens is written as if it were ones: 90 as 9.',
    },
    slipOf('skip-place'),
    FORGET_SUM_CARRY,
  ],
  linesLike: { rank: 3, moves: ['places', 'worked-out'] },
  phrases: phrases.book,
  accepts: acceptsSum(),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  openAddends(scribe, problem);
  const places = filledColumns(problem);
  const inOrder = school['order'] === 'largest-first' ? places : [...places].reverse();
  const lines = inOrder.map((place, row) => writePlace(scribe, problem, place, row));
  return scribe.close(totalOfLines(scribe, lines), phrase('partial-sums.answer', {}));
}

/** Places in which some addend has a figure other than zero, largest first; the ones of zeros. */
function filledColumns({ operands }: Problem): readonly number[] {
  const all = Array.from({ length: mostPlaces(operands) }, (_, place) => place).reverse();
  const filled = all.filter((place) => operands.some((addend) => digitAt(addend, place) > 0));
  return filled.length > 0 ? filled : [0];
}

function writePlace(
  scribe: Scribe,
  { operands }: Problem,
  place: number,
  row: number,
): readonly Mark[] {
  const there = operands.flatMap(({ digits }, k) => (place < digits.length ? [k] : []));
  const figures = there.map((k) => digitAt(operands[k]!, place));
  const total = figures.reduce((sum, figure) => sum + figure, 0);
  const dropped = scribe.slip('drop-zeros', total > 0 && place > 0, { at: where('place', place) });
  const skipped = scribe.slip('skip-place', total > 0, { at: where('place', place) });
  const zeros = dropped || total === 0 ? 0 : place;
  const at = { area: 'place-total', row };
  const figured = skipped ? [] : countedWritings('place total', total, zeros, at, scribe.base);
  const marks = scribe.step({
    law: 'evaluate',
    phase: { kind: 'places' },
    takes: there.map((k) => scribe.owes(k, place)),
    writes: [...figured, ...zerosInFront(figured, scribe.leastPlaces, at)],
    phrase: phrase('partial-sums.place', {
      figures: figures.map((figure) => figure.toString(scribe.base).toUpperCase()),
      total,
      place,
      slip: skipped ? 'skip-place' : dropped ? 'drop-zeros' : '',
    }),
  });
  scribe.group(`place-${place}`, 'place total', marks, phrase('partial-sums.line', { place }));
  return marks.slice(0, figured.length);
}

function sheet(trace: Trace): Sheet {
  const { operands } = trace.problem;
  const rows = operands.length;
  const lines = trace.groups.filter((group) => group.role === 'place total').length;
  const carries = marksIn(trace, 'sum-carry').length > 0;
  const first = carries ? rows + 1 : rows;
  const width = widest(trace, mostPlaces(operands) + 1);
  const rules = [placeRule(width, rows)];
  return draftSheet(trace, {
    areas: {
      addend: addendArea,
      'place-total': ({ row, column }, { glyph }) => ({
        ...placeSquare(column, first + row),
        x: 1 - column - glyph.length,
        width: glyph.length,
        spread: true,
      }),
      'sum-carry': ({ column }) => ({ ...placeSquare(column, rows), size: 'small' }),
      answer: ({ column }) => placeSquare(column, first + lines),
    },
    rulings: lines > 1 ? [...rules, placeRule(width, first + lines)] : rules,
    signs: [plusSign(trace.problem)],
  });
}
