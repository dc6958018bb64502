import type { EntryId, Trace } from '../account/account.ts';
import { onPaper, PLAIN_NOTATION, type Notation } from '../exact/notation.ts';
import { signGlyph, type Box, type Sheet, type SheetCell } from './sheet.ts';
import { givenState, marksById, markState, timeline } from './visible.ts';

/** Characters a square is wide. */
const WIDE = 3;

export interface TextOptions {
  /** How many steps are done; all of them when absent. */
  readonly step?: number;
  readonly notation?: Notation;
  readonly notes?: boolean;
}

/**
 * A sheet as plain text, a line a row of squares, three characters a square. Heavy rulings get
 * characters of their own between squares; a struck mark keeps its figures under U+0336.
 */
export function sheetText(sheet: Sheet, trace: Trace, options: TextOptions = {}): string {
  const { step = trace.steps.length, notation = PLAIN_NOTATION, notes = true } = options;
  const page = new TextPage(sheet);
  const marks = marksById(trace);
  const givens = new Map(trace.givens.map((given) => [given.id, given]));
  const line = timeline(trace);
  const printed = sheet.rulings.filter(({ kind }) => kind !== 'fork');
  for (const ruling of printed) page.rule(ruling.x1, ruling.y1, ruling.x2, ruling.y2);
  const isThere = (id?: EntryId) => !id || (line.writtenAt.get(id) ?? Infinity) <= step;
  for (const sign of sheet.signs.filter((one) => isThere(one.with))) {
    page.write(sign, signGlyph(sign, notation));
  }
  const held: string[] = [];
  for (const cell of sheet.cells) {
    const glyph = marks.get(cell.entry)?.glyph ?? givens.get(cell.entry)?.glyph ?? '';
    const state = givens.has(cell.entry)
      ? givenState(line, cell.entry, step)
      : markState(line, cell.entry, step);
    if (state === 'absent') continue;
    if (cell.unseen) continue;
    if (cell.held && !cell.beside && state !== 'used') held.push(`(${glyph})`);
    if (cell.held && !cell.beside) continue;
    const plain = onPaper(glyph, notation);
    const shown = cell.beside ? `(${plain})` : cell.ringed ? `[${plain}]` : plain;
    page.writeCell(cell, state === 'struck' ? struck(shown) : [...shown]);
  }
  if (notes) {
    for (const note of sheet.notes) {
      const isWritten = (id: EntryId) => (line.writtenAt.get(id) ?? Infinity) <= step;
      const written = note.marks.length === 0 || note.marks.some(isWritten);
      // A note with a size of its own stands beside a row, not in a square: its middle counts.
      const y = note.size === undefined ? note.y : note.y + 0.5 - 0.001;
      if (written) page.note(note.x, y, onPaper(note.text, notation));
    }
  }
  return [...page.lines(), ...(held.length > 0 ? [`held ${held.join(' ')}`] : [])].join('\n');
}

function struck(glyph: string): string[] {
  return [...glyph].map((figure) => `${figure}\u0336`);
}

/** Characters on a grid in which ruled boundaries have rows and columns of their own. */
class TextPage {
  private readonly rows: string[][];
  private readonly ruledX: readonly number[];
  private readonly ruledY: readonly number[];

  constructor(sheet: Sheet) {
    const heavy = sheet.rulings.filter((ruling) => ruling.kind === 'line');
    this.ruledX = unique(heavy.filter((r) => r.x1 === r.x2).map((r) => r.x1));
    this.ruledY = unique(heavy.filter((r) => r.y1 === r.y2).map((r) => r.y1));
    const height = sheet.height + this.ruledY.length;
    const width = sheet.width * WIDE + this.ruledX.length;
    this.rows = Array.from({ length: height + 1 }, () => Array<string>(width + 1).fill(' '));
  }

  /** Writes a cell's figures, together in its middle or each in a square of its own. */
  writeCell(cell: SheetCell, figures: readonly string[]): void {
    if (!cell.spread) return this.write(cell, figures, cell.align);
    figures.forEach((figure, i) => this.write({ ...cell, x: cell.x + i, width: 1 }, figure));
  }

  /** Writes figures in the middle of a box, or up to its right edge. */
  write(box: Box, figures: string | readonly string[], align = 'middle'): void {
    const middle = this.column(box.x + box.width / 2 - 0.001);
    const row = this.row(box.y + box.height / 2 - 0.001);
    const characters = [...figures];
    const centred = middle - Math.floor((characters.length - 1) / 2);
    const last = this.column(box.x + box.width - 0.001);
    const start = align === 'right' ? last - characters.length : centred;
    characters.forEach((figure, i) => this.put(start + i, row, figure));
  }

  note(x: number, y: number, text: string): void {
    [...text].forEach((character, i) => this.put(this.column(x) + i, this.row(y), character));
  }

  rule(x1: number, y1: number, x2: number, y2: number): void {
    if (y1 === y2) {
      const row = this.row(y1) - 1;
      const last = this.edge(Math.max(x1, x2));
      for (let c = this.edge(Math.min(x1, x2)); c <= last; c++) {
        this.put(c, row, this.cross(c, row, '-'));
      }
    } else if (x1 === x2) {
      const column = this.edge(x1);
      const last = this.row(Math.max(y1, y2)) - 1;
      for (let r = this.row(Math.min(y1, y2)) - 1; r <= last; r++) {
        this.put(column, r, this.cross(column, r, '|'));
      }
    } else {
      for (let y = Math.floor(Math.min(y1, y2)); y < Math.max(y1, y2); y++) {
        this.put(this.column(x1 + y1 - y - 0.5), this.row(y), '/');
      }
    }
  }

  lines(): string[] {
    const lines = this.rows.map((row) => row.join('').trimEnd());
    const first = lines.findIndex((line) => line !== '');
    const last = lines.findLastIndex((line) => line !== '');
    const used = lines.slice(first, last + 1);
    const indent = Math.min(...used.filter(Boolean).map((line) => line.search(/\S/)));
    return used.map((line) => line.slice(indent));
  }

  private cross(column: number, row: number, stroke: string): string {
    const present = this.rows[row]?.[column];
    return present && present !== ' ' && present !== stroke ? '+' : stroke;
  }

  /** The character column of a point inside a square. */
  private column(x: number): number {
    return Math.floor(x * WIDE) + countUpTo(this.ruledX, x);
  }

  /** The character column of a boundary between squares. */
  private edge(x: number): number {
    return Math.floor(x * WIDE) + countUpTo(this.ruledX, x - TINY);
  }

  private row(y: number): number {
    return Math.floor(y) + countUpTo(this.ruledY, y);
  }

  private put(column: number, row: number, character: string): void {
    const line = this.rows[row];
    if (line && column >= 0 && column < line.length) line[column] = character;
  }
}

/** Less than any distance on a sheet. */
const TINY = 1e-6;

/** How many of these numbers, in order, are not above one. */
function countUpTo(sorted: readonly number[], most: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! <= most) low = middle + 1;
    else high = middle;
  }
  return low;
}

function unique(values: readonly number[]): readonly number[] {
  return [...new Set(values)].sort((a, b) => a - b);
}
