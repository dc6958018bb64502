import { accessSync, constants, existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { StartFailure } from '../start-failure.ts';
import { MIGRATION_NAMES } from './migrations/index.ts';
import { schemaFault } from './schema.ts';
import { setAsideOf } from './set-aside.ts';

/** Whether this user may write a file or folder, as the system itself says. */
export type MayWrite = (path: string) => boolean;

export const mayWrite: MayWrite = (path) => {
  try {
    accessSync(path, constants.W_OK);
    return true;
  } catch {
    return false;
  }
};

const ELSEWHERE = 'or choose another folder with --data FOLDER';

/** Opens and closes a database that is nowhere, so that a module built for another Node.js is told at once. */
const openNothing = () => new Database(':memory:').close();

/** StartFailure when the database module cannot be loaded by this Node.js. */
export function checkDatabaseModule(open: () => unknown = openNothing): void {
  try {
    open();
  } catch (error) {
    throw new StartFailure(faultText('', faultOf(error)));
  }
}

/**
 * The database file of a data folder; the folder is made where it is missing. StartFailure when there can
 * be none: SQLite writes beside the file too, so the folder itself must be writable.
 */
export function dataFile(folder: string, allowed: MayWrite = mayWrite): string {
  try {
    mkdirSync(folder, { recursive: true });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new StartFailure(
      `The data folder ${folder} cannot be made (${code}); choose another with --data FOLDER.`,
    );
  }
  if (!allowed(folder)) {
    throw new StartFailure(
      `This user may not write in the data folder ${folder}; allow it (chmod u+w), ${ELSEWHERE}.`,
    );
  }
  return join(folder, 'levee.sqlite');
}

/**
 * Looks at an existing database file before anything is written. StartFailure, with nothing changed,
 * when it may not be written, is damaged, or is not one that this version knows.
 */
export function checkDataFile(file: string, allowed: MayWrite = mayWrite): void {
  if (!existsSync(file)) {
    const [latest] = setAsideOf(file);
    if (latest === undefined) return;
    throw new StartFailure(
      `There is no data file ${file}, but one that was set aside: ${latest}. Bring it back with --restore ${latest}, or move it away to begin anew.`,
    );
  }
  if (!statSync(file).isFile()) throw new StartFailure(`${file} is not a file; move it away.`);
  const barred = [file, `${file}-wal`, `${file}-shm`].find(
    (path) => existsSync(path) && !allowed(path),
  );
  if (barred !== undefined) {
    throw new StartFailure(
      `This user may not write the data file ${barred}; allow it (chmod u+w), ${ELSEWHERE}. What is in it is untouched.`,
    );
  }
  const fault = faultIn(file);
  if (fault) throw new StartFailure(faultText(file, fault));
}

/** What is wrong with a file that should be a data file of this version. */
export type DataFault =
  | { readonly kind: 'damaged'; readonly detail: string }
  | { readonly kind: 'foreign'; readonly table: string }
  | { readonly kind: 'later'; readonly migration: string }
  | { readonly kind: 'altered'; readonly detail: string }
  | { readonly kind: 'held' }
  | { readonly kind: 'module' };

/** Looks into a file without writing it; null when this version can work with it. */
export function faultIn(file: string): DataFault | null {
  if (statSync(file).size === 0) return null;
  let database: Database.Database | undefined;
  try {
    database = new Database(file, { fileMustExist: true, readonly: true });
    const answer = String(database.pragma('quick_check(1)', { simple: true }));
    if (answer !== 'ok') return { kind: 'damaged', detail: answer.split('\n')[0]!.trim() };
    return strangeTables(database) ?? otherSchema(database);
  } catch (error) {
    return faultOf(error);
  } finally {
    database?.close();
  }
}

function faultOf(error: unknown): DataFault {
  const { code = '', message } = error as NodeJS.ErrnoException;
  if (code === 'ERR_DLOPEN_FAILED' || /NODE_MODULE_VERSION/.test(message))
    return { kind: 'module' };
  if (/^SQLITE_(BUSY|LOCKED)/.test(code)) return { kind: 'held' };
  return { kind: 'damaged', detail: message };
}

/** Tables of another program, or a migration that this version does not know. */
function strangeTables(database: Database.Database): DataFault | null {
  const tables = names(
    database,
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
  );
  if (tables.length === 0) return null;
  if (!tables.includes('migrations')) return { kind: 'foreign', table: tables[0]! };
  const through = names(database, 'SELECT name FROM migrations ORDER BY id');
  const unknown = through.find((name) => !MIGRATION_NAMES.has(name));
  if (unknown !== undefined) return { kind: 'later', migration: unknown };
  return through.length === 0 && tables.length > 1 ? { kind: 'foreign', table: tables[0]! } : null;
}

/** Whether tables, views and triggers are those that its migrations make. */
function otherSchema(database: Database.Database): DataFault | null {
  const hasAny = names(database, 'SELECT name FROM sqlite_master').length > 0;
  if (!hasAny) return null;
  const through = names(database, 'SELECT name FROM migrations ORDER BY id');
  const detail = schemaFault(database, through);
  return detail === null ? null : { kind: 'altered', detail };
}

function names(database: Database.Database, query: string): readonly string[] {
  return (database.prepare(query).all() as { name: string }[]).map(({ name }) => name);
}

/** One sentence for the person at the terminal: what it is, and what to do. */
export function faultText(file: string, fault: DataFault): string {
  switch (fault.kind) {
    case 'damaged':
      return `The data file ${file} is damaged or is no database (${fault.detail}); nothing in it was changed. See the daily copies with --copies and bring one back with --restore FILE, ${ELSEWHERE}.`;
    case 'foreign':
      return `${file} is a sound database, but of another program (it has a table "${fault.table}"); nothing in it was changed. Choose another folder with --data FOLDER.`;
    case 'later':
      return `The data file ${file} was written by a later version of Levee (it has been through ${fault.migration}, which this version does not know); nothing in it was changed. Start that version, ${ELSEWHERE}.`;
    case 'altered':
      return `The data file ${file} was altered by something else than Levee (${fault.detail}); nothing in it was changed. See the daily copies with --copies and bring one back with --restore FILE, ${ELSEWHERE}.`;
    case 'held':
      return `Another program holds the data file ${file}; stop that program, ${ELSEWHERE}.`;
    case 'module':
      return 'The database module was built for another Node.js; run "npm rebuild better-sqlite3" once, then start again.';
  }
}
