import type { EntryId, Given, Mark, Trace } from '../account/account.ts';
import { KINDS } from '../problem/kinds.ts';
import { draftSheet } from '../sheet/draft-sheet.ts';
import type { Box, Sheet, SheetSign } from '../sheet/sheet.ts';
import { BEHIND } from './amounts/drafts.ts';

/** How much room a number or product takes, in squares. */
function widthOf({ glyph }: Mark | Given): number {
  return Math.max(1, glyph.length * 0.46 + 0.3);
}

const SIGN = 0.9;
const ROW = 1.5;

/** The signs between numbers of the question, as the paper prints them. */
const QUESTION_SIGNS = { '+': 'plus', '−': 'minus', '×': 'times', '÷': 'divide' } as const;

/** Lines as they are typed, one under the other; what is passed in the head lies in the tray. */
export function ownSheet(trace: Trace): Sheet {
  const boxes = new Map<EntryId, Box>();
  const signs: SheetSign[] = [];
  const { sign } = KINDS[trace.problem.kind];
  const between = QUESTION_SIGNS[sign as keyof typeof QUESTION_SIGNS] ?? 'plus';
  let x = 0;
  trace.givens.forEach((given, k) => {
    if (k > 0) {
      signs.push({ sign: between, x, y: 0, width: SIGN, height: 1 });
      x += SIGN;
    }
    boxes.set(given.id, { x, y: 0, width: widthOf(given), height: 1 });
    x += widthOf(given);
  });
  const marks = trace.steps
    .flatMap(({ gives }) => gives)
    .filter(({ spot }) => spot.area === 'lines');
  const rows = [...new Set(marks.map(({ spot }) => spot.row))].sort((a, b) => a - b);
  rows.forEach((row, k) => {
    const own = marks.filter(({ spot }) => spot.row === row);
    const ordered = own.sort((a, b) => a.spot.column - b.spot.column);
    const lay = ordered.some(({ hop }) => hop) ? layHops : layRow;
    lay(ordered, (k + 1) * ROW, boxes, signs);
  });
  const at = (_: unknown, written: Mark | Given) => ({
    ...boxes.get(written.id)!,
    align: 'middle' as const,
  });
  return draftSheet(trace, { areas: { question: at, lines: at }, rulings: [], signs });
}

/** One line: an equals sign before it, or inside it where it is a statement; plus signs between its terms. */
function layRow(
  marks: readonly Mark[],
  y: number,
  boxes: Map<EntryId, Box>,
  signs: SheetSign[],
): void {
  const isStatement = marks.some(({ spot }) => spot.column >= BEHIND);
  let x = -SIGN - 0.3;
  const put = (sign: SheetSign['sign'], mark: Mark) => {
    signs.push({ sign, x, y, width: SIGN, height: 1, with: mark.id });
    x += SIGN;
  };
  let side = -1;
  for (const mark of marks) {
    const own = mark.spot.column >= BEHIND ? 1 : 0;
    if (own !== side && (own === 1 || !isStatement)) put('equals', mark);
    else if (own === side && !mark.glyph.startsWith('−')) put('plus', mark);
    side = own;
    boxes.set(mark.id, { x, y, width: widthOf(mark), height: 1 });
    x += widthOf(mark) + 0.2;
  }
}

/** Jumps from number to number; where each lands stands behind it. */
function layHops(
  marks: readonly Mark[],
  y: number,
  boxes: Map<EntryId, Box>,
  signs: SheetSign[],
): void {
  let x = 0;
  const told = (text: string, mark: Mark) => {
    const width = Math.max(1, text.length * 0.42);
    signs.push({ sign: 'caption', text, x, y, width, height: 1, with: mark.id });
    x += width + 0.2;
  };
  marks.forEach((mark, k) => {
    const { hop } = mark;
    if (!hop) return;
    if (k === 0) told(`${hop.from}`, mark);
    const isBack = hop.to.compare(hop.from) < 0;
    signs.push({ sign: isBack ? 'minus' : 'plus', x, y, width: SIGN, height: 1, with: mark.id });
    x += SIGN;
    boxes.set(mark.id, { x, y, width: widthOf(mark), height: 1 });
    x += widthOf(mark);
    told(`→ ${hop.to}`, mark);
  });
}
