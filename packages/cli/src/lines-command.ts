import { readFileSync } from 'node:fs';
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
  type JudgedPaper,
  type LetteredWay,
} from '@levee/core';
import { oneOf } from './arguments.ts';
import { RefutedError, UsageError } from './usage-error.ts';

export interface LinesOptions {
  readonly line: readonly string[];
  readonly lines?: string;
  readonly batch?: string;
  readonly rules?: boolean;
  readonly format: string;
}

/** Judges someone's own working line by line: of one problem, or of one on each line of a batch. */
export function linesCommand(text: string | undefined, options: LinesOptions): string {
  oneOf(options.format, ['json'], 'format');
  if (options.rules) return `${FALSE_RULES.map(({ id }) => id).join('\n')}\n`;
  if (options.batch !== undefined) return batch(options.batch);
  if (text === undefined) throw new UsageError('Say which problem: levee lines "46 * 58" --line …');
  return judged(text, linesOf(options));
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
  const read = readWay(parsedJson(textIn(file), ''));
  if (!read.ok) throw new UsageError(`${read.where}: ${read.fault}`);
  return read.value;
}

function linesOf({ line, lines }: Pick<LinesOptions, 'line' | 'lines'>): readonly string[] {
  return [...line, ...(lines === undefined ? [] : linesIn(lines))];
}

function judged(problem: string, lines: readonly string[], where = ''): string {
  return `${JSON.stringify(linesDocument(judgedPaper(problem, lines, where)))}\n`;
}

function judgedPaper(problem: string, lines: readonly string[], where = ''): JudgedPaper {
  const read = readAsked(problem);
  if (!read.ok) throw new UsageError(`${where}${read.reason}`);
  if (lines.length === 0) {
    throw new UsageError(`${where}There is no line; give one with --line TEXT or --lines FILE.`);
  }
  if (lines.length > MOST_LINES) {
    throw new UsageError(
      `${where}There are ${lines.length} lines; up to ${MOST_LINES} are judged.`,
    );
  }
  return judgeLines(read.asked, lines);
}

const MOST_LINES = 60;

/** `{"problem": …, "lines": […]}` on each line; one result a line. */
function batch(file: string): string {
  return linesIn(file)
    .map((line, index) => {
      const where = `Line ${index + 1}: `;
      const { problem, lines } = parsed(line, where);
      return judged(problem, lines, where);
    })
    .join('');
}

function parsed(line: string, where: string): { problem: string; lines: readonly string[] } {
  const made = parsedJson(line, where);
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

function parsedJson(text: string, where: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new UsageError(`${where}this is not JSON.`);
  }
}

function textIn(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    throw new UsageError(`The file ${file} cannot be read.`);
  }
}

function linesIn(file: string): readonly string[] {
  return textIn(file)
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== '');
}
