import type { Mark, Trace } from '../../account/account.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Ruling, Sheet, SheetNote } from '../../sheet/sheet.ts';
import { lineText, twoFactors } from './two-factors.ts';

/** A square of a place column: the ones stand at x = 0, the tens left of them. */
export function placeSquare(place: number, y: number) {
  return { x: -place, y, width: 1, height: 1 };
}

export interface StackRows {
  readonly lines: readonly number[];
  readonly sumCarry: number;
  readonly sumRule: number;
  readonly answer: number;
}

/** A line across the places 0 to `places` − 1. */
export function placeRule(places: number, y: number): Ruling {
  return { kind: 'line', x1: 1 - places, y1: y, x2: 1, y2: y, weight: 'heavy' };
}

/** All marks of a trace that lie in an area of the paper. */
export function marksIn(trace: Trace, area: string): readonly Mark[] {
  return trace.steps.flatMap((step) =>
    step.gives.filter((mark) => mark.spot.area === area && mark.medium === 'paper'),
  );
}

/** The most places any mark of the trace reaches, counting from the ones. */
export function widest(trace: Trace, least: number): number {
  let most = least;
  for (const step of trace.steps) {
    for (const mark of step.gives) most = Math.max(most, mark.spot.column + 1);
  }
  return most;
}

/** Heading with rows of carries over it, lines with their small carries, the sum and its carries. */
export function columnSheet(trace: Trace): Sheet {
  const { top, bottom } = twoFactors(trace.problem);
  const carriesAbove = rowsOf(marksIn(trace, 'carry-above'));
  const carriesBelow = rowsOf(marksIn(trace, 'carry-below'));
  const sumCarries = marksIn(trace, 'sum-carry').length > 0;
  const carriesUnderSum = trace.school['carries'] === 'below';
  const lineY: number[] = [];
  const belowY: number[] = [];
  let y = sumCarries && !carriesUnderSum ? 3 : 2;
  bottom.digits.forEach((_, j) => {
    lineY[j] = y++;
    if (carriesBelow.includes(j)) belowY[j] = y++;
  });
  const sumRule = y;
  const single = bottom.digits.length === 1;
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
      'sum-carry': ({ column }) => ({
        ...placeSquare(column, carriesUnderSum ? sumRule + 1 : 2),
        size: 'small',
      }),
    },
    slot: (_, [i = 0, j = 0]) => placeSquare(i + j, lineY[j]!),
    rulings: single ? [placeRule(width, 2)] : [placeRule(heading, 2), placeRule(width, sumRule)],
    signs: [{ sign: 'times', ...placeSquare(heading - 1, 1) }],
    notes: single ? [] : bottom.digits.map((_, j) => lineNote(trace, j, lineY[j]!)),
  });

  function lineNote(of: Trace, j: number, at: number): SheetNote {
    const group = of.groups.find((candidate) => candidate.id === `line-${j}`);
    return { x: 1.4, y: at, text: lineText(top, bottom, j), marks: group?.marks ?? [] };
  }
}

/** The rows that hold any of these marks, first row first. */
function rowsOf(marks: readonly Mark[]): readonly number[] {
  return [...new Set(marks.map((mark) => mark.spot.row))].sort((a, b) => a - b);
}
