import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { matchesLock } from './installation.mjs';
import { oneAtATime } from './one-at-a-time.mjs';
import { Running } from './running.mjs';

/** The folder of the repository. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** What these scripts keep between two runs. */
const LEVEE = join(ROOT, '.levee');

const RUNNING = new Running(join(LEVEE, 'servers'));

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

/**
 * Installs what the lock file names where it is not there, and builds the database module anew for another Node.js. One
 * process at a time does so, the others wait; nothing that a running server uses is taken away from under it.
 */
export function ensureInstalled({ quiet = false } = {}) {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new StepFailure(`Levee needs Node.js 20.19 or later; this is ${process.versions.node}.`);
  }
  if (isInstalled()) return;
  locked('install', 'installs packages', () => {
    if (!isInstalled()) install(quiet);
  });
}

const BUILT_FOR = join(LEVEE, 'built-for');

function isInstalled() {
  const builtFor = existsSync(BUILT_FOR) ? readFileSync(BUILT_FOR, 'utf8') : '';
  return builtFor === process.versions.modules && matchesLock(ROOT);
}

function install(quiet) {
  const options = { quiet, env: ownHeaders() };
  const told = (text) => (quiet ? process.stderr.write(`${text}\n`) : say(text));
  if (!matchesLock(ROOT)) {
    const [server] = RUNNING.ids;
    if (server !== undefined) {
      throw new StepFailure(
        `Packages must be installed anew, and a Levee server (process ${server}) runs from this folder; stop it first, then start again.`,
      );
    }
    told('Installing packages (a few minutes the first time) …');
    run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error'], options);
  }
  if (!databaseModuleLoads()) {
    told('Building the database module for this Node.js …');
    run('npm', ['rebuild', 'better-sqlite3', '--loglevel=error'], options);
  }
  if (!databaseModuleLoads()) {
    throw new StepFailure(
      `The database module could not be built for Node.js ${process.versions.node}; start Levee with the Node.js that it was installed with, or install the header files of this one and start again.`,
    );
  }
  mkdirSync(LEVEE, { recursive: true });
  writeFileSync(BUILT_FOR, process.versions.modules);
}

/** Does what no two processes may do at once in this folder; those that wait say so. */
function locked(name, does, body) {
  return oneAtATime(
    join(LEVEE, `${name}.lock`),
    (holder) =>
      process.stderr.write(`Another Levee command (process ${holder}) ${does}; waiting …\n`),
    body,
  );
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

const TYPED = ['packages/core', 'packages/cli', 'apps/server'];
const SITE = ['apps/web', 'packages/core'];

/** Compiles core, command line and server, unless nothing changed since the last time. */
export function ensureCompiled({ quiet = false } = {}) {
  built('compiled', TYPED, () => {
    if (!quiet) say('Compiling core, command line and server …');
    run(process.execPath, ['node_modules/typescript/bin/tsc', '-b', ...TYPED], { quiet });
  });
}

/** The command line as one file, so that it answers at once. */
export const COMMAND_LINE = join(ROOT, 'packages/cli/dist/bundle/levee.js');

/** Puts the command line into one file, unless nothing changed since the last time. */
export function ensureCommandLine() {
  built('command-line', ['packages/cli', 'packages/core'], () => {
    process.stderr.write('Building the command line (this once) …\n');
    vite('packages/cli', { quiet: true });
  });
}

/** Builds the web application, unless nothing changed since the last time. */
export function ensureSite() {
  built('site', SITE, () => {
    say('Building the web application …');
    // A page that is open asks for the files of its own build later on.
    vite('apps/web', { env: RUNNING.ids.length > 0 ? { LEVEE_KEEP_FILES: 'yes' } : {} });
  });
}

function vite(folder, options = {}) {
  run(
    process.execPath,
    ['node_modules/vite/bin/vite.js', 'build', folder, '--logLevel', 'warn'],
    options,
  );
}

const OUTPUT = {
  compiled: [
    'packages/core/dist/index.js',
    'packages/cli/dist/index.js',
    'apps/server/dist/main.js',
  ],
  'command-line': ['packages/cli/dist/bundle/levee.js'],
  site: ['apps/web/dist/site/index.html'],
};

/** Builds one thing where its sources are not those that it was built from last; one process at a time does so. */
function built(name, folders, build) {
  const stamp = join(LEVEE, name);
  const isBuilt = () =>
    OUTPUT[name].every((file) => existsSync(join(ROOT, file))) &&
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === stateOf(folders);
  if (isBuilt()) return;
  locked('build', 'builds', () => {
    if (isBuilt()) return;
    const state = stateOf(folders);
    build();
    mkdirSync(LEVEE, { recursive: true });
    writeFileSync(stamp, state);
  });
}

/** How many files there are and when the newest was changed, of these packages and the lock file. */
function stateOf(folders) {
  const sources = [
    join(ROOT, 'package-lock.json'),
    ...folders.flatMap((folder) => filesIn(join(ROOT, folder))),
  ];
  const newest = Math.max(...sources.map((file) => statSync(file).mtimeMs));
  return `${sources.length} ${newest}`;
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

/**
 * Starts the server and stays until it ends; stop signals are passed on. Resolves with its exit code; a server that was
 * ended by somebody else says so, and counts as failed.
 */
export function serve(args, server = SERVER) {
  const child = spawn(process.execPath, [server, ...args], { cwd: ROOT, stdio: 'inherit' });
  let asked = false;
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      asked = true;
      child.kill(signal);
    });
  }
  if (child.pid !== undefined) RUNNING.add(child.pid);
  return new Promise((resolve) => {
    child.on('error', (failure) => {
      process.stderr.write(`The server could not be started (${failure.message}).\n`);
      resolve(1);
    });
    child.on('exit', (code, signal) => {
      if (child.pid !== undefined) RUNNING.remove(child.pid);
      resolve(endOf(code, signal, asked));
    });
  });
}

function endOf(code, signal, asked) {
  if (asked) return code ?? 0;
  if (signal) {
    process.stderr.write(
      `The server was ended by the system or another program (${signal}); what it had confirmed is on disk. Start it again to go on.\n`,
    );
    return 1;
  }
  if (code === 0) process.stderr.write('The server ended without being asked to.\n');
  return code === 0 ? 1 : (code ?? 1);
}
