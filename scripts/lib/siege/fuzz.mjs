import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Draws lines of any kind from a grammar and has them judged, laid and certified, twice each: the test of core, asked for more.
 * Gives how many were drawn, how many made the judge fail or came out differently, and the slowest.
 */
export function fuzzFigures({ root, folder, inputs, seed }) {
  const file = join(folder, 'fuzz.json');
  const jest = join(root, 'node_modules/jest/bin/jest.js');
  const only = ['--selectProjects', 'core', '--testPathPatterns', 'own/ordinary-input'];
  spawnSync(process.execPath, ['--experimental-vm-modules', '--no-warnings', jest, ...only], {
    cwd: root,
    stdio: 'ignore',
    env: {
      ...process.env,
      LEVEE_FUZZ: String(inputs),
      LEVEE_FUZZ_SEED: String(seed),
      LEVEE_FUZZ_FIGURES: file,
    },
  });
  return JSON.parse(readFileSync(file, 'utf8'));
}
