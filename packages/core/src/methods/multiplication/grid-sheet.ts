import type { Trace } from '../../account/account.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import { boxRulings } from '../../sheet/box-rulings.ts';
import type { Ruling, Sheet } from '../../sheet/sheet.ts';
import { marksIn } from '../shared/place-columns.ts';

/** Squares that a number of this many figures needs inside a cell. */
function squaresFor(figures: number): number {
  return Math.max(2, Math.ceil(figures * 0.62 + 0.4));
}

/** The parts of the first factor on top, of the second at the side, largest first. */
export function gridSheet(trace: Trace): Sheet {
  const heads = trace.givens.filter((given) => given.operand === 0).reverse();
  const sides = trace.givens.filter((given) => given.operand === 1).reverse();
  const cells = marksIn(trace, 'cell');
  const sideWidth = Math.max(...sides.map((side) => squaresFor(side.glyph.length)));
  const columns = heads.map((head) => {
    const inside = cells.filter((mark) => mark.spot.column === head.spot.column);
    const totals = marksIn(trace, 'column-total').filter(
      (mark) => mark.spot.column === head.spot.column,
    );
    return Math.max(...[head, ...inside, ...totals].map((mark) => squaresFor(mark.glyph.length)));
  });
  const edges = columns.reduce((all, width) => [...all, all.at(-1)! + width], [0]);
  const right = edges.at(-1)!;
  const cellHeight = 2;
  const bottom = sides.length * cellHeight;
  const columnOf = new Map(heads.map((head, k) => [head.spot.column, k]));
  const rowOf = new Map(sides.map((side, k) => [side.spot.row, k]));
  const rowTotals = marksIn(trace, 'row-total');
  const columnTotals = marksIn(trace, 'column-total');
  const list = marksIn(trace, 'list');
  const grand = marksIn(trace, 'grand')[0];
  const sideTotals = Math.max(
    0,
    ...[...rowTotals, ...list, ...(grand ? [grand] : [])].map((mark) =>
      squaresFor(mark.glyph.length),
    ),
  );
  const listTop = Math.max(0, bottom - list.length);
  const grandBox = grandPlace();

  const cellBox = (column: number, row: number) => {
    const k = columnOf.get(column) ?? 0;
    return {
      x: edges[k]!,
      y: (rowOf.get(row) ?? 0) * cellHeight,
      width: columns[k]!,
      height: cellHeight,
    };
  };
  return draftSheet(trace, {
    areas: {
      head: ({ column }) => ({ ...cellBox(column, 0), y: -1, height: 1 }),
      side: ({ row }) => ({
        x: -sideWidth,
        y: (rowOf.get(row) ?? 0) * cellHeight,
        width: sideWidth,
        height: cellHeight,
      }),
      cell: ({ row, column }) => cellBox(column, row),
      'row-total': ({ row }) => ({
        x: right + 0.5,
        y: (rowOf.get(row) ?? 0) * cellHeight,
        width: sideTotals,
        height: cellHeight,
      }),
      'column-total': ({ column }) => ({ ...cellBox(column, 0), y: bottom, height: 1 }),
      list: ({ row }) => ({ x: right + 0.5, y: listTop + row, width: sideTotals, height: 1 }),
      grand: () => grandBox,
    },
    slot: (_, [i = 0, j = 0]) => (columnOf.has(i) && rowOf.has(j) ? cellBox(i, j) : null),
    rulings: [...boxRulings(edges, sides.length, cellHeight), ...sumRule()],
    signs: [{ sign: 'times', x: -sideWidth, y: -1, width: sideWidth, height: 1 }],
  });

  /** Under the row totals or the list, or at the end of the column totals. */
  function grandPlace() {
    if (columnTotals.length > 0) return { x: right + 0.5, y: bottom, width: sideTotals, height: 1 };
    const y = Math.max(bottom, listTop + list.length);
    return { x: right + 0.5, y, width: sideTotals, height: 1 };
  }

  function sumRule(): Ruling[] {
    if (!grand || columnTotals.length > 0) return [];
    const { x, y, width } = grandBox;
    return [{ kind: 'line', x1: x, y1: y, x2: x + width, y2: y, weight: 'heavy' }];
  }
}
