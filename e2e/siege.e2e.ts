import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { jobs } from '../apps/web/src/away/jobs.ts';
import { besiegeJobs, givenDocuments, JOBS } from '../scripts/lib/siege/jobs.mjs';
import { killWhileRestoring } from '../scripts/lib/siege/restores.mjs';
import { besiege, killWhileSaving } from '../scripts/lib/siege/siege.mjs';
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

  it('that is killed while it restores has the old data or the restored, never none', async () => {
    const made = mkdtempSync(join(tmpdir(), 'levee-siege-'));
    const { lost } = await killWhileRestoring({ main: MAIN, folder: made, kills: 3, seed: 5 });
    rmSync(made, { recursive: true, force: true });
    expect(lost).toBe(0);
  });

  it('that is killed while it saves has lost nothing that it acknowledged', async () => {
    const { acknowledged, lost } = await killWhileSaving({ main: MAIN, folder, kills: 3, seed: 5 });
    expect(acknowledged).toBeGreaterThan(0);
    expect(lost).toBe(0);
  });
});

describe('the worker of the page under attack', () => {
  it('answers or refuses whatever it is asked, in every job', async () => {
    expect(Object.keys(JOBS).sort()).toEqual(Object.keys(jobs).sort());
    const built = (path: string) => fileURLToPath(new URL(path, import.meta.url));
    const { rows, faults } = await besiegeJobs({
      site: built('../apps/web/dist/site'),
      asked: 6,
      seed: 5,
      given: await givenDocuments(built('../packages/core/dist/index.js')),
    });
    expect(faults).toEqual([]);
    expect(rows.every(({ tried, taken }) => tried === 6 && taken > 0)).toBe(true);
  });
});
