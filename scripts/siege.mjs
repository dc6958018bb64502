import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import {
  COMMAND_LINE,
  ensureCommandLine,
  ensureCompiled,
  ensureInstalled,
  ensureSite,
  main,
  ROOT,
  say,
  SERVER,
} from './lib/project.mjs';
import { besiegeJobs, givenDocuments } from './lib/siege/jobs.mjs';
import { fuzzFigures } from './lib/siege/fuzz.mjs';
import { killWhileRestoring } from './lib/siege/restores.mjs';
import { besiege, killWhileSaving } from './lib/siege/siege.mjs';
import { nameOf, slowestInputs, timed } from './lib/slowest.mjs';

/** Seconds that a command may take at most, on an idle machine. */
const MOST_SECONDS = 10;

/** Attacks a server that it starts for itself on the loopback address, and prints one table. */
await main(async () => {
  const { values } = parseArgs({
    options: {
      requests: { type: 'string', default: '10000' },
      kills: { type: 'string', default: '20' },
      seed: { type: 'string', default: '7' },
    },
  });
  const [requests, kills, seed] = [values.requests, values.kills, values.seed].map(Number);
  ensureInstalled();
  ensureCompiled();
  ensureSite();
  ensureCommandLine();
  const folder = mkdtempSync(join(tmpdir(), 'levee-siege-'));
  try {
    const attack = await besiege({
      main: SERVER,
      folder,
      requests: Math.min(requests, 50000),
      seed,
    });
    const saving = await killWhileSaving({
      main: SERVER,
      folder,
      kills: Math.min(kills, 200),
      seed,
    });
    const restoring = await killWhileRestoring({
      main: SERVER,
      folder,
      kills: Math.ceil(Math.min(kills, 200) / 2),
      seed,
    });
    const asking = await besiegeJobs({
      site: join(ROOT, 'apps/web/dist/site'),
      asked: Math.ceil(Math.min(requests, 50000) / 80),
      seed,
      given: await givenDocuments(join(ROOT, 'packages/core/dist/index.js')),
    });
    printRows('attack', attack.rows);
    print(attack, saving, restoring);
    printRows('job of the page’s worker', asking.rows);
    for (const fault of asking.faults.slice(0, 5)) say(fault);
    const fuzz = fuzzFigures({ root: ROOT, folder, inputs: Math.ceil(requests / 10), seed });
    say(
      `lines of any kind: ${fuzz.inputs} inputs, ${fuzz.thrown} thrown, ${fuzz.differing} differing, slowest ${fuzz.slowest} ms`,
    );
    const late = printSlowest();
    const failed = [...attack.rows, ...asking.rows].reduce((sum, row) => sum + row.failed, 0);
    // A run that kept nothing shows nothing.
    const isIdle = kills > 0 && saving.acknowledged < Math.min(kills, 200);
    const isLost = saving.lost > 0 || restoring.lost > 0;
    if (failed + fuzz.thrown + fuzz.differing > 0 || isLost || isIdle || late) process.exitCode = 1;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

/** One line for each kind that was tried, and one for all. */
function printRows(what, rows) {
  const total = rows.reduce(
    (sum, row) => ({
      name: 'all',
      tried: sum.tried + row.tried,
      taken: sum.taken + row.taken,
      refused: sum.refused + row.refused,
      failed: sum.failed + row.failed,
      slowest: Math.max(sum.slowest, row.slowest),
    }),
    { tried: 0, taken: 0, refused: 0, failed: 0, slowest: 0 },
  );
  say(`${what.padEnd(30)} tried  taken refused failed slowest`);
  for (const { name, tried, taken, refused, failed, slowest } of [...rows, total]) {
    const counts = [tried, taken, refused].map((count) => String(count).padStart(6)).join(' ');
    say(
      `${name.padEnd(28)} ${counts} ${String(failed).padStart(6)} ${slowest.toFixed(0).padStart(5)} ms`,
    );
  }
}

function print({ health, memory, code, stacks }, saving, restoring) {
  say(`health: asked ${health.asked} times meanwhile, slowest ${health.slowest.toFixed(0)} ms`);
  say(
    `memory: ${memory.before.toFixed(0)} MB after a quarter, ${memory.after.toFixed(0)} MB at the end`,
  );
  say(`console: ${stacks} stacks; ended with code ${code}`);
  const { kills, acknowledged, lost } = saving;
  say(`kills while saving: ${kills}; ${acknowledged} saves acknowledged, ${lost} lost`);
  say(
    `kills while restoring: ${restoring.kills}; ${restoring.swapped} behind the swap, ${restoring.lost} lost`,
  );
}

/** The slowest accepted input of every command, with 1 GB of room; whether one took too long or did not end. */
function printSlowest() {
  say('slowest accepted input of each command (seconds, goal 10; 1 GB of room)');
  let late = false;
  for (const input of slowestInputs()) {
    const { seconds, ended } = timed(COMMAND_LINE, input);
    late ||= !ended || seconds > MOST_SECONDS;
    say(
      `${nameOf(input).padEnd(78)} ${seconds.toFixed(1).padStart(5)}${ended ? '' : ' did not end'}`,
    );
  }
  return late;
}
