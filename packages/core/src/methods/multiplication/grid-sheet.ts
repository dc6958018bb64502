import type { Mark, Trace } from '../../account/account.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import { boxRulings } from '../../sheet/box-rulings.ts';
import type { Box, Ruling, Sheet } from '../../sheet/sheet.ts';
import { marksIn } from '../shared/place-columns.ts';

/** Squares that a number of this many figures needs inside a cell. */
function squaresFor(figures: number): number {
  return Math.max(2, Math.ceil(figures * 0.62 + 0.4));
}

const CELL_HEIGHT = 2;

/** How wide everything is, and where it lies, in squares. */
function gridFrame(trace: Trace) {
  const heads = trace.givens.filter((given) => given.operand === 0).reverse();
  const sides = trace.givens.filter((given) => given.operand === 1).reverse();
  const [cells, rowTotals, columnTotals, list, grand] = [
    'cell',
    'row-total',
    'column-total',
    'list',
    'grand',
  ].map((area) => marksIn(trace, area)) as [Mark[], Mark[], Mark[], Mark[], Mark[]];
  const widest = (marks: readonly { readonly glyph: string }[]) =>
    Math.max(0, ...marks.map(({ glyph }) => squaresFor(glyph.length)));
  const columns = heads.map((head) => {
    const inside = [...cells, ...columnTotals].filter(
      (mark) => mark.spot.column === head.spot.column,
    );
    return widest([head, ...inside]);
  });
  const edges = columns.reduce((all, width) => [...all, all.at(-1)! + width], [0]);
  const bottom = sides.length * CELL_HEIGHT;
  const listTop = Math.max(0, bottom - list.length);
  // The grand total stands under the row totals or the list, or at the end of the column totals.
  const isAtEnd = columnTotals.length > 0;
  const grandBox: Box = {
    x: edges.at(-1)! + 0.5,
    y: isAtEnd ? bottom : Math.max(bottom, listTop + list.length),
    width: widest([...rowTotals, ...list, ...grand]),
    height: 1,
  };
  return {
    columns,
    edges,
    bottom,
    listTop,
    grandBox,
    sideWidth: widest(sides),
    rows: sides.length,
    columnOf: new Map(heads.map((head, k) => [head.spot.column, k])),
    rowOf: new Map(sides.map((side, k) => [side.spot.row, k])),
    hasRule: grand.length > 0 && !isAtEnd,
  };
}

/** The parts of the first factor on top, of the second at the side, largest first. */
export function gridSheet(trace: Trace): Sheet {
  const { columns, edges, bottom, listTop, grandBox, ...frame } = gridFrame(trace);
  const { sideWidth, rows, columnOf, rowOf, hasRule } = frame;
  const { x: right, width: totals } = grandBox;
  const rowY = (row: number) => (rowOf.get(row) ?? 0) * CELL_HEIGHT;
  const cellBox = (column: number, row: number): Box => {
    const k = columnOf.get(column) ?? 0;
    return { x: edges[k]!, y: rowY(row), width: columns[k]!, height: CELL_HEIGHT };
  };
  const sumRule: Ruling = {
    kind: 'line',
    x1: right,
    y1: grandBox.y,
    x2: right + totals,
    y2: grandBox.y,
    weight: 'heavy',
  };
  return draftSheet(trace, {
    areas: {
      head: ({ column }) => ({ ...cellBox(column, 0), y: -1, height: 1 }),
      side: ({ row }) => ({ x: -sideWidth, y: rowY(row), width: sideWidth, height: CELL_HEIGHT }),
      cell: ({ row, column }) => cellBox(column, row),
      'row-total': ({ row }) => ({ x: right, y: rowY(row), width: totals, height: CELL_HEIGHT }),
      'column-total': ({ column }) => ({ ...cellBox(column, 0), y: bottom, height: 1 }),
      list: ({ row }) => ({ x: right, y: listTop + row, width: totals, height: 1 }),
      grand: () => grandBox,
    },
    slot: (_, [i = 0, j = 0]) => (columnOf.has(i) && rowOf.has(j) ? cellBox(i, j) : null),
    rulings: [...boxRulings(edges, rows, CELL_HEIGHT), ...(hasRule ? [sumRule] : [])],
    signs: [{ sign: 'times', x: -sideWidth, y: -1, width: sideWidth, height: 1 }],
  });
}
