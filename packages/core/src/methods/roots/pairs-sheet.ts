import type { Mark, Trace } from '../../account/account.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Ruling, Sheet, SheetSign } from '../../sheet/sheet.ts';
import { marksIn } from '../shared/place-columns.ts';

/** Squares a pair is wide. */
const PAIR = 2;
/** Squares a figure takes in a number that is written whole. */
const FIGURE = 0.72;

/**
 * A bar over the number and one at its left, its pairs ticked; the root on top, what is laid and what is left
 * under it, the doubled root with its boxes at the left, the trials at the right.
 */
export function pairsSheet(trace: Trace): Sheet {
  const work = marksIn(trace, 'work');
  const columns = [...trace.givens, ...marksIn(trace, 'root'), ...work].map(
    ({ spot }) => spot.column,
  );
  const [top, last] = [Math.max(...columns), Math.min(...columns)];
  const x = (place: number) => (top - place) * PAIR;
  const right = x(last) + PAIR;
  const doubled = marksIn(trace, 'doubled');
  const side = Math.max(1, ...doubled.map(({ glyph }) => glyph.length * 0.6));
  const trials = trialRows(trace);
  const widest = Math.max(0, ...marksIn(trace, 'trial').map(({ glyph }) => glyph.length * 0.36));
  const reach = (glyph: string) => Math.max(PAIR, Math.ceil(glyph.length * FIGURE));
  return draftSheet(trace, {
    areas: {
      number: ({ column }) => ({ x: x(column), y: 1, width: PAIR, height: 1 }),
      root: ({ column }) => ({ x: x(column), y: 0, width: PAIR, height: 1 }),
      work: ({ row, column }, { glyph, role }) => {
        const width = role === 'brought down' ? PAIR : reach(glyph);
        const box = { x: x(column) + PAIR - width, y: 1 + row, width, height: 1 };
        return {
          ...box,
          align: role === 'brought down' ? 'middle' : 'right',
          underlined: role === 'strip',
        };
      },
      doubled: ({ row }) => ({
        x: -side - 0.5,
        y: 1 + row,
        width: side,
        height: 1,
        align: 'right',
      }),
      left: (_, { glyph }) => ({
        x: right + 0.4,
        y: 0,
        width: Math.max(1, glyph.length * 0.6),
        height: 1,
      }),
      trial: (_, { id }) => ({
        x: right + 0.6,
        y: trials.get(id)!,
        width: widest,
        height: 1,
        size: 'small',
      }),
    },
    rulings: [
      { kind: 'line', x1: -0.3, y1: 1, x2: right, y2: 1, weight: 'heavy' },
      { kind: 'line', x1: -0.3, y1: 1, x2: -0.3, y2: 2, weight: 'heavy' },
      ...ticks(trace, x),
    ],
    signs: [...points(last, x), ...minuses(work, x, reach), ...boxes(doubled, x)],
  });
}

/** A small stroke between two pairs of the number. */
function ticks({ givens }: Trace, x: (place: number) => number): readonly Ruling[] {
  return givens.slice(1).map(({ spot }): Ruling => {
    const at = x(spot.column);
    return { kind: 'line', x1: at, y1: 1.7, x2: at, y2: 1.95, weight: 'thin' };
  });
}

/** The box of the next figure of the root, which comes with the doubled root and is filled by its digit. */
function boxes(doubled: readonly Mark[], x: (place: number) => number): readonly SheetSign[] {
  return doubled
    .filter(({ glyph }) => glyph.includes('▢'))
    .map(({ id, spot }) => ({
      sign: 'box',
      x: x(spot.column),
      y: 0,
      width: PAIR,
      height: 1,
      with: id,
    }));
}

/** The point in the number and in the root, where anything is worked behind it. */
function points(last: number, x: (place: number) => number): readonly SheetSign[] {
  if (last >= 0) return [];
  return [0, 1].map((y) => ({ sign: 'point', x: x(-1) - 0.5, y, width: 1, height: 1 }));
}

function minuses(
  work: readonly Mark[],
  x: (place: number) => number,
  reach: (glyph: string) => number,
): readonly SheetSign[] {
  return work
    .filter(({ role }) => role === 'strip')
    .map(({ id, glyph, spot }) => ({
      sign: 'minus',
      x: x(spot.column) + PAIR - reach(glyph) - 0.7,
      y: 1 + spot.row,
      width: 0.8,
      height: 1,
      with: id,
    }));
}

/** Trials stand under each other, those of a digit no higher than the row of its doubled root. */
function trialRows(trace: Trace): ReadonlyMap<string, number> {
  const rows = new Map<string, number>();
  let [y, next] = [1, 1];
  for (const { gives } of trace.steps) {
    for (const { id, role, spot } of gives) {
      if (spot.area === 'doubled') next = Math.max(next, 1 + spot.row);
      if (role !== 'trial') continue;
      y = Math.max(y, next);
      rows.set(id, y);
      y += 1;
    }
  }
  return rows;
}
