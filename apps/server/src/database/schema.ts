import Database from 'better-sqlite3';
import { MIGRATIONS } from './migrations/index.ts';

/** One thing of a database: a table, an index, a view or a trigger. */
interface Thing {
  readonly type: string;
  readonly name: string;
  readonly sql: string | null;
}

/** The list of migrations is kept by the one who runs them. */
const KEPT_ELSEWHERE = 'migrations';

/** What is otherwise in a database than its migrations make it, in a few words; null where nothing is. */
export function schemaFault(
  database: Database.Database,
  through: readonly string[],
): string | null {
  const due = made(through);
  const there = thingsOf(database);
  for (const [key, thing] of there) {
    if (thing.type === 'table' && thing.name === KEPT_ELSEWHERE) continue;
    const own = due.get(key);
    if (!own) return `it has a ${thing.type} "${thing.name}" that Levee does not make`;
    if (own.sql !== thing.sql) return `its ${thing.type} "${thing.name}" is another one`;
  }
  const gone = [...due].find(([key]) => !there.has(key))?.[1];
  return gone ? `its ${gone.type} "${gone.name}" is not there` : null;
}

/** What these migrations make of an empty database. */
function made(through: readonly string[]): ReadonlyMap<string, Thing> {
  const empty = new Database(':memory:');
  try {
    for (const { name, schema } of MIGRATIONS) {
      if (through.includes(name)) for (const statement of schema) empty.exec(statement);
    }
    return thingsOf(empty);
  } finally {
    empty.close();
  }
}

function thingsOf(database: Database.Database): ReadonlyMap<string, Thing> {
  const rows = database
    .prepare("SELECT type, name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite~_%' ESCAPE '~'")
    .all() as Thing[];
  return new Map(rows.map((row) => [`${row.type} ${row.name}`, row]));
}
