import { placeCut } from '../../account/cut.ts';
import type { Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { digitAt, worthAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Box, Sheet, SheetSign } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { acceptsDifference, mostPlaces } from '../shared/sums.ts';
import { wholeWriting } from '../shared/whole.ts';
import { Minuend, REGROUP, REGROUPING_SLIPS } from './regrouping.ts';
import { move } from './regrouping-words.ts';
import {
  columnDifference,
  columnName,
  differenceFact,
  groupColumns,
  makes,
  twoNumbers,
  type TwoNumbers,
} from './two-rows.ts';

type PartValues = {
  readonly topCount: number;
  readonly bottomCount: number;
  readonly result: number;
  readonly place: number;
  readonly slip: string;
};

const part: Wording<PartValues> = {
  digit: ({ topCount, bottomCount, result: count, place, slip }, say) => {
    const [top, bottom] = [topCount, bottomCount].map((count) => worthAt(count, say.base, place));
    if (slip === 'zero-minus-is-zero')
      return `From ${say.amount(top!)} nothing can be taken: write **0**.`;
    const [upper, lower] = slip === '' ? [top!, bottom!] : [bottom!, top!];
    const result = say.amount(worthAt(count, say.base, place));
    return `${say.amount(upper)} − ${say.amount(lower)} ${makes(topCount, bottomCount, count)} **${result}**${slip === '' ? '' : ', the smaller from the larger'}.`;
  },
  value: ({ topCount: top, bottomCount: bottom, result, place, slip }, say) =>
    columnDifference.value({ top, bottom, result, place, bare: false, written: true, slip }, say),
};

const phrases = definePhrases({
  'expanded.move': move,
  'expanded.part': part,
  'expanded.pair': columnName,
  'expanded.sum': plain(({ parts, to }: { parts: readonly Exact[]; to: Exact }, say) => {
    if (parts.length < 2) return `Only one part is left: **${say.amount(to)}**.`;
    const sum = parts.map((one) => say.amount(one)).join(' + ');
    return `${parts.length > 6 ? `The ${parts.length} parts` : sum} = **${say.amount(to)}**.`;
  }),
  'expanded.difference': plain(
    ({ place }: { place: number }, say) => `the difference of the ${say.places(place)}`,
  ),
  'expanded.regrouped': fixed('the minuend as it is regrouped'),
  'expanded.answer': fixed('answer of the expanded subtraction'),
});

const { phrase } = phrases;

export const expandedSubtraction = defineMethod({
  id: 'expanded-subtraction',
  family: 'subtraction',
  name: 'Expanded subtraction',
  shortName: 'Expanded',
  alsoCalled: ['subtraction in expanded form', 'splitting both numbers'],
  summary: 'Both numbers stand in expanded form, and a whole hundred is seen moving to the tens.',
  why: 'Both numbers are the sums of their parts, and a hundred among the tens is still a hundred.',
  medium: 'on paper',
  direction: 'from the ones to the left; the scan from the largest place down',
  freeOrder: false,
  schools: [REGROUP],
  slips: REGROUPING_SLIPS,
  phrases: phrases.book,
  accepts: acceptsDifference(false),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const numbers = twoNumbers(problem);
  const { base } = problem;
  const { subtrahend } = numbers;
  scribe.openSum(problem.operands.map(placeCut));
  problem.operands.forEach(({ digits }, row) =>
    digits.forEach((_, column) =>
      scribe.give(row, column, 'operand part', { area: 'given', row, column }),
    ),
  );
  const minuend = expandedMinuend(scribe, numbers);
  const scans = school['regroup'] === 'scan-first';
  if (scans) minuend.scan();
  const single = numbers.minuend.digits.length === 1;
  const parts = numbers.minuend.digits.map((_, place) => {
    if (!scans) minuend.repair(place, false);
    minuend.chanceAt(place);
    const top = minuend.counts[place]!;
    const bottom = digitAt(subtrahend, place);
    const slip = minuend.leftShort.get(place) ?? '';
    const usesFact = slip !== 'zero-minus-is-zero';
    const due = usesFact ? differenceFact(scribe, top, bottom, place) : 0;
    const result = worthAt(due, base, place);
    const spot = { area: single ? 'answer' : 'difference', row: 0, column: place };
    const [mark] = scribe.step({
      law: 'evaluate',
      phase: { kind: 'differences', serves: place },
      takes: [
        ...minuend.at(place),
        ...(place < subtrahend.digits.length ? [scribe.owes(1, place)] : []),
      ],
      writes: [wholeWriting(single ? 'answer' : 'place total', result, spot, base)],
      phrase: phrase('expanded.part', {
        topCount: top,
        bottomCount: bottom,
        result: due,
        place,
        slip,
      }),
    });
    const name = phrase('expanded.difference', { place });
    if (!single) scribe.group(`difference-${place}`, 'place total', [mark!], name);
    return mark!;
  });
  groupColumns(scribe, numbers, (place) => phrase('expanded.pair', { place }));
  const regrouped = minuend.regrouped();
  if (regrouped.length > 0)
    scribe.group('regrouped', 'line', regrouped, phrase('expanded.regrouped', {}));
  return scribe.close(single ? parts : gathered(scribe, parts), phrase('expanded.answer', {}));
}

/** The minuend in parts, each written anew with its zeros when it is regrouped. */
function expandedMinuend(scribe: Scribe, numbers: TwoNumbers): Minuend {
  const { base } = scribe;
  return new Minuend(
    scribe,
    numbers,
    (count, place, row, from) =>
      wholeWriting(
        'regrouped digit',
        worthAt(count, base, place),
        { area: 'regrouped', row, column: place },
        base,
        { from },
      ),
    (values) => phrase('expanded.move', values),
  );
}

/** The differences of the places put together. */
function gathered(scribe: Scribe, parts: readonly Mark[]): readonly Mark[] {
  const shown = parts
    .map(({ worth }) => worth)
    .filter((worth) => !worth.isZero)
    .reverse();
  const to = Exact.sum(shown);
  return scribe.step({
    law: 'place-value',
    phase: { kind: 'together' },
    takes: parts,
    writes: [wholeWriting('answer', to, { area: 'answer', row: 0, column: 0 }, scribe.base)],
    phrase: phrase('expanded.sum', { parts: shown.length > 0 ? shown : [Exact.ZERO], to }),
  });
}

/** A part of place p has up to p + 2 figures once it is regrouped; columns grow to the left. */
function sheet(trace: Trace): Sheet {
  const { operands } = trace.problem;
  const places = mostPlaces(operands);
  const widths = Array.from({ length: places }, (_, place) => Math.ceil((place + 2) * 0.7));
  const left: number[] = [];
  widths.forEach((width, place) => left.push((place === 0 ? 1 : left[place - 1]! - 1) - width));
  const at = (place: number, y: number): Box => ({
    x: left[place]!,
    y,
    width: widths[place]!,
    height: 1,
  });
  const single = places === 1;
  const plus = (place: number, y: number): SheetSign => ({
    sign: 'plus',
    x: left[place]! - 1,
    y,
    width: 1,
    height: 1,
  });
  const between = (count: number) => Array.from({ length: count - 1 }, (_, place) => place);
  const signs: SheetSign[] = [
    ...between(places).flatMap((place) => [plus(place, 0), plus(place, 2)]),
    ...between(operands[1]!.digits.length).map((place) => plus(place, 1)),
    { sign: 'minus', x: left[places - 1]! - 1, y: 1, width: 1, height: 1 },
    ...(single ? [] : [{ sign: 'equals' as const, x: 1, y: 2, width: 1, height: 1 }]),
  ];
  const answerWidth = Math.ceil(places * 0.7 + 0.3);
  return draftSheet(trace, {
    areas: {
      given: ({ row, column }) => at(column, row),
      regrouped: ({ row, column }) => at(column, -1 - row),
      difference: ({ column }) => at(column, 2),
      answer: () => (single ? at(0, 2) : { x: 2, y: 2, width: answerWidth, height: 1 }),
    },
    rulings: [{ kind: 'line', x1: left[places - 1]! - 1, y1: 2, x2: 1, y2: 2, weight: 'heavy' }],
    signs,
  });
}
