import type { Entry, Mark, Spot } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { definePhrases, type Wording } from '../../phrases/phrasebook.ts';
import type { SlipSpec } from '../method.ts';

type ColumnValues = {
  readonly figures: readonly string[];
  readonly carried: number;
  readonly total: number;
  readonly place: number;
  readonly keep: number;
  readonly last: boolean;
  readonly lostCarry: boolean;
};

const column: Wording<ColumnValues> = {
  digit: ({ figures, carried, total, keep, last, lostCarry }, say) => {
    const parts =
      carried && !lostCarry ? [...figures, `${say.number(carried)} ${say.carried}`] : figures;
    const lost = lostCarry ? ` The ${say.number(carried)} ${say.carried} is forgotten.` : '';
    if (parts.length === 0) return `Only zeros here: write **0**.`;
    if (parts.length === 1) return `Only ${parts[0]} here: write **${say.number(total)}**.${lost}`;
    const sum = `${parts.length > 5 ? `${parts.length} figures` : parts.join(' + ')} = ${say.number(total)}`;
    if (last || total < say.base) return `${sum}: write **${say.number(total)}**.${lost}`;
    return `${sum}: write **${say.number(total % say.base)}**, ${say.passOnFigures(keep)}.${lost}`;
  },
  value: ({ figures, carried, total, place, keep, last, lostCarry }, say) => {
    const lost = lostCarry ? ` The ${say.count(carried, place)} ${say.carried} are forgotten.` : '';
    const places = say.places(place);
    if (figures.length === 0 && carried === 0) return `No line has any ${places}: write **0**.`;
    if (figures.length + (carried && !lostCarry ? 1 : 0) === 1) {
      return `The ${places} hold **${say.count(total, place)}** and nothing joins them.${lost}`;
    }
    const from =
      carried && !lostCarry ? ` with the ${say.count(carried, place)} ${say.carried}` : '';
    const sum = `The ${places} of all lines${from} make **${say.count(total, place)}**`;
    if (last || total < say.base) return `${sum}.${lost}`;
    return `${sum}: write ${say.count(total % say.base, place)}, ${say.passOn(keep, place + 1)}.${lost}`;
  },
};

export const sumPhrases = definePhrases({ 'sum.column': column });

export const FORGET_SUM_CARRY: SlipSpec = {
  id: 'forget-sum-carry',
  label: 'Carry of the sum forgotten',
  mechanism: 'A carry between two columns of the final sum is not added.',
};

export interface ColumnSum {
  /** Every figure to be added; placeholders may be left out or in, they are worth nothing. */
  readonly figures: readonly Mark[];
  readonly carryMedium: 'paper' | 'head';
  /** Strikes a carry once it is used. */
  readonly strikes: boolean;
}

/**
 * Adds written lines column by column from the ones: the final sum of every method that writes its
 * products under each other. A column's whole total above its last figure is carried, however many
 * figures it has; the last column's total is written whole. Returns the answer's figures.
 */
export function addColumns(scribe: Scribe, { figures, carryMedium, strikes }: ColumnSum): Mark[] {
  const columns = byPlace(figures);
  const answer: Mark[] = [];
  let carry: Mark | null = null;
  let carried = 0;
  const top = lastColumn(columns);
  for (let place = 0; place <= top; place++) {
    const here = columns[place] ?? [];
    const last = place === top;
    const lostCarry = scribe.slip(FORGET_SUM_CARRY.id, carried > 0);
    const kept = lostCarry ? 0 : carried;
    const total: number = here.reduce((sum, mark) => sum + parseInt(mark.glyph, scribe.base), kept);
    const keep = last ? 0 : Math.floor(total / scribe.base);
    const takes: Entry[] = carry ? [...here, carry] : here;
    const marks: readonly Mark[] = scribe.step({
      law: 'place-value',
      phase: 'sum',
      takes,
      strikes: carry && strikes ? [carry] : [],
      writes: [
        ...figuresOf(total, last, scribe.base).map((count, i) => ({
          role: 'answer' as const,
          count,
          place: place + i,
          spot: answerSpot(place + i),
        })),
        ...(keep > 0
          ? [
              {
                role: 'carry' as const,
                count: keep,
                place: place + 1,
                spot: carrySpot(place + 1),
                medium: carryMedium,
              },
            ]
          : []),
      ],
      phrase: sumPhrases.phrase('sum.column', {
        figures: here.map((mark) => mark.glyph),
        carried,
        total,
        place,
        keep,
        last,
        lostCarry,
      }),
    });
    carry = keep > 0 ? marks.at(-1)! : null;
    carried = keep;
    answer.push(...marks.filter((mark) => mark.role === 'answer'));
  }
  return answer;
}

function answerSpot(place: number): Spot {
  return { area: 'answer', row: 0, column: place };
}

function carrySpot(place: number): Spot {
  return { area: 'sum-carry', row: 0, column: place };
}

function byPlace(figures: readonly Mark[]): Mark[][] {
  const columns: Mark[][] = [];
  for (const mark of figures) (columns[mark.place ?? 0] ??= []).push(mark);
  return columns;
}

/** The last column worth writing: higher ones that hold only zeros would put zeros in front. */
function lastColumn(columns: readonly (readonly Mark[] | undefined)[]): number {
  for (let place = columns.length - 1; place > 0; place--) {
    if (columns[place]?.some((mark) => !mark.worth.isZero)) return place;
  }
  return 0;
}

/** One figure, or in the last column all figures of the total, ones first. */
function figuresOf(total: number, last: boolean, base: number): number[] {
  if (!last) return [total % base];
  return [...total.toString(base)].reverse().map((digit) => parseInt(digit, base));
}
