import { where } from '../../account/chance.ts';
import type { Mark } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { definePhrases, plain } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method.ts';
import type { Addend } from '../shared/add-columns.ts';
import { mostPlaces } from '../shared/sums.ts';

/** Slips in how addends are set under each other, and in which figures are added at all. */
export const ADDEND_SLIPS: readonly SlipSpec[] = [
  'set-from-the-left',
  'lone-figure-everywhere',
  'all-figures-added',
  'carry-to-the-right',
].map(slipOf);

/** The place of the lowest figure that is not zero. */
function lowest(digits: readonly number[]): number {
  return digits.findIndex((digit) => digit > 0);
}

/** By how many places every addend is set too far to the left. */
export function shiftsOf(scribe: Scribe, { operands }: Problem): readonly number[] {
  const width = mostPlaces(operands);
  return operands.map(({ digits }, k) => {
    const by = width - digits.length;
    const first = lowest(digits);
    const isSet = scribe.slip('set-from-the-left', by > 0 && first >= 0, {
      at: where('operand', k),
      ahead: first + by,
    });
    return isSet ? by : 0;
  });
}

/** Figures that a learner adds once more: the one figure of a short addend, in every column beside its own. */
export function lonelyFigures(scribe: Scribe, { operands }: Problem): readonly Addend[] {
  const width = mostPlaces(operands);
  return operands.flatMap(({ digits }, k) => {
    const [figure = 0] = digits;
    const may = digits.length === 1 && figure > 0 && width > 1 && operands.length === 2;
    const isMade = scribe.slip('lone-figure-everywhere', may, {
      at: where('operand', k),
      ahead: 1,
    });
    if (!isMade) return [];
    const others = Array.from({ length: width - 1 }, (_, place) => place + 1);
    return others.map((place) => ({ entry: null, count: figure, place }));
  });
}

export const addendPhrases = definePhrases({
  'column-addition.all-figures': plain(
    ({ figures, total }: { figures: readonly string[]; total: number }, say) =>
      `All figures are added as if each were ones: ${figures.join(' + ')} = **${say.number(total)}**.`,
  ),
  'column-addition.from-left': plain(
    (
      values: {
        figures: readonly string[];
        carried: number;
        total: number;
        stays: number;
        keep: number;
        last: boolean;
      },
      say,
    ) => {
      const { figures, carried, total, stays, keep, last } = values;
      const parts = carried > 0 ? [...figures, `${say.number(carried)} ${say.carried}`] : figures;
      const sum =
        parts.length > 1 ? `${parts.join(' + ')} = ${say.number(total)}` : `${parts[0] ?? '0'}`;
      if (last || keep === 0) return `${sum}: write **${say.number(total)}**.`;
      return `${sum}: write **${say.number(stays)}**, ${say.passOnFigures(keep)} to the right.`;
    },
  ),
});

const { phrase } = addendPhrases;

/** The whole answer where all figures are added as ones; null where they are not. */
export function allFiguresAdded(
  scribe: Scribe,
  figures: readonly Addend[],
): readonly Mark[] | null {
  const filled = figures.filter(({ count }) => count > 0);
  const may = filled.some(({ place }) => place > 0) && filled.length > 1;
  if (!scribe.slip('all-figures-added', may, { at: where('answer', 0) })) return null;
  const total = filled.reduce((sum, { count }) => sum + count, 0);
  const written = [...total.toString(scribe.base)].reverse().map((f) => parseInt(f, scribe.base));
  return scribe.step({
    law: 'place-value',
    phase: { kind: 'sum' },
    takes: figures.flatMap(({ entry }) => entry ?? []),
    writes: written.map((count, place) => ({
      role: 'answer' as const,
      count,
      place,
      spot: { area: 'answer', row: 0, column: place },
    })),
    phrase: phrase('column-addition.all-figures', {
      figures: filled.map(({ count }) => count.toString(scribe.base).toUpperCase()),
      total,
    }),
  });
}

/** One column as it is worked from the left. */
interface LeftColumn {
  readonly place: number;
  readonly here: readonly Addend[];
  readonly carried: number;
  readonly total: number;
  readonly stays: number;
  readonly keep: number;
}

/** The columns from the left, what is over carried to the right. */
function fromTheLeft(columns: readonly (readonly Addend[])[], base: number): readonly LeftColumn[] {
  let carried = 0;
  return columns
    .map((here, place) => ({ here, place }))
    .reverse()
    .map(({ here, place }): LeftColumn => {
      const total = here.reduce((sum, { count }) => sum + count, carried);
      const stays = place === 0 ? total : total % base;
      const keep = place === 0 ? 0 : Math.floor(total / base);
      const column = { place, here, carried, total, stays, keep };
      carried = keep;
      return column;
    });
}

/** The answer of a learner who works from the left and carries to the right; null where none does. */
export function carriedToTheRight(
  scribe: Scribe,
  figures: readonly Addend[],
): readonly Mark[] | null {
  const { base } = scribe;
  const columns: Addend[][] = [];
  for (const figure of figures) (columns[figure.place] ??= []).push(figure);
  const worked = fromTheLeft(columns, base);
  const first = worked.findIndex(({ keep }) => keep > 0);
  const last = worked.at(-1)!;
  // The total of the ones is written whole, so that all before it is read further to the left.
  const shift = last.total.toString(base).length - 1;
  const ahead = worked.findIndex(({ stays, keep }) => keep > 0 || (shift > 0 && stays > 0));
  const at = where('place', worked[first]?.place ?? 0);
  const chance = { at, ahead: Math.max(0, ahead) };
  if (!scribe.slip('carry-to-the-right', first >= 0, chance)) return null;
  let carry: Mark | null = null;
  return worked.flatMap(({ place, here, carried, total, stays, keep }) => {
    const entries = here.flatMap(({ entry }) => entry ?? []);
    const isLast = place === 0;
    const written = isLast
      ? [...total.toString(base)].reverse().map((f) => parseInt(f, base))
      : [stays];
    const from = isLast ? 0 : place + shift;
    const marks: readonly Mark[] = scribe.step({
      law: 'place-value',
      phase: { kind: 'sum' },
      takes: carry ? [...entries, carry] : entries,
      strikes: carry ? [carry] : [],
      writes: [
        ...written.map((count, k) => ({
          role: 'answer' as const,
          count,
          place: from + k,
          spot: { area: 'answer', row: 0, column: from + k },
        })),
        ...(keep > 0
          ? [
              {
                role: 'carry' as const,
                count: keep,
                place: place - 1,
                spot: { area: 'sum-carry', row: 0, column: place - 1 },
              },
            ]
          : []),
      ],
      phrase: phrase('column-addition.from-left', {
        figures: here.map(({ count }) => count.toString(base).toUpperCase()),
        carried,
        total,
        stays,
        keep,
        last: isLast,
      }),
    });
    carry = keep > 0 ? marks.at(-1)! : null;
    return marks.filter(({ role }) => role === 'answer');
  });
}
