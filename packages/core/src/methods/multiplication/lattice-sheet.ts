import type { Trace } from '../../account/account.ts';
import { boxRulings } from '../../sheet/box-rulings.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Box, Ruling, Sheet } from '../../sheet/sheet.ts';
import { twoFactors } from './two-factors.ts';

/** Squares a cell is wide and high: the tens in its upper left square, the ones in its lower right. */
const CELL = 2;

/**
 * The box with its cells, each split from its upper right to its lower left. Diagonals run on past
 * the left and lower edges, between the totals.
 */
export function latticeSheet(trace: Trace): Sheet {
  const { top, bottom } = twoFactors(trace.problem);
  const columns = top.digits.length;
  const rows = bottom.digits.length;
  const width = columns * CELL;
  const height = rows * CELL;
  const edgeX = trace.school['second-factor'] === 'left' ? -3 : width;

  const edges = Array.from({ length: columns + 1 }, (_, k) => k * CELL);

  const cellX = (i: number) => (columns - 1 - i) * CELL;
  const cellY = (j: number) => (rows - 1 - j) * CELL;

  return draftSheet(trace, {
    areas: {
      top: ({ column }) => ({ x: cellX(column), y: -1, width: CELL, height: 1 }),
      edge: ({ row }) => ({ x: edgeX, y: cellY(row) + 0.5, width: 1, height: 1 }),
      upper: ({ row, column }) => ({ x: cellX(column), y: cellY(row), width: 1, height: 1 }),
      lower: ({ row, column }) => ({
        x: cellX(column) + 1,
        y: cellY(row) + 1,
        width: 1,
        height: 1,
      }),
      total: ({ column }) => totalBox(column),
      carry: ({ column }) => ({ ...carryBox(column), size: 'small' }),
    },
    slot: (_, [i = 0, j = 0]) => ({ x: cellX(i), y: cellY(j), width: CELL, height: CELL }),
    rulings: [...boxRulings(edges, rows, CELL), ...diagonals(columns, rows)],
    signs: [{ sign: 'times', x: edgeX, y: -1, width: 1, height: 1 }],
  });

  /** Where the strip of a place leaves the box: under it for the lower places, else at its left. */
  function totalBox(place: number): Box {
    if (place < columns) return { x: cellX(place), y: height, width: 1, height: 1 };
    return { x: -1, y: cellY(place - columns) + 1, width: 1, height: 1 };
  }

  /** At the head of the strip of a place: its upper right end, beside the diagonal. */
  function carryBox(place: number): Box {
    if (place < rows) return { x: width - 0.5, y: cellY(place) + 0.5, width: 0.5, height: 0.5 };
    return { x: cellX(place - rows) + 1, y: 0, width: 0.5, height: 0.5 };
  }
}

/** One for each boundary between two places, from the upper or right edge out past the box. */
function diagonals(columns: number, rows: number): readonly Ruling[] {
  return Array.from({ length: columns + rows - 1 }, (_, k): Ruling => {
    const sum = (k + 1) * CELL;
    const startY = Math.max(0, sum - columns * CELL);
    const endX = Math.max(0, sum - rows * CELL) - 1;
    return {
      kind: 'diagonal',
      x1: sum - startY,
      y1: startY,
      x2: endX,
      y2: sum - endX,
      weight: 'thin',
    };
  });
}
