import {
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  type Stats,
} from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { faultIn } from './data-file.ts';

/** Copies of the last so many days, and of so many weeks before them, one a week. */
const KEPT_DAYS = 7;
const KEPT_WEEKS = 8;

/** A daily copy of the data file. */
export interface Copy {
  readonly path: string;
  /** `2026-01-31`. */
  readonly day: string;
  /** In bytes. */
  readonly size: number;
}

const NAME = /^levee-(\d{4}-\d{2}-\d{2})\.sqlite$/;

/** The folder of the copies, beside the data file. */
export function copiesFolder(file: string): string {
  return join(dirname(file), 'copies');
}

/** All daily copies, the latest first. */
export function copiesOf(file: string): readonly Copy[] {
  const folder = copiesFolder(file);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): Copy[] => {
      const day = NAME.exec(name)?.[1];
      const path = join(folder, name);
      const found: Stats | undefined = day ? statSync(path, { throwIfNoEntry: false }) : undefined;
      return day && found?.isFile() ? [{ path, day, size: found.size }] : [];
    })
    .sort((a, b) => (a.day < b.day ? 1 : -1));
}

/**
 * Copies the data file beside itself, through SQLite's own online backup, unless today's copy is there. A
 * copy that is not sound is thrown away, so that it never pushes a sound one out. Null when there was nothing
 * to do. Throws what the file system or SQLite throws.
 */
export async function copyOfToday(file: string, now: Date): Promise<Copy | null> {
  const day = now.toISOString().slice(0, 10);
  const path = join(copiesFolder(file), `levee-${day}.sqlite`);
  if (existsSync(path)) return null;
  mkdirSync(dirname(path), { recursive: true });
  await copyTo(file, path);
  for (const { path: old } of surplus(copiesOf(file))) rmSync(old, { force: true });
  return { path, day, size: statSync(path).size };
}

/**
 * A copy of a database that may be in use: one file without a log beside it, checked before it gets its name.
 * Throws, and leaves nothing behind, when it is not sound.
 */
export async function copyTo(file: string, path: string): Promise<void> {
  const unfinished = `${path}.part`;
  removeWithLog(unfinished);
  try {
    await backUp(file, unfinished);
    const copy = new Database(unfinished, { fileMustExist: true });
    copy.pragma('journal_mode = DELETE');
    copy.close();
    const fault = faultIn(unfinished);
    if (fault) throw new Error(`the copy is not sound (${fault.kind})`);
    renameSync(unfinished, path);
  } finally {
    removeWithLog(unfinished);
  }
}

async function backUp(file: string, path: string): Promise<void> {
  const database = new Database(file, { fileMustExist: true, readonly: true });
  try {
    await database.backup(path);
  } finally {
    database.close();
  }
}

/** A database file and what SQLite writes beside it. */
export function removeWithLog(file: string): void {
  for (const ending of ['', '-wal', '-shm', '-journal']) rmSync(file + ending, { force: true });
}

/** The copies that are kept no longer: beyond the last days, all but the first of each week, beyond the weeks all. */
export function surplus(copies: readonly Copy[]): readonly Copy[] {
  const older = copies.slice(KEPT_DAYS);
  const firstOfWeek = new Map(older.map((copy) => [weekOf(copy.day), copy]));
  const weekly = new Set([...firstOfWeek.values()].slice(0, KEPT_WEEKS));
  return older.filter((copy) => !weekly.has(copy));
}

const DAY = 24 * 60 * 60 * 1000;

/** A number for the week, from Monday to Sunday, that a day lies in. */
function weekOf(day: string): number {
  return Math.floor((Date.parse(day) / DAY + 3) / 7);
}

/** A size as people read it, `1.2 MB`. */
export function sizeText(bytes: number): string {
  if (bytes < 1000) return `${bytes} bytes`;
  const [size, unit] = bytes < 1e6 ? [bytes / 1e3, 'kB'] : [bytes / 1e6, 'MB'];
  return `${size.toFixed(size < 10 ? 1 : 0)} ${unit}`;
}
