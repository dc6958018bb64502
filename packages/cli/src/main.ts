import { writeSync } from 'node:fs';
import { runCommandLine } from './program.ts';

const { exitCode, output, error } = runCommandLine(process.argv.slice(2), writeAll);
writeAll(output);
if (error) process.stderr.write(`${printable(error)}\n`);
process.exitCode = exitCode;

/** Writes everything to standard output, waiting where a pipe is full; the process ends when it is closed. */
function writeAll(text: string): void {
  const bytes = Buffer.from(text);
  let done = 0;
  while (done < bytes.length) {
    try {
      done += writeSync(1, bytes, done);
    } catch (failure) {
      const { code } = failure as NodeJS.ErrnoException;
      if (code === 'EPIPE') process.exit(0);
      if (code !== 'EAGAIN') throw failure;
    }
  }
}

/** A text without characters that a terminal obeys. */
function printable(text: string): string {
  return text.replace(/[\p{Cc}\p{Cf}]/gu, '\uFFFD');
}
