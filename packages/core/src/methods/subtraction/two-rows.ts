import { figureFeatures, where, type Feature } from '../../account/chance.ts';
import { placeCut } from '../../account/cut.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt, wholeText, type Numeral } from '../../exact/numeral.ts';
import { plain, type Wording } from '../../phrases/phrasebook.ts';
import { problemValue, type Problem } from '../../problem/problem.ts';
import type { SheetSign } from '../../sheet/sheet.ts';
import { placeSquare } from '../shared/place-columns.ts';
import { mostPlaces } from '../shared/sums.ts';

export interface TwoNumbers {
  readonly minuend: Numeral;
  readonly subtrahend: Numeral;
}

/** The numbers of a difference. RangeError for a problem that has only one. */
export function twoNumbers({ operands }: Problem): TwoNumbers {
  const [minuend, subtrahend] = operands;
  if (!minuend || !subtrahend) throw new RangeError('twoNumbers: a difference has two numbers');
  return { minuend, subtrahend };
}

/** Opens the account with every digit of both numbers and puts them under each other. */
export function openTwoRows(scribe: Scribe, problem: Problem): TwoNumbers {
  const numbers = twoNumbers(problem);
  scribe.openSum(problem.operands.map(placeCut));
  [numbers.minuend, numbers.subtrahend].forEach(({ digits }, k) =>
    digits.forEach((_, column) =>
      scribe.give(k, column, 'operand digit', { area: ROWS[k]!, row: 0, column }),
    ),
  );
  return numbers;
}

const ROWS = ['top', 'bottom'] as const;

/** The digits of both numbers in a place, as owed entries; a number has none beyond its left end. */
export function digitsOwed(scribe: Scribe, { minuend, subtrahend }: TwoNumbers, place: number) {
  return {
    top: place < minuend.digits.length ? scribe.owes(0, place) : null,
    bottom: place < subtrahend.digits.length ? scribe.owes(1, place) : null,
  };
}

/** What the figures of a place are like, for a learner's habit. */
export function placeFeatures(
  { minuend, subtrahend }: TwoNumbers,
  place: number,
): readonly Feature[] {
  return figureFeatures(
    digitAt(minuend, place),
    place < subtrahend.digits.length ? digitAt(subtrahend, place) : undefined,
    place + 1 < minuend.digits.length ? digitAt(minuend, place + 1) : undefined,
  );
}

/** The digit pairs of every place, read down as columns: what place by place differences hold. */
export function groupColumns(
  scribe: Scribe,
  numbers: TwoNumbers,
  name: (place: number) => Parameters<Scribe['group']>[3],
): void {
  const places = Math.min(numbers.minuend.digits.length, numbers.subtrahend.digits.length);
  for (let place = 0; place < places; place++) {
    const { top, bottom } = digitsOwed(scribe, numbers, place);
    const pair = [top!, bottom!].filter((entry) => !entry.worth.isZero);
    if (pair.length === 2) scribe.group(`column-${place}`, 'column', pair, name(place));
  }
}

/** How many figures the true difference has; places from there on stay empty when they hold nothing. */
export function answerPlaces(problem: Problem): number {
  return wholeText(problemValue(problem), problem.base).replace('−', '').length;
}

/** A figure of the answer in its place. */
export function answerFigure(count: number, place: number): Writing {
  return { role: 'answer', count, place, spot: { area: 'answer', row: 0, column: place } };
}

/** The breadth of a little one, which stands before a figure in the same square. */
export const LITTLE = 0.3;

/** Where a figure stands that leaves room before it. */
export function afterLittle(place: number, y: number, room: number = LITTLE) {
  const square = placeSquare(place, y);
  return { ...square, x: square.x + room, width: square.width - room };
}

/** What the difference of two figures is taken for, the smaller from the larger. */
export function differenceFact(scribe: Scribe, top: number, bottom: number, place: number): number {
  const [upper, lower] = [Math.max(top, bottom), Math.min(top, bottom)];
  const due = upper - lower;
  const most = Math.max(due, scribe.base - 1);
  const fact = { sign: '−', of: [upper, lower], due, most } as const;
  return lower === 0 ? upper : scribe.fact(fact, where('place', place));
}

/** How a difference of figures leads to what it is taken for. */
export function makes(top: number, bottom: number, result: number): string {
  return Math.abs(top - bottom) === result ? '=' : 'is taken for';
}

/** The minus sign before the subtrahend. */
export function minusSign({ operands }: Problem): SheetSign {
  return { sign: 'minus', ...placeSquare(mostPlaces(operands), 1) };
}

export type ColumnValues = {
  readonly top: number;
  readonly bottom: number;
  readonly result: number;
  readonly place: number;
  /** Whether the subtrahend has no figure here. */
  readonly bare: boolean;
  /** Whether the result is written; a zero in front is not. */
  readonly written: boolean;
  readonly slip: string;
};

/** One place subtracted, when the upper figure is large enough. */
export const columnDifference: Wording<ColumnValues> = {
  digit: ({ top, bottom, result, bare, written, slip }, say) => {
    if (slip === 'zero-minus-is-zero') {
      return `From ${say.number(top)} nothing can be taken: write **${say.number(result)}**.`;
    }
    if (slip === 'tail-not-filled') {
      return `The question has no figure above the ${say.number(bottom)}: it is brought down, **${say.number(result)}**.`;
    }
    if (slip !== '') {
      return `${say.number(bottom)} − ${say.number(top)} ${makes(top, bottom, result)} **${say.number(result)}**, the smaller from the larger.`;
    }
    const ending = written ? '' : ': no zero is written in front';
    if (bare)
      return `Nothing to take from ${say.number(top)}${written ? `: write **${say.number(result)}**` : ending}.`;
    return `${say.number(top)} − ${say.number(bottom)} ${makes(top, bottom, result)} **${say.number(result)}**${ending}.`;
  },
  value: ({ top, bottom, result, place, bare, written, slip }, say) => {
    const [upper, lower, rest] = [top, bottom, result].map((count) => say.count(count, place));
    if (slip === 'zero-minus-is-zero') {
      return `${upper} are fewer than ${lower}, and **${rest}** are written.`;
    }
    if (slip === 'tail-not-filled') {
      return `The question has no ${say.places(place)} to take ${lower} from: **${rest}** are brought down.`;
    }
    if (slip !== '') {
      return `${upper} are fewer than ${lower}, but the smaller is taken from the larger: **${rest}**.`;
    }
    const ending = written ? '' : ', and no zero is written in front';
    if (bare) return `From ${upper} nothing is taken${written ? `: **${rest}** stay` : ending}.`;
    const verb = makes(top, bottom, result) === '=' ? say.is(result) : 'is taken for';
    return `${say.opening(say.minus(upper!, lower!))} ${verb} **${rest}**${ending}.`;
  },
};

/** The name of a column of digits. */
export const columnName = plain(
  ({ place }: { place: number }, say) => `the ${say.places(place)} of both numbers`,
);
