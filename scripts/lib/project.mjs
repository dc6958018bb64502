import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the repository. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** The compiled server. */
export const SERVER = join(ROOT, 'apps/server/dist/main.js');

/** Prints a line of progress. */
export function say(line) {
  process.stdout.write(`${line}\n`);
}

/** Runs a command in the repository with its output shown; throws a StepFailure when it fails. */
export function run(command, args, { env = {}, quiet = false } = {}) {
  const result = spawnSync(command, args, {
    cwd: ROOT,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, SCARF_ANALYTICS: 'false', ...env },
    encoding: 'utf8',
  });
  if (result.status === 0) return;
  if (quiet) process.stderr.write(`${result.stdout ?? ''}${result.stderr ?? ''}`);
  throw new StepFailure(`${[command, ...args].join(' ')} failed`);
}

export class StepFailure extends Error {}

/** Runs a script's body; a StepFailure ends it with one line and exit code 1. */
export async function main(body) {
  try {
    await body();
  } catch (error) {
    if (!(error instanceof StepFailure)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 1;
  }
}

/** Installs what the lock file names, and builds it anew for another Node.js, unless that was done already. */
export function ensureInstalled({ quiet = false } = {}) {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new StepFailure(`Levee needs Node.js 20.19 or later; this is ${process.versions.node}.`);
  }
  const stamp = join(ROOT, 'node_modules/.levee-installed');
  const packages = digest(join(ROOT, 'package-lock.json'));
  const { modules } = process.versions;
  const [installed, builtFor] = existsSync(stamp) ? readFileSync(stamp, 'utf8').split(' ') : [];
  if (installed === packages && builtFor === modules) return;
  const options = { quiet, env: ownHeaders() };
  if (installed === packages) {
    if (!quiet) say('Rebuilding the database module for this Node.js …');
    run('npm', ['rebuild', 'better-sqlite3', '--loglevel=error'], options);
  } else {
    if (!quiet) say('Installing packages (a few minutes the first time) …');
    run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error'], options);
  }
  if (!databaseModuleLoads()) {
    throw new StepFailure(
      `The database module could not be built for Node.js ${process.versions.node}; start Levee with the Node.js that it was installed with, or install the header files of this one and start again.`,
    );
  }
  writeFileSync(stamp, `${packages} ${modules}`);
}

/** Native modules are built against the header files that came with this very Node.js, where it has them. */
function ownHeaders() {
  const prefix = dirname(dirname(process.execPath));
  return existsSync(join(prefix, 'include/node/node_version.h'))
    ? { npm_config_nodedir: prefix }
    : {};
}

/** Asked in a process of its own, since a module that was once tried is not loaded anew. */
function databaseModuleLoads() {
  const opening = "new (require('better-sqlite3'))(':memory:').close()";
  return spawnSync(process.execPath, ['-e', opening], { cwd: ROOT }).status === 0;
}

function digest(file) {
  return createHash('sha256').update(readFileSync(file)).digest('hex');
}

const TYPED = ['packages/core', 'packages/cli', 'apps/server'];
const SITE = ['apps/web', 'packages/core'];

/** Compiles core, command line and server, unless nothing changed since the last time. */
export function ensureCompiled({ quiet = false } = {}) {
  built('compiled', TYPED, () => {
    if (!quiet) say('Compiling core, command line and server …');
    run(process.execPath, ['node_modules/typescript/bin/tsc', '-b', ...TYPED], { quiet });
  });
}

/** Builds the web application, unless nothing changed since the last time. */
export function ensureSite() {
  built('site', SITE, () => {
    say('Building the web application …');
    run(process.execPath, [
      'node_modules/vite/bin/vite.js',
      'build',
      'apps/web',
      '--logLevel',
      'warn',
    ]);
  });
}

function built(name, folders, build) {
  const stamp = join(ROOT, '.levee', name);
  const sources = folders.flatMap((folder) => filesIn(join(ROOT, folder)));
  const newest = Math.max(...sources.map((file) => statSync(file).mtimeMs));
  const state = `${sources.length} ${newest}`;
  const outputs = folders.slice(0, name === 'site' ? 1 : undefined);
  const there = outputs.every((folder) => existsSync(join(ROOT, folder, 'dist')));
  if (there && existsSync(stamp) && readFileSync(stamp, 'utf8') === state) return;
  build();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, state);
}

/** The files of a package that its build depends on. */
function filesIn(folder) {
  const skipped = new Set(['node_modules', 'dist']);
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (skipped.has(entry.name) || entry.name.endsWith('.tsbuildinfo')) return [];
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesIn(path) : [path];
  });
}

/** Starts the server and stays until it ends; stop signals are passed on. Resolves with its exit code. */
export function serve(args) {
  const child = spawn(process.execPath, [SERVER, ...args], { cwd: ROOT, stdio: 'inherit' });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  return new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 0)));
}
