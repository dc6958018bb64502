import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { request } from 'node:http';

const PATIENCE = 20000;

/** Sends one request; resolves with its status and the milliseconds that it took. */
export function send(port, { method, path, headers, body }) {
  const started = performance.now();
  return new Promise((resolve) => {
    const done = (status, text = '') =>
      resolve({ status, text, took: performance.now() - started });
    const sent = request(
      { host: '127.0.0.1', port, method, path, headers, timeout: PATIENCE },
      (response) => {
        let text = '';
        response.on('data', (chunk) => (text += chunk.toString()));
        response.on('end', () => done(response.statusCode, text));
        response.on('error', () => done(response.statusCode, text));
      },
    );
    sent.on('timeout', () => sent.destroy(new Error('no answer')));
    sent.on('error', (error) => done(error.message === 'no answer' ? 0 : 499));
    sent.end(body);
  });
}

/** Resident memory of a process in MB; 0 where the system does not tell. */
export function memoryOf(pid) {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1000;
  } catch {
    return 0;
  }
}

/** Starts the built server on a free port of the loopback address. */
export async function serve(main, folder) {
  const child = spawn(process.execPath, [main, '--data', folder, '--port', '0'], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let printed = '';
  const port = await new Promise((resolve, reject) => {
    const read = (chunk) => {
      printed += chunk.toString();
      const found = /Levee is at http:\/\/127\.0\.0\.1:(\d+)/.exec(printed);
      if (found) resolve(Number(found[1]));
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.on('exit', () => reject(new Error(`the server ended: ${printed}`)));
  });
  const ended = new Promise((resolve) => child.on('exit', resolve));
  return { child, port, printed: () => printed, ended };
}
