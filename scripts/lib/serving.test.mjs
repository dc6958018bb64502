import { expect, it } from '@jest/globals';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const PROJECT = pathToFileURL(join(import.meta.dirname, 'project.mjs')).href;

/** What starting a server with this code says on standard error, and its exit code. */
function served(code, signal = null) {
  const folder = mkdtempSync(join(tmpdir(), 'levee-serving-'));
  const server = join(folder, 'server.mjs');
  writeFileSync(server, `console.log('up');${code}`);
  const start = `import { serve } from '${PROJECT}'; process.exitCode = await serve([], '${server}');`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', start]);
  let said = '';
  child.stderr.on('data', (piece) => (said += piece));
  child.stdout.once('data', () => signal && child.kill(signal));
  return new Promise((resolve) => {
    child.on('exit', (exitCode) => {
      rmSync(folder, { recursive: true, force: true });
      resolve({ exitCode, said });
    });
  });
}

it('says when the server is ended by somebody else', async () => {
  const { exitCode, said } = await served(`process.kill(process.pid, 'SIGKILL');`);
  expect([exitCode, said]).toEqual([1, expect.stringContaining('SIGKILL')]);
});

it('says when it ends without being asked to', async () => {
  const { exitCode, said } = await served('process.exit(0);');
  expect([exitCode, said]).toEqual([1, 'The server ended without being asked to.\n']);
});

it('passes its failure on, and is quiet where it was asked to stop', async () => {
  expect(await served('process.exit(3);')).toEqual({ exitCode: 3, said: '' });
  const waits = `process.on('SIGTERM', () => process.exit(0)); setInterval(() => 0, 1000);`;
  expect(await served(waits, 'SIGTERM')).toEqual({ exitCode: 0, said: '' });
});
