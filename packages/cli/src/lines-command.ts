import {
  FALSE_RULES,
  judgeLines,
  layOn,
  linesDocument,
  readAsked,
  readWay,
  wayDocument,
  wayOf,
  waysDocument,
  waysFor,
  OWN_LIMITS,
  type Asked,
  type JudgedPaper,
  type LetteredWay,
} from '@levee/core';
import { oneOf } from './arguments.ts';
import { fileLines, fileText, jsonIn } from './files.ts';
import { RefutedError, UsageError } from './usage-error.ts';

export interface LinesOptions {
  readonly line: readonly string[];
  readonly lines?: string;
  readonly batch?: string;
  readonly rules?: boolean;
  readonly format: string;
}

/** Judges someone's own working line by line: of one problem, or of one on each line of a batch, piece by piece. */
export function* linesCommand(text: string | undefined, options: LinesOptions): Generator<string> {
  oneOf(options.format, ['json'], 'format');
  if (options.rules) return yield `${FALSE_RULES.map(({ id }) => id).join('\n')}\n`;
  if (options.batch !== undefined) return yield* batch(options.batch);
  if (text === undefined) throw new UsageError('Say which problem: levee lines "46 * 58" --line …');
  yield judged(text, linesOf(options));
}

/** Ways others take with these numbers, each proved line by line. */
export function waysCommand(text: string, options: { readonly format: string }): string {
  oneOf(options.format, ['json'], 'format');
  const read = readAsked(text);
  if (!read.ok) throw new UsageError(read.reason);
  return `${JSON.stringify(waysDocument(read.asked, waysFor(read.asked)))}\n`;
}

export interface WayOptions {
  readonly line: readonly string[];
  readonly lines?: string;
  readonly name: string;
  readonly way?: string;
  readonly on: readonly string[];
  readonly format: string;
}

/**
 * A way with letters for its numbers, of lines or out of a file; with other problems its lines on each of them, judged.
 * RefutedError where no letters can be given, or where the numbers do not meet what must hold.
 */
export function wayCommand(text: string | undefined, options: WayOptions): string {
  oneOf(options.format, ['json'], 'format');
  const way = options.way === undefined ? wayOfLines(text, options) : wayIn(options.way);
  if (options.on.length === 0) return `${JSON.stringify(wayDocument(way))}\n`;
  return options.on
    .map((problem) => {
      const read = readAsked(problem);
      if (!read.ok) throw new UsageError(read.reason);
      const laid = layOn(way, read.asked);
      if (!laid.ok) throw new RefutedError(`${read.asked.text}: ${laid.says}`);
      return judged(problem, laid.lines);
    })
    .join('');
}

function wayOfLines(text: string | undefined, options: WayOptions): LetteredWay {
  if (text === undefined) throw new UsageError('Say which problem: levee way "46 * 58" --line …');
  const made = wayOf(judgedPaper(text, linesOf(options)), options.name);
  if (!made.ok) throw new RefutedError(made.says);
  return made.way;
}

function wayIn(file: string): LetteredWay {
  const read = readWay(jsonIn(fileText(file), file));
  if (!read.ok) throw new UsageError(`${read.where}: ${read.fault}`);
  return read.value;
}

function linesOf({ line, lines }: Pick<LinesOptions, 'line' | 'lines'>): readonly string[] {
  return [...line, ...(lines === undefined ? [] : linesIn(lines))];
}

function judged(problem: string, lines: readonly string[]): string {
  return `${JSON.stringify(linesDocument(judgedPaper(problem, lines)))}\n`;
}

function judgedPaper(problem: string, lines: readonly string[]): JudgedPaper {
  return judgeLines(askedOf(problem, lines), lines);
}

/** The problem, where it can be read and there are lines that can be judged. UsageError where not. */
function askedOf(problem: string, lines: readonly string[], where = ''): Asked {
  const read = readAsked(problem);
  if (!read.ok) throw new UsageError(`${where}${read.reason}`);
  if (lines.length === 0) {
    throw new UsageError(`${where}There is no line; give one with --line TEXT or --lines FILE.`);
  }
  if (lines.length > OWN_LIMITS.lines) {
    throw new UsageError(
      `${where}There are ${lines.length} lines; up to ${OWN_LIMITS.lines} are judged.`,
    );
  }
  const long = lines.findIndex((line) => line.length > OWN_LIMITS.characters);
  if (long >= 0) {
    throw new UsageError(
      `${where}Line ${long + 1} has ${lines[long]!.length} characters; up to ${OWN_LIMITS.characters} are read.`,
    );
  }
  return read.asked;
}

/** The most papers of one batch. */
const MOST_PAPERS = 10_000;

/**
 * `{"problem": …, "lines": […]}` on each line; one result a line, each as soon as it is there. All of it is read before
 * the first is judged; a paper on which the judge itself fails is told in its place, and the others are judged.
 */
function* batch(file: string): Generator<string> {
  const rows = fileLines(file).filter((line) => line.trim() !== '');
  if (rows.length > MOST_PAPERS) {
    throw new UsageError(`${file} has ${rows.length} papers; up to ${MOST_PAPERS} are judged.`);
  }
  const papers = rows.map((row, index) => {
    const where = `Line ${index + 1}: `;
    const { problem, lines } = parsed(row, where);
    askedOf(problem, lines, where);
    return { problem, lines };
  });
  const failed: number[] = [];
  for (const [index, { problem, lines }] of papers.entries()) {
    try {
      yield judged(problem, lines);
    } catch (failure) {
      failed.push(index + 1);
      const told = { line: index + 1, problem, lines, fault: (failure as Error).message };
      yield `${JSON.stringify({ format: 'levee-lines-failure', version: 1, ...told })}\n`;
    }
  }
  if (failed.length > 0) {
    throw new RefutedError(`The judge failed on the papers of these lines: ${failed.join(', ')}.`);
  }
}

function parsed(row: string, where: string): { problem: string; lines: readonly string[] } {
  const made = jsonIn(row, `${where}this`);
  const { problem, lines } = (made ?? {}) as { problem?: unknown; lines?: unknown };
  if (
    typeof problem !== 'string' ||
    !Array.isArray(lines) ||
    !lines.every((one) => typeof one === 'string')
  ) {
    throw new UsageError(`${where}this needs "problem", a text, and "lines", a list of texts.`);
  }
  return { problem, lines };
}

function linesIn(file: string): readonly string[] {
  return fileLines(file).filter((line) => line.trim() !== '');
}
