import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureCompiled, ensureInstalled, ensureSite, main, say, SERVER } from './lib/project.mjs';
import { besiege, killWhileSaving } from './lib/siege.mjs';

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
    print(attack, saving);
    const failed = attack.rows.reduce((sum, row) => sum + row.failed, 0);
    if (failed > 0 || saving.lost > 0) process.exitCode = 1;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

function print({ rows, health, memory, code, stacks }, { kills, acknowledged, lost }) {
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
  say(`${'attack'.padEnd(30)} tried  taken refused  5xx  slowest`);
  for (const { name, tried, taken, refused, failed, slowest } of [...rows, total]) {
    const counts = [tried, taken, refused].map((count) => String(count).padStart(6)).join(' ');
    say(
      `${name.padEnd(28)} ${counts} ${String(failed).padStart(6)} ${slowest.toFixed(0).padStart(5)} ms`,
    );
  }
  say(`health: asked ${health.asked} times meanwhile, slowest ${health.slowest.toFixed(0)} ms`);
  say(
    `memory: ${memory.before.toFixed(0)} MB after a quarter, ${memory.after.toFixed(0)} MB at the end`,
  );
  say(`console: ${stacks} stacks; ended with code ${code}`);
  say(`kills while saving: ${kills}; ${acknowledged} saves acknowledged, ${lost} lost`);
}
