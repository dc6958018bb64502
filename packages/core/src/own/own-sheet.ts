import type { EntryId, Given, Mark, Trace } from '../account/account.ts';
import { KINDS } from '../problem/kinds.ts';
import { draftSheet } from '../sheet/draft-sheet.ts';
import { hasStack, setRunning } from '../sheet/running.ts';
import type { Box, Ruling, Sheet, SheetNote, SheetSign } from '../sheet/sheet.ts';
import { amountsOf } from './asked.ts';
import { sideOf } from './amounts/drafts.ts';
import { displayed, onPaper } from './displayed.ts';
import type { JudgedWork } from './judged-work.ts';
import { briefOf } from './says.ts';

/** Height of letters, of the words on a line, of a row, and of a row with a fraction in it, in squares. */
const LETTERS = 0.86;
const NOTES = 0.62;
const ROW = 1.4;
const STACKED_ROW = 2.2;
/** What the sheet leaves free around all that lies on it. */
const MARGIN = 1;
/** Where a line begins behind its equals sign, and the room of a sign between terms. */
const EQUALS = 1.1;
const SIGN = 0.9;
/** A sign right before its number. */
const CLOSE = 0.62;
const GAP = 0.6;

/** The signs between numbers of the question, as the paper prints them. */
const QUESTION_SIGNS = { '+': 'plus', '−': 'minus', '×': 'times', '÷': 'divide' } as const;

/** Where a typed line lies on its sheet, in squares. */
export interface LineBand {
  readonly y: number;
  readonly height: number;
}

/** Where every typed line lies, and after them where one more would. */
export function lineBands({ own, asked }: JudgedWork): readonly LineBand[] {
  let y = MARGIN + heightOf(asked.text);
  const band = (text: string) => {
    const made = { y, height: heightOf(text) };
    y += made.height;
    return made;
  };
  return [...own.lines.map(({ text }) => band(text)), band('')];
}

function heightOf(text: string): number {
  return hasStack(text) ? STACKED_ROW : ROW;
}

/**
 * Lines as they are typed, one under the other, with a word on each unless `bare`; what is passed in the head lies in the
 * tray.
 */
export function ownSheet(trace: Trace, work: JudgedWork, bare = false): Sheet {
  return new OwnPage(trace, work).sheet(bare);
}

class OwnPage {
  private readonly boxes = new Map<EntryId, Box>();
  /** The marks of every line, from left to right. */
  private readonly rows: ReadonlyMap<number, readonly Mark[]>;
  private readonly signs: SheetSign[] = [];
  private readonly rulings: Ruling[] = [];
  private readonly notes: SheetNote[] = [];
  /** The mark that was laid last: what is only words comes with it. */
  private last: EntryId | null = null;
  /** Where the last row ends. */
  private end = 0;

  constructor(
    private readonly trace: Trace,
    private readonly work: JudgedWork,
  ) {
    const rows = new Map<number, Mark[]>();
    for (const mark of trace.steps.flatMap(({ gives }) => gives)) {
      const { area, row } = mark.spot;
      if (area !== 'lines') continue;
      const marks = rows.get(row);
      if (marks) marks.push(mark);
      else rows.set(row, [mark]);
    }
    for (const marks of rows.values()) marks.sort((a, b) => a.spot.column - b.spot.column);
    this.rows = rows;
  }

  private get base(): number {
    return this.work.asked.base;
  }

  sheet(bare: boolean): Sheet {
    this.question();
    const said: Omit<SheetNote, 'x'>[] = [];
    const ends: number[] = [0];
    const bands = lineBands(this.work);
    this.work.own.lines.forEach(({ text, struck }, k) => {
      const { y, height } = bands[k]!;
      const band = { y: y - MARGIN, height };
      const line = this.work.lineAt(k);
      const marks = line ? this.marksOf(line.n) : [];
      if (marks.length > 0) this.row(marks, band, text);
      else this.words(onPaper(text, this.base), band, struck);
      const brief = line && briefOf(line, amountsOf(this.work.asked));
      if (!brief) return;
      ends.push(this.end);
      const first = marks[0]?.id ?? this.last;
      const isWrong = line?.verdict === 'unequal' || line?.verdict === 'run-on';
      const noteY = band.y + height / 2 - 0.5;
      said.push({
        y: noteY,
        text: `${brief.sign} ${brief.words}`,
        isWrong,
        marks: first ? [first] : [],
      });
    });
    const x = Math.max(...ends) + GAP;
    this.notes.push(...said.map((note) => ({ x, size: NOTES, ...note })));
    const at = (_: unknown, written: Mark | Given) => ({
      ...this.boxes.get(written.id)!,
      align: 'middle' as const,
      lettering: LETTERS,
    });
    return draftSheet(this.trace, {
      areas: { question: at, lines: at },
      rulings: this.rulings,
      signs: this.signs,
      notes: bare ? [] : this.notes,
    });
  }

  private question(): void {
    const { problem, givens } = this.trace;
    const { sign } = KINDS[problem.kind];
    const between = QUESTION_SIGNS[sign as keyof typeof QUESTION_SIGNS] ?? 'plus';
    const height = heightOf(this.work.asked.text);
    let x = 0;
    givens.forEach((given, k) => {
      const isJoined = between === 'times' && /^\(|^[a-z]/.test(given.glyph) && k > 0;
      const isTaken = k > 0 && given.glyph.startsWith('−');
      if (isTaken) x += 0.25;
      else if (k > 0 && !isJoined) x = this.sign(between, x, { y: 0, height });
      x = this.put(given, x, { y: 0, height });
    });
  }

  private marksOf(row: number): readonly Mark[] {
    return this.rows.get(row) ?? [];
  }

  private row(marks: readonly Mark[], band: LineBand, text: string): void {
    // Jumps that are told by statements stand as they were typed.
    const areJumps = marks.some(({ hop, glyph }) => hop && !glyph.includes('='));
    if (areJumps) this.hops(marks, band);
    else if (marks.some(({ glyph }) => /[=→|]/.test(glyph))) {
      this.put(marks[0]!, EQUALS + this.barIndent(marks[0]!.glyph), band);
    } else this.terms(marks, band, text);
    this.last = marks.at(-1)!.id;
  }

  /** One line: equals signs before its sides where they were typed, and plus signs between their terms. */
  private terms(marks: readonly Mark[], band: LineBand, text: string): void {
    const sides = new Set(marks.map(sideOf)).size;
    const typed = text.trim().replace(/^=/, '').split('=');
    // An expression alone is a rewriting too, and what stands before the first one is said again.
    const isSaidAgain = !text.trim().startsWith('=') && typed.length > sides;
    const hasSign = text.trim().startsWith('=') || typed.length === 1 || isSaidAgain;
    let x = hasSign && !isSaidAgain ? 0 : EQUALS;
    if (isSaidAgain) x = this.text(onPaper(typed[0]!.trim(), this.base), x, band, marks[0]!.id);
    let side = -1;
    for (const mark of marks) {
      const isFirst = sideOf(mark) !== side;
      if (isFirst && (side >= 0 || hasSign)) x = this.sign('equals', x, band, mark.id, EQUALS);
      else if (!isFirst && !/^(−|r )/.test(mark.glyph)) x = this.sign('plus', x, band, mark.id);
      else if (!isFirst) x += 0.25;
      side = sideOf(mark);
      x = this.put(mark, x, band);
    }
  }

  /** Jumps from number to number; where each lands stands behind it. */
  private hops(marks: readonly Mark[], band: LineBand): void {
    const write = amountsOf(this.work.asked);
    let x = 0;
    marks.forEach((mark, k) => {
      const { hop } = mark;
      if (!hop) {
        x = this.text('→ ', x + 0.2, band, mark.id);
        x = this.put(mark, x, band);
        return;
      }
      if (k === 0) x = this.text(write(hop.from), 0, band, mark.id);
      const isBack = hop.to.compare(hop.from) < 0;
      x = this.sign(isBack ? 'minus' : 'plus', x + 0.2, band, mark.id, CLOSE);
      x = this.put(mark, x, band);
      const landing = marks[k + 1];
      if (!landing || landing.hop) x = this.text(`→ ${write(hop.to)}`, x, band, mark.id);
    });
  }

  /** How far a pair is set in, so that the bars of a ratio table stand under each other. */
  private barIndent(text: string): number {
    const own = leftOfBar(text);
    if (own === null) return 0;
    const all = this.work.own.lines.map((line) => leftOfBar(displayed(line.text)) ?? 0);
    return Math.max(own, ...all) - own;
  }

  /** What has no amount of its own stands as it was typed. */
  private words(text: string, band: LineBand, struck: boolean): void {
    if (text.trim() === '') return;
    const body = text.trim().replace(/^=\s*/, '');
    let x = 0;
    if (body !== text.trim()) x = this.sign('equals', x, band, this.last, EQUALS);
    else x = EQUALS + this.barIndent(text);
    const from = x;
    x = this.text(body, x, band, this.last);
    const y = band.y + band.height / 2;
    if (struck)
      this.rulings.push({ kind: 'line', x1: from - 0.2, y1: y, x2: x, y2: y, weight: 'thin' });
  }

  private put(written: Mark | Given, x: number, { y, height }: LineBand): number {
    const { width } = setRunning(written.glyph, LETTERS);
    this.boxes.set(written.id, { x, y, width, height });
    return this.reach(x + width);
  }

  private sign(
    sign: SheetSign['sign'],
    x: number,
    { y, height }: LineBand,
    id: EntryId | null = null,
    width = SIGN,
  ): number {
    this.signs.push({ sign, x, y, width, height, ...(id ? { with: id } : {}) });
    return this.reach(x + width);
  }

  private text(text: string, x: number, { y, height }: LineBand, id: EntryId | null): number {
    const { width } = setRunning(text, LETTERS);
    const own = { sign: 'words', text, x, y, width, height } as const;
    this.signs.push({ ...own, ...(id ? { with: id } : {}) });
    return this.reach(x + width);
  }

  private reach(x: number): number {
    this.end = x;
    return x;
  }
}

/** How wide the first number of a pair is, in squares; null for what is no lone pair. */
function leftOfBar(text: string): number | null {
  const [left, ...more] = text.trim().split('|');
  const isPair = more.length === 1 && !/[,;]/.test(text);
  return isPair ? setRunning(left!.trim(), LETTERS).width : null;
}
