import type { Given, Mark } from '../../account/account.ts';
import type { Box, SheetSign } from '../../sheet/sheet.ts';

/** Squares that a term needs in a line; a coefficient that is a fraction stands over two squares. */
export function termWidth(glyph: string): number {
  const [, sign = '', top = '', bottom = '', letters = ''] =
    /^([−+]?)(\d+)\/(\d+) ?(.*)$/.exec(glyph) ?? [];
  const length =
    bottom === ''
      ? glyph.length
      : sign.length + Math.max(top.length, bottom.length) + letters.length;
  return Math.max(1, length * 0.62 + 0.25);
}

/** Whether a term must be written over two squares. */
export function isTall(glyph: string): boolean {
  return /\d\/\d/.test(glyph);
}

export function heightOf(written: readonly { readonly glyph: string }[]): number {
  return written.some(({ glyph }) => isTall(glyph)) ? 2 : 1;
}

/** Where the columns of a line start, one after the other, with the end of the last. */
export function edgesOf(widths: readonly number[], from = 0): readonly number[] {
  return widths.reduce<number[]>((edges, width) => [...edges, edges.at(-1)! + width], [from]);
}

/** The widest term of every column. */
export function columnWidths(written: readonly (Mark | Given)[], least = 0): readonly number[] {
  const count = Math.max(0, ...written.map(({ spot }) => spot.column + 1));
  return Array.from({ length: count }, (_, column) => {
    const own = written.filter(({ spot }) => spot.column === column);
    return Math.max(least, ...own.map(({ glyph }) => termWidth(glyph)));
  });
}

/** A term of a line, by the edges of its columns. */
export function inLine(edges: readonly number[], column: number, y: number, height: number): Box {
  return { x: edges[column]!, y, width: edges[column + 1]! - edges[column]!, height };
}

/** A bracket around what lies between two edges. */
export function bracketSigns(
  from: number,
  to: number,
  y: number,
  height: number,
): readonly SheetSign[] {
  return [
    { sign: 'open', x: from - BRACKET, y, width: BRACKET, height },
    { sign: 'close', x: to, y, width: BRACKET, height },
  ];
}

/** Squares that a bracket takes. */
export const BRACKET = 0.5;
