import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import {
  ensureCompiled,
  ensureInstalled,
  ensureSite,
  main,
  ROOT,
  run,
  say,
  StepFailure,
} from './lib/project.mjs';
import { together } from './lib/together.mjs';

/** What looks at the code without running it. */
const CHECKS = [
  ['node_modules/typescript/bin/tsc', '-b'],
  ['node_modules/eslint/bin/eslint.js', '.'],
  ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'],
  [
    ...['node_modules/dependency-cruiser/bin/dependency-cruise.mjs', '--config'],
    ...['.dependency-cruiser.cjs', 'packages', 'apps', 'e2e'],
  ],
];

/** The measurements that need no browser. */
const QUICK = 'growth,points,light,json,slips,lines,ways,weight';

/** Everything that must hold before a change lands, from a clean checkout on. */
await main(async () => {
  const started = performance.now();
  await step('packages', ensureInstalled);
  await step('browser', ensureBrowser);
  await step('types, lint and format', () => together(CHECKS));
  await step('build', () => {
    ensureCompiled();
    ensureSite();
  });
  const counts = { passed: 0, failed: 0 };
  const unit = await step('unit tests', () =>
    jest(counts, 'unit', 'core', 'cli', 'server', 'web', 'scripts', '--maxWorkers=100%'),
  );
  const browser = await step('browser tests', () => jest(counts, 'browser', 'e2e', '--runInBand'));
  await step('measurements, once and small', () =>
    run(process.execPath, ['scripts/bench.mjs', '--brief', '--only', QUICK]),
  );
  const failures = [unit, browser].filter((failure) => failure !== null);
  say(`\nverify took ${Math.round((performance.now() - started) / 1000)} s`);
  say(`${counts.passed} passed, ${counts.failed} failed`);
  if (failures.length > 0) throw new StepFailure(failures.join('; '));
});

/** Runs one step with its time; test steps give back what failed so that the others still run. */
async function step(name, body) {
  say(`\n== ${name}`);
  const started = performance.now();
  const failure = (await body()) ?? null;
  say(`-- ${name}: ${((performance.now() - started) / 1000).toFixed(1)} s`);
  return failure;
}

function jest(counts, name, ...projectsAndFlags) {
  const projects = projectsAndFlags.filter((arg) => !arg.startsWith('-'));
  const flags = projectsAndFlags.filter((arg) => arg.startsWith('-'));
  const report = join(ROOT, `.levee/${name}-tests.json`);
  mkdirSync(join(ROOT, '.levee'), { recursive: true });
  rmSync(report, { force: true });
  const args = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'];
  const result = spawnSync(
    process.execPath,
    [
      ...args,
      '--ci',
      '--json',
      `--outputFile=${report}`,
      ...flags,
      '--selectProjects',
      ...projects,
    ],
    { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] },
  );
  if (!existsSync(report)) throw new StepFailure(`${name} tests did not run`);
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  counts.passed += numPassedTests;
  counts.failed += Math.max(numFailedTests, numFailedTestSuites);
  if (result.status === 0 && numPassedTests > 0) return null;
  return `${name} tests failed`;
}

/** Debian's chromium and chromium-driver, installed where they are missing. */
function ensureBrowser() {
  const found = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;
  if (found('chromium') && found('chromedriver')) return;
  say('Installing chromium and chromium-driver …');
  const root = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...root, 'apt-get', ...args];
    run(command, rest, { quiet: true, env: { DEBIAN_FRONTEND: 'noninteractive' } });
  };
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium', 'chromium-driver');
}
