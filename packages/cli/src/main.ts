import { writeSync } from 'node:fs';
import { runCommandLine } from './program.ts';

const { exitCode, output, error } = runCommandLine(process.argv.slice(2));
if (error) process.stderr.write(`${error}\n`);
else writeAll(output);
process.exitCode = exitCode;

/** Writes everything to standard output, waiting where a pipe is full; stops when it is closed. */
function writeAll(text: string): void {
  const bytes = Buffer.from(text);
  let done = 0;
  while (done < bytes.length) {
    try {
      done += writeSync(1, bytes, done);
    } catch (failure) {
      const { code } = failure as NodeJS.ErrnoException;
      if (code === 'EPIPE') return;
      if (code !== 'EAGAIN') throw failure;
    }
  }
}
