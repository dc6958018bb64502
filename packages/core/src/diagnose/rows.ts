import Papa from 'papaparse';
import { failureText } from '../problem/failure.ts';
import { benchFailure } from '../problem/limits.ts';
import { readProblem, type Problem } from '../problem/problem.ts';
import { answerFaultText, keptAnswer, readAnswer } from './answer.ts';

/** One answer of a list, under a code; the problem is the list's own where its line names none. */
export interface AnswerRow {
  /** Its line in the list, from 1. */
  readonly line: number;
  readonly code: string;
  readonly problem: Problem;
  readonly answer: string;
}

/** A line that could not be used, and why in one sentence. */
export interface RowFault {
  readonly line: number;
  readonly fault: string;
}

export interface ReadRows {
  readonly rows: readonly AnswerRow[];
  readonly faults: readonly RowFault[];
  /** What stood in the column of codes and was no code, with the code that it got. It is for showing once, never for keeping. */
  readonly renamed: readonly { readonly given: string; readonly code: string }[];
  /** What stood beside answers and is no part of them, with its line. For showing once, never for keeping. */
  readonly beside: readonly { readonly line: number; readonly text: string }[];
}

/** The most answers of one list. */
export const MAX_ROWS = 1000;

/** The longest list that is looked at, in characters. */
const LONGEST = 400_000;

/** Up to three letters and one to four figures. */
const CODE = /^[\p{L}]{0,3}\d{1,4}$/u;

export function isCode(text: string): boolean {
  return CODE.test(text);
}

/**
 * Reads a list of answers, one a line: `answer`, `code, answer` or `code, problem, answer`, with commas, semicolons or tabs
 * between. A first line of headings is passed over. Whoever is not named by a code gets one. Never throws on bad text.
 */
export function readRows(
  text: string,
  given: Problem | null,
  units: readonly string[] = [],
): ReadRows {
  const lines = text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '').length;
  const tooLong =
    lines > MAX_ROWS
      ? `${lines} lines; at most ${MAX_ROWS} answers`
      : text.length > LONGEST
        ? `${text.length} characters; at most ${LONGEST}`
        : null;
  if (tooLong !== null) {
    const fault = `The list has ${tooLong} are read at a time. Nothing of it was read.`;
    return { rows: [], faults: [{ line: 1, fault }], renamed: [], beside: [] };
  }
  const cells = cellsOf(text, given);
  const named = new Codes(cells.flatMap(({ fields }) => (fields.length > 1 ? [fields[0]!] : [])));
  const rows: AnswerRow[] = [];
  const faults: RowFault[] = [];
  const beside: { line: number; text: string }[] = [];
  for (const { line, fields } of cells) {
    const row = rowOf(fields, given);
    const kept = 'fault' in row ? row : keptOf(row, units);
    if ('fault' in kept) {
      faults.push({ line, fault: kept.fault });
      continue;
    }
    const { problem, answer } = kept;
    rows.push({ line, problem, answer, code: named.codeFor(kept.code) });
    if (kept.beside !== '') beside.push({ line, text: kept.beside });
  }
  return { rows, faults, renamed: named.renamed, beside };
}

interface Cells {
  readonly line: number;
  readonly fields: readonly string[];
}

/** A row with what was read of its answer; an answer that cannot be read is kept by nobody. */
function keptOf(
  row: Omit<AnswerRow, 'line'>,
  units: readonly string[],
): (Omit<AnswerRow, 'line'> & { readonly beside: string }) | { readonly fault: string } {
  const kept = keptAnswer(row.answer, row.problem, units);
  if (kept) return { ...row, ...kept };
  const read = readAnswer(row.answer, row.problem);
  const letters = 'Only letters of the computation are read in an answer.';
  return { fault: read.ok ? letters : answerFaultText(read.fault) };
}

/** The cells of every line that is not empty; what stands alone is not parted at its comma. */
function cellsOf(text: string, given: Problem | null): readonly Cells[] {
  const all = text.split(/\r\n|\r|\n/).flatMap((source, k): Cells[] => {
    if (source.trim() === '') return [];
    const delimiter = source.includes('\t') ? '\t' : source.includes(';') ? ';' : ',';
    const alone = delimiter === ',' && given !== null && readAnswer(source, given);
    if (alone && alone.ok) return [{ line: k + 1, fields: [source.trim()] }];
    const [fields = []] = Papa.parse<string[]>(source, { delimiter }).data;
    return [{ line: k + 1, fields: fields.map((field) => field.trim()) }];
  });
  const [first] = all;
  return first && isHeading(first.fields) ? all.slice(1) : all;
}

const HEADINGS = /^(code|codes|learner|name|problem|item|question|answer|answers)$/i;

function isHeading(fields: readonly string[]): boolean {
  return fields.length > 0 && fields.every((field) => HEADINGS.test(field));
}

type ReadRow = Omit<AnswerRow, 'line'> | { readonly fault: string };

function rowOf(fields: readonly string[], given: Problem | null): ReadRow {
  if (fields.length > 3) {
    return { fault: `This line has ${fields.length} parts; write code, problem, answer.` };
  }
  const answer = fields.at(-1) ?? '';
  const code = fields.length > 1 ? fields[0]! : '';
  const asked = fields.length === 3 ? fields[1]! : '';
  if (asked === '') {
    if (given) return { code, problem: given, answer };
    return { fault: 'This line names no problem; write code, problem, answer.' };
  }
  const read = readProblem(asked);
  if (!read.ok) return { fault: `The problem: ${failureText(read.reason)}` };
  const long = benchFailure(read.problem);
  return long
    ? { fault: `The problem: ${failureText(long)}` }
    : { code, problem: read.problem, answer };
}

/** Gives whoever has no code a fresh one, the same for the same name. */
class Codes {
  private readonly taken: ReadonlySet<string>;
  private readonly fresh = new Map<string, string>();
  private next = 1;

  constructor(firsts: readonly string[]) {
    this.taken = new Set(firsts.filter(isCode));
  }

  get renamed(): ReadRows['renamed'] {
    return [...this.fresh].map(([given, code]) => ({ given, code }));
  }

  codeFor(text: string): string {
    if (text === '' || isCode(text)) return text;
    const known = this.fresh.get(text);
    if (known !== undefined) return known;
    while (this.taken.has(`N${this.next}`)) this.next += 1;
    const code = `N${this.next}`;
    this.next += 1;
    this.fresh.set(text, code);
    return code;
  }
}
