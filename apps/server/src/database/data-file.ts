import { existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { StartFailure } from '../start-failure.ts';

/** The database file of a data folder; the folder is made where it is missing. */
export function dataFile(folder: string): string {
  try {
    mkdirSync(folder, { recursive: true });
  } catch {
    throw new StartFailure(
      `The data folder ${folder} cannot be made or opened; choose another with --data FOLDER.`,
    );
  }
  return join(folder, 'levee.sqlite');
}

/**
 * Looks at an existing database file before anything is written. StartFailure, with nothing changed,
 * when it may not be written or is damaged.
 */
export function checkDataFile(file: string): void {
  if (!existsSync(file)) return;
  if (!statSync(file).isFile()) throw new StartFailure(`${file} is not a file; move it away.`);
  if ((statSync(file).mode & 0o222) === 0) {
    throw new StartFailure(
      `The data file ${file} is read-only; allow writing to it, or choose another folder with --data FOLDER.`,
    );
  }
  const fault = faultIn(file);
  if (fault !== null) {
    throw new StartFailure(
      `The data file ${file} is damaged or is no database (${fault}); nothing in it was changed. Put a copy in its place, or choose another folder with --data FOLDER.`,
    );
  }
}

function faultIn(file: string): string | null {
  let database: Database.Database | undefined;
  try {
    database = new Database(file, { fileMustExist: true });
    const answer = database.pragma('quick_check(1)', { simple: true });
    return answer === 'ok' ? null : String(answer).split('\n')[0]!.trim();
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  } finally {
    database?.close();
  }
}
