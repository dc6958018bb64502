import { existsSync, statSync } from 'node:fs';
import Database from 'better-sqlite3';
import { StartFailure } from '../start-failure.ts';
import { copyTo, removeWithLog, sizeText } from './copies.ts';
import { faultIn, faultText } from './data-file.ts';
import { swapIn } from './set-aside.ts';

/** What a data file holds, told before it takes the place of another. */
export interface Holding {
  readonly size: number;
  readonly comparisons: number;
  readonly deleted: number;
  /** When the latest change was made, ISO 8601 in UTC; null for an empty file. */
  readonly latest: string | null;
  readonly titles: readonly string[];
}

/** Looks into a copy. StartFailure when it is not there, damaged, or of another program or version. */
export function holdingOf(file: string): Holding {
  if (!statSync(file, { throwIfNoEntry: false })?.isFile()) {
    throw new StartFailure(`There is no file ${file}; see the copies with --copies.`);
  }
  const fault = faultIn(file);
  if (fault) throw new StartFailure(faultText(file, fault));
  const database = new Database(file, { fileMustExist: true, readonly: true });
  try {
    return { size: statSync(file).size, ...contentOf(database) };
  } finally {
    database.close();
  }
}

function contentOf(database: Database.Database): Omit<Holding, 'size'> {
  const hasTable = database
    .prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'comparison'")
    .get();
  if (!hasTable) return { comparisons: 0, deleted: 0, latest: null, titles: [] };
  const counts = database
    .prepare(
      `SELECT count(*) - count("deletedAt") AS comparisons, count("deletedAt") AS deleted,
        max("updatedAt") AS latest FROM "comparison"`,
    )
    .get() as Pick<Holding, 'comparisons' | 'deleted' | 'latest'>;
  const rows = database
    .prepare(
      `SELECT "title", "problem" FROM "comparison" WHERE "deletedAt" IS NULL
        ORDER BY "updatedAt" DESC LIMIT 5`,
    )
    .all() as { title: string; problem: string }[];
  return { ...counts, titles: rows.map(({ title, problem }) => title || problem) };
}

/** A few lines for the person at the terminal. */
export function holdingText(file: string, holding: Holding): string {
  const { size, comparisons, deleted, latest, titles } = holding;
  const kept = comparisons === 1 ? '1 comparison' : `${comparisons} comparisons`;
  const gone = deleted === 0 ? '' : ` and ${deleted} deleted ones`;
  return [
    `${file} (${sizeText(size)}) holds ${kept}${gone}.`,
    ...(latest ? [`Its latest change is of ${latest}.`] : []),
    ...titles.map((title) => `  ${title}`),
    ...(comparisons > titles.length ? [`  … and ${comparisons - titles.length} more`] : []),
  ].join('\n');
}

/**
 * Puts a copy in the place of the data file. What was there is kept beside it, under the name that comes
 * back, or null when nothing was there. The copy is first made whole and checked beside the data file, so that a full
 * disk, a fault or a kill at any moment leaves the old file in its place or the new one. StartFailure while a server still
 * has the file open, and for the file itself.
 */
export async function restore(copy: string, file: string, now: Date): Promise<string | null> {
  if (isSameFile(copy, file)) {
    throw new StartFailure(
      `${copy} is the data file itself; choose one of the copies (--copies), or one that was set aside.`,
    );
  }
  const incoming = `${file}.incoming-${process.pid}`;
  const held = existsSync(file) ? hold(file) : null;
  try {
    await copyTo(copy, incoming);
    return swapIn(incoming, file, now);
  } finally {
    removeWithLog(incoming);
    held?.close();
  }
}

/** Whether two names are of one file, by links too. */
function isSameFile(one: string, other: string): boolean {
  const [a, b] = [one, other].map((path) => statSync(path, { throwIfNoEntry: false }));
  return a !== undefined && b !== undefined && a.dev === b.dev && a.ino === b.ino;
}

/**
 * Holds the data file for this process alone, what waits in its log written into it; null for a damaged one, which nobody
 * can have open. StartFailure where somebody has it open.
 */
function hold(file: string): Database.Database | null {
  let database: Database.Database | undefined;
  try {
    database = new Database(file, { fileMustExist: true, timeout: 0 });
    database.pragma('locking_mode = EXCLUSIVE');
    database.pragma('journal_mode = DELETE');
    database.exec('BEGIN EXCLUSIVE');
    return database;
  } catch (error) {
    database?.close();
    const { code = '' } = error as NodeJS.ErrnoException;
    if (/^SQLITE_(BUSY|LOCKED)/.test(code)) {
      throw new StartFailure(`Levee still runs on ${file}; stop it first, then restore.`);
    }
    return null;
  }
}
