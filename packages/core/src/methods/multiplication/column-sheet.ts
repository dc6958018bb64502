import type { Mark, Trace } from '../../account/account.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet, SheetNote } from '../../sheet/sheet.ts';
import { marksIn, placeRule, placeSquare, widest } from '../shared/place-columns.ts';
import { factorsOnPaper, pairOnPaper } from './schools.ts';
import { lineText } from './two-factors.ts';

/** Squares that a carry at the side of its line takes. */
const BESIDE = 0.8;

/** Heading with rows of carries over it, lines with their small carries, the sum and its carries. */
export function columnSheet(trace: Trace): Sheet {
  const { top, bottom } = factorsOnPaper(trace);
  const carriesAbove = rowsOf(marksIn(trace, 'carry-above'));
  const carriesBelow = rowsOf(marksIn(trace, 'carry-below'));
  const written = rowsOf(marksIn(trace, 'line'));
  const carriesBeside = marksIn(trace, 'carry-side');
  const besideOf = (row: number) => carriesBeside.filter((mark) => mark.spot.row === row);
  const sumCarries = marksIn(trace, 'sum-carry').length > 0;
  const carriesUnderSum = trace.school['carries'] === 'below';
  const first = sumCarries && !carriesUnderSum ? 3 : 2;
  const {
    lineY,
    belowY,
    y: sumRule,
  } = linesDown(bottom.digits.length, first, {
    written,
    carriesBelow,
  });
  const single = written.length === 1;
  const heading = Math.max(top.digits.length, bottom.digits.length) + 1;
  const width = widest(trace, heading);
  return draftSheet(trace, {
    areas: {
      top: ({ column }) => placeSquare(column, 0),
      bottom: ({ column }) => placeSquare(column, 1),
      line: ({ row, column }) => placeSquare(column, lineY[row]!),
      answer: ({ column }) => placeSquare(column, sumRule),
      'carry-above': ({ row, column }) => ({
        ...placeSquare(column, -1 - carriesAbove.indexOf(row)),
        size: 'small',
      }),
      'carry-below': ({ row, column }) => ({ ...placeSquare(column, belowY[row]!), size: 'small' }),
      'carry-side': ({ row, column }) => {
        const before = besideOf(row).filter(({ spot }) => spot.column < column).length;
        const box = { x: 1.2 + before * BESIDE, y: lineY[row]!, width: BESIDE, height: 1 };
        return { ...box, size: 'small' };
      },
      'sum-carry': ({ column }) => ({
        ...placeSquare(column, carriesUnderSum ? sumRule + 1 : 2),
        size: 'small',
      }),
    },
    slot: (_, parts) => {
      const [i, j] = pairOnPaper(trace, parts);
      return placeSquare(i + j, lineY[j]!);
    },
    rulings: single ? [placeRule(width, 2)] : [placeRule(heading, 2), placeRule(width, sumRule)],
    signs: [{ sign: 'times', ...placeSquare(heading - 1, 1) }],
    notes: single ? [] : written.map((j) => lineNote(trace, j, lineY[j]!)),
  });

  function lineNote(of: Trace, j: number, at: number): SheetNote {
    const group = of.groups.find((candidate) => candidate.id === `line-${j}`);
    const beside = Math.max(0, ...written.map((row) => besideOf(row).length)) * BESIDE;
    // A line that is not what it stands for is only said to be meant for it.
    const isTrue = !group || group.worth.equals(group.terms.worth());
    const text = `${isTrue ? '' : 'for '}${lineText(top, bottom, j)}`;
    return { x: 1.4 + beside, y: at, text, marks: group?.marks ?? [] };
  }
}

/** How far down every line stands, and the carries below it; and what stands under them all. */
function linesDown(
  count: number,
  first: number,
  { written, carriesBelow }: Readonly<Record<'written' | 'carriesBelow', readonly number[]>>,
) {
  const lineY: number[] = [];
  const belowY: number[] = [];
  let y = first;
  for (let j = 0; j < count; j++) {
    // A row of zeros that is left out has no line of its own.
    lineY[j] = y;
    if (!written.includes(j)) continue;
    y++;
    if (carriesBelow.includes(j)) belowY[j] = y++;
  }
  return { lineY, belowY, y };
}

/** The rows that hold any of these marks, first row first. */
function rowsOf(marks: readonly Mark[]): readonly number[] {
  return [...new Set(marks.map((mark) => mark.spot.row))].sort((a, b) => a - b);
}
