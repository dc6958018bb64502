import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  cpSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Database from 'better-sqlite3';
import { DEMO_COMPARISONS } from '../demo/comparisons.ts';
import { temporaryFolder, testServer } from '../testing/server.ts';
import { copiesOf, copyOfToday, sizeText, surplus, type Copy } from './copies.ts';
import { holdingOf, holdingText, restore } from './restore.ts';
import { setAsideOf, swapIn } from './set-aside.ts';

let folder: ReturnType<typeof temporaryFolder>;
const file = () => join(folder.path, 'levee.sqlite');

beforeEach(() => {
  folder = temporaryFolder();
});

afterEach(() => folder.remove());

/** A data file with so many of the demo comparisons. */
async function filled(count: number): Promise<void> {
  const server = await testServer(folder.path);
  for (const document of DEMO_COMPARISONS.slice(0, count)) {
    await server.ask.post('/api/comparisons').send({ document }).expect(201);
  }
  await server.close();
}

describe('the daily copy', () => {
  it('is made at the start, once a day, and holds what was there', async () => {
    await filled(0);
    const [copy, ...more] = copiesOf(file());
    expect(more).toEqual([]);
    expect(copy!.day).toBe(new Date().toISOString().slice(0, 10));
    expect(await copyOfToday(file(), new Date())).toBeNull();
    await filled(2);
    const next = await copyOfToday(file(), new Date(Date.now() + 864e5));
    expect(holdingOf(next!.path)).toMatchObject({ comparisons: 2, deleted: 0 });
    expect(copiesOf(file()).map(({ path }) => path)).toEqual([next!.path, copy!.path]);
  });

  it('holds what a running server has written, though it is still in the log', async () => {
    const server = await testServer(folder.path);
    await server.ask.post('/api/comparisons').send({ document: DEMO_COMPARISONS[0] }).expect(201);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    await server.close();
    expect(holdingOf(copy!.path).comparisons).toBe(1);
  });

  it('of a damaged file is not kept', async () => {
    await filled(30);
    const bytes = readFileSync(file());
    bytes.fill(0xff, 4096, 4096 * 3);
    writeFileSync(file(), bytes);
    await expect(copyOfToday(file(), new Date('2040-01-01'))).rejects.toThrow();
    expect(readdirSync(join(folder.path, 'copies'))).toHaveLength(1);
  });

  it('stays for seven days, and one of each of eight weeks before', () => {
    const day = (back: number) =>
      new Date(Date.UTC(2026, 10, 26) - back * 864e5).toISOString().slice(0, 10);
    const all = Array.from({ length: 120 }, (_, back): Copy => ({
      path: '',
      day: day(back),
      size: 1,
    }));
    const gone = new Set(surplus(all));
    const kept = all.filter((copy) => !gone.has(copy)).map((copy) => copy.day);
    expect(kept.slice(0, 7)).toEqual(all.slice(0, 7).map((copy) => copy.day));
    expect(kept.slice(7)).toHaveLength(8);
    const weekdays = kept.slice(8).map((one) => new Date(one).getUTCDay());
    expect(new Set(weekdays)).toEqual(new Set([1]));
  });

  it('says its size as people read it', () => {
    expect([900, 1200, 45_000, 1_250_000].map(sizeText)).toEqual([
      '900 bytes',
      '1.2 kB',
      '45 kB',
      '1.3 MB',
    ]);
  });
});

describe('bringing a copy back', () => {
  it('shows what it holds, and keeps what was there', async () => {
    await filled(3);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    await filled(5);
    const text = holdingText(copy!.path, holdingOf(copy!.path));
    expect(text).toMatch(/holds 3 comparisons\.\nIts latest change is of 20/);
    expect(text).toContain(DEMO_COMPARISONS[2]!.title);
    const replaced = await restore(copy!.path, file(), new Date('2040-01-02T03:04:05Z'));
    expect(replaced).toMatch(/levee-replaced-2040-01-02T03-04-05\.sqlite$/);
    expect(holdingOf(replaced!).comparisons).toBe(8);
    expect(holdingOf(file()).comparisons).toBe(3);
    const server = await testServer(folder.path);
    await server.ask
      .get('/api/comparisons')
      .expect(200)
      .expect(/"total":3/);
    await server.close();
  });

  it('takes the place of a damaged file too', async () => {
    await filled(1);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    writeFileSync(file(), 'no database any more');
    const replaced = await restore(copy!.path, file(), new Date());
    expect(readFileSync(replaced!, 'utf8')).toBe('no database any more');
    expect(holdingOf(file()).comparisons).toBe(1);
  });

  it('is refused while Levee runs on the file, which stays as it is', async () => {
    const server = await testServer(folder.path);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    await expect(restore(copy!.path, file(), new Date())).rejects.toThrow(/stop it first/);
    await server.ask.post('/api/comparisons').send({ document: DEMO_COMPARISONS[0] }).expect(201);
    await server.close();
  });

  it('is refused for the data file itself, by another name too', async () => {
    await filled(2);
    const link = join(folder.path, 'link.sqlite');
    symlinkSync(file(), link);
    for (const same of [file(), link, join(folder.path, '.', 'levee.sqlite')]) {
      await expect(restore(same, file(), new Date())).rejects.toThrow(/data file itself/);
    }
    expect(holdingOf(file()).comparisons).toBe(2);
    expect(setAsideOf(file())).toEqual([]);
  });

  it('keeps every file that was replaced, of one second too', async () => {
    await filled(1);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    await filled(1);
    const now = new Date('2040-01-02T03:04:05Z');
    const aside = [await restore(copy!.path, file(), now), await restore(copy!.path, file(), now)];
    expect(aside.map((path) => holdingOf(path!).comparisons)).toEqual([2, 1]);
    expect(new Set(setAsideOf(file()))).toEqual(new Set(aside));
    expect(await restore(aside[0]!, file(), now)).toMatch(/-3\.sqlite$/);
    expect(holdingOf(file()).comparisons).toBe(2);
  });

  it('leaves everything as it was where the copy cannot be made', async () => {
    await filled(2);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    const bytes = readFileSync(copy!.path);
    bytes.fill(0xff, 4096);
    writeFileSync(copy!.path, bytes);
    // What waits in the log may be written into the file itself.
    const there = () => readdirSync(folder.path).filter((name) => !/-(wal|shm)$/.test(name));
    const before = there();
    await expect(restore(copy!.path, file(), new Date())).rejects.toThrow();
    expect(there()).toEqual(before);
    expect(holdingOf(file()).comparisons).toBe(2);
  });

  it('leaves everything as it was where the file cannot be put in its place', async () => {
    await filled(1);
    const incoming = join(folder.path, 'incoming');
    const wal = `${file()}-wal`;
    writeFileSync(wal, 'a log of a damaged file');
    const before = [...readdirSync(folder.path), 'incoming'].sort();
    mkdirSync(incoming);
    expect(() => swapIn(incoming, file(), new Date())).toThrow();
    expect(readdirSync(folder.path).sort()).toEqual(before);
    expect(readFileSync(wal, 'utf8')).toBe('a log of a damaged file');
    rmSync(wal);
    expect(holdingOf(file()).comparisons).toBe(1);
  });

  it('has a data file in its place at every moment, whenever it is killed', async () => {
    await filled(3);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    await filled(2);
    const moments = await restoreKilledAtEveryStep(copy!.path, file());
    expect(moments.length).toBeGreaterThan(4);
    for (const { call, comparisons } of moments)
      expect([call, [3, 5]]).toEqual([call, expect.arrayContaining([comparisons])]);
    expect(moments.at(-1)!.comparisons).toBe(3);
  });

  it('is refused for a file with the right migrations and other tables, views or triggers', async () => {
    await filled(1);
    const copy = await copyOfToday(file(), new Date('2040-01-01'));
    const altered = [
      ['DROP TABLE comparison', /its (table|index) "comparison[a-z_]*" is not there/],
      ['CREATE VIEW shadow AS SELECT * FROM comparison', /a view "shadow"/],
      [
        'CREATE TRIGGER gone AFTER INSERT ON comparison BEGIN DELETE FROM comparison; END',
        /a trigger "gone"/,
      ],
      ['ALTER TABLE comparison ADD COLUMN mood TEXT', /its table "comparison" is another one/],
      ['DROP INDEX comparison_latest', /its index "comparison_latest" is not there/],
      ['CREATE TABLE song (name TEXT)', /a table "song"/],
    ] as const;
    for (const [change, fault] of altered) {
      const path = join(folder.path, 'altered.sqlite');
      copyFileSync(copy!.path, path);
      const database = new Database(path);
      database.exec(change);
      database.close();
      expect(() => holdingOf(path)).toThrow(fault);
    }
  });

  it('is refused for what is no copy', async () => {
    expect(() => holdingOf(join(folder.path, 'none'))).toThrow(/There is no file/);
    writeFileSync(join(folder.path, 'notes'), 'these are notes');
    expect(() => holdingOf(join(folder.path, 'notes'))).toThrow(/damaged or is no database/);
    const other = new Database(join(folder.path, 'other'));
    other.exec('CREATE TABLE song (name TEXT)');
    other.close();
    expect(() => holdingOf(join(folder.path, 'other'))).toThrow(/another program/);
  });
});

/**
 * Puts a file in the place of another in a process that is killed before its first, second, … call of the file system, and
 * says after each what is there.
 */
async function restoreKilledAtEveryStep(copy: string, file: string) {
  const moments: { call: string; comparisons: number }[] = [];
  for (let calls = 0; ; calls++) {
    const at = `${folder.path}-${calls}`;
    cpSync(folder.path, at, { recursive: true });
    const incoming = join(at, 'incoming');
    copyFileSync(copy, incoming);
    const there = join(at, 'levee.sqlite');
    const { status, stdout } = spawnSync(
      process.execPath,
      [KILLED, incoming, there, String(calls)],
      { encoding: 'utf8' },
    );
    moments.push({ call: stdout.trim(), comparisons: holdingOf(there).comparisons });
    rmSync(at, { recursive: true, force: true });
    if (status === 0) return moments;
    if (calls > 40) throw new Error(`never through: ${file}`);
  }
}

const KILLED = fileURLToPath(new URL('../testing/killed-swap.mjs', import.meta.url));
