import type { Given, Mark, OwedEntry, Trace } from '../../account/account.ts';
import { draftSheet, type SheetDraft } from '../../sheet/draft-sheet.ts';
import type { Sheet, SheetSign } from '../../sheet/sheet.ts';

/** A sign in front of a column's cell. */
export interface TableSign {
  readonly sign: SheetSign['sign'];
  readonly row: number;
  readonly column: number;
}

export interface Table {
  readonly signs: readonly TableSign[];
  /** Rows under which a line is ruled. */
  readonly ruled?: readonly number[];
  readonly links?: (box: (row: number, column: number) => Cell) => SheetDraft['links'];
  /** Where in the table the work for an owed entry goes. */
  readonly slot?: (entry: OwedEntry) => readonly [row: number, column: number] | null;
  /** A picture before the table: how wide it is, its rulings, and where what belongs to it is written. */
  readonly picture?: {
    readonly width: number;
    readonly rulings: SheetDraft['rulings'];
    readonly areas: SheetDraft['areas'];
  };
}

interface Cell {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const isFraction = (glyph: string) => /\d\/\d/.test(glyph);

/** Words stand on a line of their own and make no column wider. */
const isWords = ({ role }: Pick<Mark | Given, 'role'>) => role === 'words';

/** Squares that a number takes: a fraction as much as its longer number, a whole before it besides. */
function squares({ glyph, role }: Mark | Given): number {
  const size = role === 'side number' ? 0.45 : 0.66;
  const [whole = '', part = ''] =
    glyph.includes(' ') && isFraction(glyph) ? glyph.split(' ') : ['', glyph];
  const longest = isFraction(part)
    ? Math.max(...part.split('/').map((side) => side.length))
    : part.length;
  return (whole.length + longest) * size + (whole === '' ? 0.2 : 0.5);
}

/** Squares between columns, more where a sign stands between them. */
const GAP = 0.6;
const SIGN_GAP = 1.1;

/** The work for an owed entry goes where the step that takes it writes first. */
export function slotsOf({ steps }: Trace): NonNullable<Table['slot']> {
  return ({ id }) => {
    const step = steps.find(({ takes }) => takes.includes(id));
    const mark = step?.gives.find(
      ({ spot, role }) => spot.area === 'table' && role !== 'side number',
    );
    return mark ? [mark.spot.row, mark.spot.column] : null;
  };
}

/** Where the rows and columns of a table lie. */
interface Grid {
  readonly box: (row: number, column: number) => Cell;
  readonly heights: readonly number[];
  readonly width: number;
}

function gridOf(
  written: readonly (Mark | Given)[],
  { signs, ruled = [], picture }: Pick<Table, 'signs' | 'ruled' | 'picture'>,
): Grid {
  const at = written.map((of) => ({ of, row: of.spot.row, column: of.spot.column }));
  const rows = Math.max(...at.map(({ row }) => row)) + 1;
  const columns = Math.max(...at.map(({ column }) => column)) + 1;
  const heights = Array.from({ length: rows }, (_, row) => {
    const own = at.filter((one) => one.row === row);
    if (own.length === 0) return 0;
    return own.some(({ of }) => isFraction(of.glyph)) ? 2 : 1;
  });
  const widths = Array.from({ length: columns }, (_, column) => {
    const own = at.filter((one) => one.column === column && !isWords(one.of));
    return own.length === 0 ? 0 : Math.max(1, ...own.map(({ of }) => squares(of)));
  });
  const sum = (list: readonly number[], to: number) => list.slice(0, to).reduce((a, b) => a + b, 0);
  const gapBefore = (column: number) =>
    signs.some((one) => one.column === column) ? SIGN_GAP : GAP;
  const [, ...behind] = [...widths.keys()].filter((column) => widths[column]! > 0);
  const gaps = (to: number) => {
    const before = behind.filter((column) => column <= to).map(gapBefore);
    return sum(before, before.length);
  };
  const box = (row: number, column: number): Cell => ({
    x: (picture?.width ?? 0) + sum(widths, column) + gaps(column),
    y: sum(heights, row) + ruled.filter((after) => after < row).length * 0.2,
    width: widths[column]!,
    height: heights[row]!,
  });
  return { box, heights, width: sum(widths, columns) + gaps(columns - 1) };
}

/** A paper in rows and columns: fractions two squares high, side numbers small, signs between columns. */
export function tableSheet(trace: Trace, table: Table): Sheet {
  const { signs, ruled = [], links, picture, slot } = table;
  const marks = trace.steps.flatMap(({ gives }) => gives);
  const written = [...trace.givens, ...marks].filter(({ spot }) => spot.area === 'table');
  const { box, heights, width } = gridOf(written, table);
  return draftSheet(trace, {
    areas: {
      ...picture?.areas,
      table: ({ row, column }, { role, glyph }) => {
        const cell = box(row, column);
        if (isWords({ role })) return { ...cell, width: glyph.length * 0.45, size: 'side' };
        return role === 'side number' ? { ...cell, size: 'side' } : cell;
      },
    },
    rulings: [
      ...(picture?.rulings ?? []),
      ...ruled.map((row) => {
        const y = box(row, 0).y + heights[row]!;
        return { kind: 'line', x1: -1, y1: y, x2: width, y2: y, weight: 'heavy' } as const;
      }),
    ],
    signs: signs.flatMap(({ sign, row, column }) => {
      const cell = box(row, column);
      const y = cell.y + (cell.height - 1) / 2;
      const mark = marks.find(({ spot }) => spot.row === row && spot.column === column);
      if (mark && isWords(mark)) return [];
      // In front of a number that is narrower than its column, not of the column.
      const inset = sign === 'equals' && mark ? Math.max(0, cell.width - squares(mark)) / 2 : 0;
      const before = { x: cell.x + inset - SIGN_GAP, y, width: SIGN_GAP, height: 1 };
      return [{ sign, ...before, ...(mark ? { with: mark.id } : {}) }];
    }),
    ...(links ? { links: links(box) } : {}),
    ...(slot ? { slot: (entry) => boxAt(box, slot(entry)) } : {}),
  });
}

function boxAt(box: Grid['box'], at: readonly [number, number] | null): Cell | null {
  return at && box(...at);
}
