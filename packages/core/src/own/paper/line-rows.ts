import type { Box } from '../../sheet/sheet.ts';

/** One thing on a line, as it would lie if all of the line stood on one row; in squares. */
export interface Item {
  readonly x: number;
  readonly width: number;
  /** Whether a row may begin with it. */
  readonly mayBreak: boolean;
  /** Puts it where it lies in the end. */
  readonly lay: (box: Box) => void;
}

/** A thing and where it lies on its row. */
export interface Laid {
  readonly x: number;
  readonly item: Item;
}

/** A line in rows that are not wider than `widest`, where its parts are not; further rows are set in by `indent`. */
export function inRows(
  items: readonly Item[],
  widest: number,
  indent: number,
): readonly (readonly Laid[])[] {
  const rows: Laid[][] = [];
  let shift = 0;
  for (const part of partsOf(items)) {
    const [first] = part;
    const end = endAt(part) + shift;
    if (rows.length === 0) rows.push([]);
    else if (end > widest && first!.x + shift > indent) {
      rows.push([]);
      shift = indent - first!.x;
    }
    rows.at(-1)!.push(...part.map((item) => ({ x: item.x + shift, item })));
  }
  return rows;
}

/** Where the last row ends. */
export function endOf(rows: readonly (readonly Laid[])[]): number {
  return Math.max(0, ...(rows.at(-1) ?? []).map(({ x, item }) => x + item.width));
}

/** What stays together: a sign with what it stands before. */
function partsOf(items: readonly Item[]): readonly (readonly Item[])[] {
  const parts: Item[][] = [];
  for (const item of items) {
    const part = parts.at(-1);
    if (part && !item.mayBreak) part.push(item);
    else parts.push([item]);
  }
  return parts;
}

function endAt(part: readonly Item[]): number {
  return Math.max(...part.map(({ x, width }) => x + width));
}
