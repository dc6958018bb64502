import type { EntryId, Given, Mark, Trace } from '../../account/account.ts';
import type { LineMark } from '../../account/line-mark.ts';
import { KINDS } from '../../problem/kinds.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import { hasStack, runWidth, setRunning } from '../../sheet/running.ts';
import type { Box, Ruling, Sheet, SheetNote, SheetSign } from '../../sheet/sheet.ts';
import { amountsOf } from '../read/asked.ts';
import { sideOf } from '../../account/line-sides.ts';
import { endOf, inRows, type Item, type Laid } from './line-rows.ts';
import { displayed, onPaper } from '../say/displayed.ts';
import type { JudgedWork } from './judged-work.ts';
import { briefOf } from '../say/says.ts';
import type { LineForm } from '../read/read-line.ts';

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
/** How far a row goes, and with what is said beside it, in squares: as much as can be read on one of four papers. */
const WIDEST = 16;
const WIDEST_SAID = 17;
/** Height of what is said of a line below it. */
const NOTE_ROW = 0.9;
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
export function lineBands(trace: Trace, work: JudgedWork): readonly LineBand[] {
  return new OwnPage(trace, work).bands();
}

function heightOf(text: string): number {
  return hasStack(text) ? STACKED_ROW : ROW;
}

/**
 * Lines as they are typed, one under the other, with a word on each unless `bare`; what is passed in the head lies in the
 * tray. A long line goes on on the next row, and what is said of it stands below where it has no room beside it.
 */
export function ownSheet(trace: Trace, work: JudgedWork, bare = false): Sheet {
  return new OwnPage(trace, work).sheet(bare);
}

/** A typed line as it lies: its rows, where the last of them ends, and what is said of it. */
interface LaidLine {
  readonly text: string;
  readonly rows: readonly (readonly Laid[])[];
  readonly end: number;
  readonly said: Said | null;
}

/** A word on a line, and the mark with which it comes. */
interface Said {
  readonly text: string;
  readonly isWrong: boolean;
  readonly marks: readonly EntryId[];
}

/** Where the word on a line stands: beside it from here on, or below it. */
type NotePlace = { readonly x: number } | 'below';

class OwnPage {
  private readonly boxes = new Map<EntryId, Box>();
  /** The marks of every line, from left to right. */
  private readonly marks: ReadonlyMap<number, readonly Mark[]>;
  private readonly signs: SheetSign[] = [];
  private readonly rulings: Ruling[] = [];
  /** What stands on the line that is being laid. */
  private items: Item[] = [];
  /** The mark that was laid last: what is only words comes with it. */
  private last: EntryId | null = null;

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
    this.marks = rows;
  }

  private get base(): number {
    return this.work.asked.base;
  }

  bands(): readonly LineBand[] {
    return this.lay().bands.map(({ y, height }) => ({ y: y + MARGIN, height }));
  }

  sheet(bare: boolean): Sheet {
    const { notes } = this.lay();
    const at = (_: unknown, written: Mark | Given) => ({
      ...this.boxes.get(written.id)!,
      align: 'middle' as const,
      lettering: LETTERS,
    });
    return draftSheet(this.trace, {
      areas: { question: at, lines: at },
      rulings: this.rulings,
      signs: this.signs,
      notes: bare ? [] : notes,
    });
  }

  /** Lays the question and every line, and the words on them. */
  private lay(): { readonly bands: readonly LineBand[]; readonly notes: readonly SheetNote[] } {
    this.question();
    const asked = this.wrapped();
    const lines = this.work.own.lines.map(({ text, struck }, k) => this.line(k, text, struck));
    const placeOf = notePlaces(lines);
    const bands: LineBand[] = [];
    const notes: SheetNote[] = [];
    const question = heightOf(this.work.asked.text);
    let y = this.set(asked, 0, question);
    for (const line of lines) {
      const height = heightOf(line.text);
      const end = this.set(line.rows, y, height);
      const place = placeOf(line);
      const isBelow = line.said !== null && place === 'below';
      bands.push({ y, height: end - y + (isBelow ? NOTE_ROW : 0) });
      if (line.said && isBelow) notes.push({ x: EQUALS, y: end - 0.35, size: NOTES, ...line.said });
      else if (line.said && place !== 'below')
        notes.push({ x: place.x, y: end - height / 2 - 0.5, size: NOTES, ...line.said });
      y = end + (isBelow ? NOTE_ROW : 0);
    }
    bands.push({ y, height: ROW });
    return { bands, notes };
  }

  /** Sets rows under each other from `y` on; where they end. */
  private set(rows: readonly (readonly Laid[])[], y: number, height: number): number {
    rows.forEach((row, k) => {
      const band = { y: y + k * height, height };
      for (const { x, item } of row) item.lay({ x, width: item.width, ...band });
    });
    return y + Math.max(1, rows.length) * height;
  }

  private line(k: number, text: string, struck: boolean): LaidLine {
    const line = this.work.lineAt(k);
    const marks = line ? this.marksOf(line.n) : [];
    if (marks.length > 0) this.row(marks, line?.form ?? null);
    else this.words(onPaper(text, this.base), struck);
    const rows = this.wrapped();
    const brief = line && briefOf(line, amountsOf(this.work.asked));
    const first = marks[0]?.id ?? this.last;
    const isWrong = line?.verdict === 'unequal' || line?.verdict === 'run-on';
    const said = brief
      ? { text: `${brief.sign} ${brief.words}`, isWrong, marks: first ? [first] : [] }
      : null;
    return { text, rows, end: endOf(rows), said };
  }

  /** What was put on the line that is being laid, in rows; the next one begins. */
  private wrapped(): readonly (readonly Laid[])[] {
    const rows = inRows(this.items, WIDEST, EQUALS);
    this.items = [];
    return rows;
  }

  private question(): void {
    const { problem, givens } = this.trace;
    const { sign } = KINDS[problem.kind];
    const between = QUESTION_SIGNS[sign as keyof typeof QUESTION_SIGNS] ?? 'plus';
    let x = 0;
    givens.forEach((given, k) => {
      const isJoined = between === 'times' && /^\(|^[a-z]/.test(given.glyph) && k > 0;
      const isTaken = k > 0 && given.glyph.startsWith('−');
      if (isTaken) x += 0.25;
      else if (k > 0 && !isJoined) x = this.sign(between, x);
      x = this.put(given, x);
    });
  }

  private marksOf(row: number): readonly Mark[] {
    return this.marks.get(row) ?? [];
  }

  private row(marks: readonly Mark[], form: LineForm | null): void {
    // Jumps that are told by statements stand as they were typed.
    const [first] = marks;
    const areJumps = marks.some(({ hop, line }) => hop && line?.stands.kind !== 'statement');
    if (areJumps) this.hops(marks);
    else if (first?.line && isWhole(first.line)) {
      this.put(first, EQUALS + this.barIndent(first.glyph));
    } else this.terms(marks, form);
    this.last = marks.at(-1)!.id;
  }

  /** One line: equals signs before its sides where they were typed, and plus signs between their terms. */
  private terms(marks: readonly Mark[], form: LineForm | null): void {
    const sides = new Set(marks.map(sideOf)).size;
    const { goesOn, sides: typed } = form ?? { goesOn: false, sides: [] };
    // An expression alone is a rewriting too, and what stands before the first one is said again.
    const isSaidAgain = !goesOn && typed.length > sides;
    const hasSign = goesOn || typed.length <= 1 || isSaidAgain;
    let x = hasSign && !isSaidAgain ? 0 : EQUALS;
    if (isSaidAgain) x = this.text(onPaper(typed[0] ?? '', this.base), x, marks[0]!.id);
    let side = -1;
    for (const mark of marks) {
      const isFirst = sideOf(mark) !== side;
      if (isFirst && (side >= 0 || hasSign)) x = this.sign('equals', x, mark.id, EQUALS);
      else if (!isFirst && !hasSignOfItsOwn(mark)) x = this.sign('plus', x, mark.id);
      else if (!isFirst) x += 0.25;
      side = sideOf(mark);
      x = this.put(mark, x);
    }
    if (form?.waits) this.sign('equals', x, marks.at(-1)!.id, EQUALS);
  }

  /** Jumps from number to number; where each lands stands behind it. */
  private hops(marks: readonly Mark[]): void {
    const write = amountsOf(this.work.asked);
    let x = 0;
    marks.forEach((mark, k) => {
      const { hop } = mark;
      if (!hop) {
        x = this.text('→ ', x + 0.2, mark.id);
        x = this.put(mark, x);
        return;
      }
      if (k === 0) x = this.text(write(hop.from), 0, mark.id);
      const isBack = hop.to.compare(hop.from) < 0;
      x = this.sign(isBack ? 'minus' : 'plus', x + 0.2, mark.id, CLOSE);
      x = this.put(mark, x);
      const landing = marks[k + 1];
      if (!landing || landing.hop) x = this.text(`→ ${write(hop.to)}`, x, mark.id);
    });
  }

  /** What has no amount of its own stands as it was typed. */
  private words(text: string, struck: boolean): void {
    if (text.trim() === '') return;
    const body = text.trim().replace(/^=\s*/, '');
    const isRewriting = body !== text.trim();
    const x = isRewriting
      ? this.sign('equals', 0, this.last, EQUALS)
      : EQUALS + this.barIndent(text);
    this.text(body, x, this.last, struck);
  }

  private put(written: Mark | Given, x: number): number {
    const { width } = setRunning(written.glyph, LETTERS);
    const mayBreak =
      written.standing === 'given' ? written.glyph.startsWith('−') : hasSignOfItsOwn(written);
    this.items.push({ x, width, mayBreak, lay: (box) => this.boxes.set(written.id, box) });
    return x + width;
  }

  private sign(
    sign: SheetSign['sign'],
    x: number,
    id: EntryId | null = null,
    width = SIGN,
  ): number {
    const own = id ? { sign, with: id } : { sign };
    const lay = (box: Box) => this.signs.push({ ...own, ...box });
    this.items.push({ x, width, mayBreak: true, lay });
    return x + width;
  }

  /** Words as they were typed; long ones go on on the next row. */
  private text(text: string, x: number, id: EntryId | null, struck = false): number {
    return runsOf(text, x).reduce((at, run) => this.run(run, at, id, struck), x);
  }

  private run(text: string, x: number, id: EntryId | null, struck: boolean): number {
    const { width } = setRunning(text, LETTERS);
    const own = { sign: 'words', text: text.trimEnd(), ...(id ? { with: id } : {}) } as const;
    const lay = (box: Box) => {
      this.signs.push({ ...own, ...box });
      const y = box.y + box.height / 2;
      const end = box.x + box.width;
      if (struck)
        this.rulings.push({ kind: 'line', x1: box.x - 0.2, y1: y, x2: end, y2: y, weight: 'thin' });
    };
    this.items.push({ x, width, mayBreak: true, lay });
    return x + width;
  }

  /** How far a pair is set in, so that the bars of a ratio table stand under each other. */
  private barIndent(text: string): number {
    const own = leftOfBar(text);
    if (own === null) return 0;
    const all = this.work.own.lines.map((line) => leftOfBar(displayed(line.text)) ?? 0);
    return Math.max(own, ...all) - own;
  }
}

/** Whether a mark is all of its line: a statement, a pair or jumps. */
function isWhole({ stands }: LineMark): boolean {
  return stands.kind !== 'terms' && stands.kind !== 'rest';
}

/** Whether what is written begins with the sign that joins it to what stands before: `− 92`, `r 3`. */
function hasSignOfItsOwn({ line }: Mark): boolean {
  if (line?.stands.kind === 'rest') return true;
  const [first] = line?.stands.kind === 'terms' ? line.stands.terms : [];
  return first?.minus === true;
}

/** A text in as many of its words as a row holds, a sign with what it stands before, the first of them from `x` on. */
function runsOf(text: string, x: number): readonly string[] {
  const runs: string[] = [];
  const widths = new Map<string, number>();
  let end = Infinity;
  for (const word of text.match(/(?:[+−×÷=] )?\S+\s*/g) ?? []) {
    const width = widths.get(word) ?? setRunning(word, LETTERS).width;
    widths.set(word, width);
    if (end + width > WIDEST) {
      end = runs.length === 0 ? x : EQUALS;
      runs.push('');
    }
    runs[runs.length - 1] += word;
    end += width;
  }
  return runs;
}

/**
 * Where the words on lines stand: in one column beside all lines where that is not too wide, else each behind its own line, and
 * below it where it has no room there.
 */
function notePlaces(lines: readonly LaidLine[]): (line: LaidLine) => NotePlace {
  const said = lines.filter((line) => line.said !== null);
  const column = Math.max(0, ...said.map(({ end }) => end)) + GAP;
  const isColumn = said.every((line) => column + noteWidth(line) <= WIDEST_SAID);
  if (isColumn) return () => ({ x: column });
  return (line) =>
    line.end + GAP + noteWidth(line) <= WIDEST_SAID ? { x: line.end + GAP } : 'below';
}

function noteWidth({ said }: LaidLine): number {
  return runWidth(said?.text ?? '', NOTES);
}

/** How wide the first number of a pair is, in squares; null for what is no lone pair. */
function leftOfBar(text: string): number | null {
  const [left, ...more] = text.trim().split('|');
  const isPair = more.length === 1 && !/[,;]/.test(text);
  return isPair ? setRunning(left!.trim(), LETTERS).width : null;
}
