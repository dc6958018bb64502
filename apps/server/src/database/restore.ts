import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import Database from 'better-sqlite3';
import { StartFailure } from '../start-failure.ts';
import { copyTo, sizeText } from './copies.ts';
import { faultIn, faultText } from './data-file.ts';

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
 * back, or null when nothing was there. StartFailure while a server still has the file open.
 */
export async function restore(copy: string, file: string, now: Date): Promise<string | null> {
  const replaced = setAside(file, now);
  await copyTo(copy, file);
  return replaced;
}

function setAside(file: string, now: Date): string | null {
  if (!existsSync(file)) return null;
  const stamp = now.toISOString().slice(0, 19).replaceAll(':', '-');
  const aside = file.replace(/\.sqlite$/, '') + `-replaced-${stamp}.sqlite`;
  finishLog(file);
  renameSync(file, aside);
  for (const ending of ['-wal', '-shm']) rmSync(`${file}${ending}`, { force: true });
  return aside;
}

/** Writes what waits in the log into the file itself, alone. A damaged file is left as it is. */
function finishLog(file: string): void {
  let database: Database.Database | undefined;
  try {
    database = new Database(file, { fileMustExist: true, timeout: 0 });
    database.pragma('locking_mode = EXCLUSIVE');
    database.pragma('journal_mode = DELETE');
  } catch (error) {
    const { code = '' } = error as NodeJS.ErrnoException;
    if (/^SQLITE_(BUSY|LOCKED)/.test(code)) {
      throw new StartFailure(`Levee still runs on ${file}; stop it first, then restore.`);
    }
  } finally {
    database?.close();
  }
}
