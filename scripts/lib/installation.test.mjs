import { afterEach, beforeEach, expect, it } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { matchesLock } from './installation.mjs';

let folder;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'levee-installed-'));
  mkdirSync(join(folder, 'node_modules'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

function written(name, packages) {
  writeFileSync(join(folder, name), JSON.stringify({ packages }));
}

const LOCK = {
  '': { name: 'levee' },
  'packages/core': { name: '@levee/core' },
  'node_modules/@levee/core': { resolved: 'packages/core', link: true },
  'node_modules/a': { version: '1.0.0', integrity: 'sha512-a' },
  'node_modules/only-there': { version: '2.0.0', integrity: 'sha512-b', optional: true },
};
const { 'node_modules/only-there': left, '': own, ...THERE } = LOCK;

it('counts what npm itself says was installed, what is for other systems aside', () => {
  written('package-lock.json', LOCK);
  expect(matchesLock(folder)).toBe(false);
  written('node_modules/.package-lock.json', THERE);
  expect([matchesLock(folder), left.optional, own.name]).toEqual([true, true, 'levee']);
});

it.each([
  ['another version', { version: '1.0.1', integrity: 'sha512-a' }],
  ['another content', { version: '1.0.0', integrity: 'sha512-z' }],
  ['a link in its place', { resolved: 'a', link: true }],
  ['nothing', undefined],
])('does not count %s', (_, found) => {
  written('package-lock.json', LOCK);
  written('node_modules/.package-lock.json', { ...THERE, 'node_modules/a': found });
  expect(matchesLock(folder)).toBe(false);
});

it('does not count an installation that was broken off', () => {
  written('package-lock.json', LOCK);
  writeFileSync(join(folder, 'node_modules/.package-lock.json'), '{"packages": {');
  expect(matchesLock(folder)).toBe(false);
});
