import { readFileSync } from 'node:fs';
import { UsageError } from './usage-error.ts';

/** The text of a file, or of standard input for `-`, without a byte order mark. UsageError where it cannot be read. */
export function fileText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8').replace(/^\uFEFF/, '');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new UsageError(`${file} cannot be read (${code}).`);
  }
}

/** Its lines, the last line break left out. */
export function fileLines(file: string): readonly string[] {
  return fileText(file)
    .replace(/(\r\n|\r|\n)$/, '')
    .split(/\r\n|\r|\n/);
}

/** A document as JSON. UsageError where it is none; `what` names it. */
export function jsonIn(text: string, what: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new UsageError(`${what} is not JSON.`);
  }
}
