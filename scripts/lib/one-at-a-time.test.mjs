import { afterEach, beforeEach, expect, it } from '@jest/globals';
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { oneAtATime } from './one-at-a-time.mjs';

const HERE = pathToFileURL(join(import.meta.dirname, 'one-at-a-time.mjs')).href;

const WORK = `
  import { appendFileSync } from 'node:fs';
  import { oneAtATime } from '${HERE}';
  const [lock, log] = process.argv.slice(-2);
  oneAtATime(lock, () => appendFileSync(log + '.waited', 'x'), () => {
    appendFileSync(log, 'begin ');
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 60);
    appendFileSync(log, 'end ');
  });
`;

let folder;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'levee-lock-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

function process_(lock, log) {
  const child = spawn(process.execPath, ['--input-type=module', '-e', WORK, '--', lock, log]);
  return new Promise((resolve) => child.on('exit', resolve));
}

it('lets five processes at once do something one after the other, and those that wait say so', async () => {
  const [lock, log] = [join(folder, 'a/lock'), join(folder, 'log')];
  const codes = await Promise.all(Array.from({ length: 5 }, () => process_(lock, log)));
  expect(codes).toEqual([0, 0, 0, 0, 0]);
  expect(readFileSync(log, 'utf8')).toBe('begin end '.repeat(5));
  expect(readFileSync(`${log}.waited`, 'utf8').length).toBeGreaterThan(0);
  expect(existsSync(lock)).toBe(false);
});

it('takes over the lock of a process that is gone', () => {
  const gone = spawnSync(process.execPath, ['-e', '']).pid;
  const lock = join(folder, 'lock');
  writeFileSync(lock, String(gone));
  expect(
    oneAtATime(
      lock,
      () => expect(true).toBe(false),
      () => 'done',
    ),
  ).toBe('done');
  expect(existsSync(lock)).toBe(false);
});

it('gives the lock back when what it does fails', () => {
  const lock = join(folder, 'lock');
  const fail = () => {
    throw new RangeError('no');
  };
  expect(() => oneAtATime(lock, () => undefined, fail)).toThrow('no');
  expect(existsSync(lock)).toBe(false);
});
