import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { ROOT, StepFailure } from './project.mjs';

/**
 * Runs Node.js scripts at the same time, as many at once as there are processors; what each prints is printed in one piece when it
 * ends. StepFailure names all that failed, when all have ended.
 * @param scripts lists of arguments, the script first.
 */
export async function together(scripts) {
  const waiting = [...scripts];
  const failed = [];
  const worker = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      if (!(await ended(next))) failed.push(next.join(' '));
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
  if (failed.length > 0) throw new StepFailure(failed.map((one) => `${one} failed`).join('; '));
}

/** Whether a script ends well. */
function ended(args) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    const printed = [];
    for (const stream of [child.stdout, child.stderr]) {
      stream.on('data', (chunk) => printed.push(chunk));
    }
    child.on('close', (code) => {
      process.stdout.write(Buffer.concat(printed));
      resolve(code === 0);
    });
  });
}
