import { readFileSync } from 'node:fs';
import {
  FALSE_RULES,
  judgeLines,
  linesDocument,
  readAsked,
  waysDocument,
  waysFor,
} from '@levee/core';
import { oneOf } from './arguments.ts';
import { UsageError } from './usage-error.ts';

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
  const filed = options.lines === undefined ? [] : linesIn(options.lines);
  return judged(text, [...options.line, ...filed]);
}

/** Ways others take with these numbers, each proved line by line. */
export function waysCommand(text: string, options: { readonly format: string }): string {
  oneOf(options.format, ['json'], 'format');
  const read = readAsked(text);
  if (!read.ok) throw new UsageError(read.reason);
  return `${JSON.stringify(waysDocument(read.asked, waysFor(read.asked)))}\n`;
}

function judged(problem: string, lines: readonly string[], where = ''): string {
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
  return `${JSON.stringify(linesDocument(judgeLines(read.asked, lines)))}\n`;
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
  let made: unknown;
  try {
    made = JSON.parse(line);
  } catch {
    throw new UsageError(`${where}this is not JSON.`);
  }
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
  let text: string;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    throw new UsageError(`The file ${file} cannot be read.`);
  }
  return text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '');
}
