import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { besiege, killWhileSaving } from '../scripts/lib/siege.mjs';
import { MAIN } from './harness/server.ts';

/** A short form of `npm run siege`, which tries far more. */
const folder = mkdtempSync(join(tmpdir(), 'levee-siege-'));

afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('a server under attack', () => {
  it('refuses, stays up, answers others and tells nothing of its inside', async () => {
    const { rows, health, memory, code, stacks } = await besiege({
      main: MAIN,
      folder,
      requests: 480,
      seed: 11,
    });
    for (const row of rows) {
      expect(row).toMatchObject({ tried: 40, failed: 0, stacks: 0 });
      expect(row.refused).toBeGreaterThan(0);
    }
    expect([code, stacks]).toEqual([0, 0]);
    expect(health.asked).toBeGreaterThan(10);
    expect(memory.after).toBeLessThan(memory.before + 200);
  });

  it('that is killed while it saves has lost nothing that it acknowledged', async () => {
    const { acknowledged, lost } = await killWhileSaving({ main: MAIN, folder, kills: 3, seed: 5 });
    expect(acknowledged).toBeGreaterThan(0);
    expect(lost).toBe(0);
  });
});
