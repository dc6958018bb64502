import { afterAll, describe, expect, it } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { together } from './together.mjs';

const folder = mkdtempSync(join(tmpdir(), 'levee-together-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function script(name, body) {
  const file = join(folder, `${name}.mjs`);
  writeFileSync(file, body);
  return [file];
}

const noting = (name, code = 0) =>
  script(
    name,
    `import { writeFileSync } from 'node:fs';
     writeFileSync(${JSON.stringify(join(folder, `${name}.txt`))}, 'done');
     process.exitCode = ${code};`,
  );

const isDone = (name) => readFileSync(join(folder, `${name}.txt`), 'utf8') === 'done';

describe('scripts that run together', () => {
  it('all run to their end', async () => {
    const names = ['a', 'b', 'c', 'd', 'e'];
    await together(names.map((name) => noting(name)));
    expect(names.every(isDone)).toBe(true);
  });

  it('are named where they fail, and do not keep the others from their end', async () => {
    const scripts = [noting('f', 1), noting('g'), noting('h', 3), noting('i')];
    await expect(together(scripts)).rejects.toThrow(/f\.mjs failed.*h\.mjs failed/);
    expect(['f', 'g', 'h', 'i'].every(isDone)).toBe(true);
  });
});
