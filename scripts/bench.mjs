import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import {
  ensureCompiled,
  ensureInstalled,
  ensureSite,
  main,
  ROOT,
  run,
  say,
} from './lib/project.mjs';

/** Milliseconds that one sample should take at least, so that the clock does not matter. */
const SAMPLE = 30;
const SAMPLES = 12;

/** Speed as ratios of one run, so that they hold on any machine. */
await main(async () => {
  if (globalThis.gc) return benchCore();
  ensureInstalled();
  ensureCompiled();
  ensureSite();
  run(process.execPath, ['--expose-gc', 'scripts/bench.mjs']);
  say('Frames at 12 x 12 figures on four papers, in headless Chromium');
  const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'];
  run(process.execPath, [...jest, '--selectProjects', 'bench', '--runInBand']);
});

/** The core alone, garbage collected before every measurement so that none pays for another. */
async function benchCore() {
  const core = await import(pathToFileURL(join(ROOT, 'packages/core/dist/index.js')).href);
  const { methods } = core.registry;
  say('Time to trace an n x n product over time to write that trace as JSON (goal at most 1.50)');
  for (const method of methods) {
    const ratios = [4, 12, 40, 120].map((n) => {
      const problem = product(core, n);
      const trace = method.trace(problem);
      const once = ratio(
        () => method.trace(problem),
        () => JSON.stringify(trace),
      );
      return `${n}: ${once.toFixed(2)}`;
    });
    say(`  ${method.id.padEnd(24)} ${ratios.join('   ')}`);
  }
  say('Time to trace 80 x 80 figures over 40 x 40 (goal at most 4.60)');
  for (const method of methods) {
    const [large, small] = [80, 40].map((n) => product(core, n));
    const times = ratio(
      () => method.trace(large),
      () => method.trace(small),
    );
    say(`  ${method.id.padEnd(24)} ${times.toFixed(2)}`);
  }
}

/** A product of two numbers of n figures, all figures in use. */
function product(core, n) {
  const figures = (shift) =>
    Array.from({ length: n }, (_, i) => ((i * 7 + shift) % 9) + 1).join('');
  return core.productProblem([core.numeral(figures(3)), core.numeral(figures(5))]);
}

/** How many times as long the first takes as the second: the best of samples taken in turn. */
function ratio(first, second) {
  const bodies = [first, second].map((body) => ({ body, runs: runsFor(body), times: [] }));
  for (let round = 0; round < SAMPLES; round++) {
    for (const { body, runs, times } of bodies) {
      globalThis.gc();
      times.push(timeOf(body, runs) / runs);
    }
  }
  const [a, b] = bodies.map(({ times }) => Math.min(...times));
  return a / b;
}

/** How many runs make a sample, found after warming up. */
function runsFor(body) {
  let runs = 1;
  while (timeOf(body, runs) < SAMPLE) runs *= 2;
  return runs;
}

function timeOf(body, runs) {
  const start = performance.now();
  for (let run = 0; run < runs; run++) body();
  return performance.now() - start;
}
