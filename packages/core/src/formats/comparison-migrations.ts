import type { ReadFault } from '../describe/describe.ts';
import { isFields } from './heading.ts';
import { FRESH_ROOM } from './room.ts';

type Fields = Readonly<Record<string, unknown>>;

/** The version that is written. */
export const COMPARISON_VERSION = 9;

/** The versions that are read. */
export const COMPARISON_VERSIONS: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8, COMPARISON_VERSION];

/**
 * What each version needs to become the next, by the version it starts from. They change only what a
 * version lacked; everything is checked afterwards.
 */
const MIGRATIONS: Readonly<Record<number, (fields: Fields) => Fields>> = {
  /** Version 1 knew no checks, no own hops, and not whether a unit can be split. */
  1: (fields) => ({
    ...fields,
    version: 2,
    counted: false,
    checks: [],
    papers: each(fields['papers'], () => ({ hops: [] })),
  }),
  /** Version 2 knew no slips on purpose. */
  2: (fields) => ({
    ...fields,
    version: 3,
    papers: each(fields['papers'], () => ({ slips: [] })),
  }),
  /** Version 3 knew papers by their position, and checks only of the computation that lies there. */
  3: (fields) => ({
    ...fields,
    version: 4,
    papers: each(fields['papers'], (k) => ({ id: `p${k + 1}` })),
    steps: byPaper(fields['steps'], fields['papers']),
    checks: each(fields['checks'], () => ({ problem: fields['problem'] })),
  }),
  /** Version 4 knew the unit of the answer alone, and no tags. */
  4: (fields) => ({ ...fields, version: 5, units: [], tags: [] }),
  /** Version 5 forgot the estimate of a computation when another took its place. */
  5: (fields) => ({ ...fields, version: 6, earlier: [] }),
  /** Version 6 kept no answers. */
  6: (fields) => ({ ...fields, version: 7, answers: [] }),
  /** Version 7 knew no own lines. */
  7: (fields) => ({
    ...fields,
    version: 8,
    papers: each(fields['papers'], () => ({ own: null })),
  }),
  /** Version 8 did not keep how it stands before a class. */
  8: (fields) => ({ ...fields, version: 9, room: FRESH_ROOM }),
};

/** What each version knew that the one before did not: fields of the document, and of the entries of its lists. */
const CAME_WITH: Readonly<Record<number, Readonly<Record<string, readonly string[]>>>> = {
  2: { document: ['counted', 'checks'], papers: ['hops'] },
  3: { papers: ['slips'] },
  4: { papers: ['id'], checks: ['problem'] },
  5: { document: ['units', 'tags'] },
  6: { document: ['earlier'] },
  7: { document: ['answers'] },
  8: { papers: ['own'] },
  9: { document: ['room'] },
};

/** The first field of a document that its own version did not have; null where there is none. */
export function laterField(input: unknown): ReadFault | null {
  if (!isFields(input)) return null;
  const own = input['version'] as number;
  for (const [version, lists] of Object.entries(CAME_WITH)) {
    if (Number(version) <= own) continue;
    for (const [list, fields] of Object.entries(lists)) {
      const entries: unknown = list === 'document' ? [input] : input[list];
      for (const [k, entry] of (Array.isArray(entries) ? entries : []).entries()) {
        const field = isFields(entry) ? fields.find((name) => name in entry) : undefined;
        if (field === undefined) continue;
        const where = list === 'document' ? field : `${list}[${k}].${field}`;
        return {
          where,
          fault: `version ${own} has no such field; it came with version ${version}`,
        };
      }
    }
  }
  return null;
}

/** Adds fields to every object of a list; anything else is left to the check. */
function each(list: unknown, more: (index: number) => Fields): unknown {
  if (!Array.isArray(list)) return list;
  return list.map((one: unknown, k) => (isFields(one) ? { ...more(k), ...one } : one));
}

/** One count a paper becomes a count by its id; a list of another length is left to the check. */
function byPaper(steps: unknown, papers: unknown): unknown {
  if (!Array.isArray(steps) || !Array.isArray(papers) || steps.length !== papers.length) {
    return steps;
  }
  return Object.fromEntries(steps.map((count: unknown, k) => [`p${k + 1}`, count]));
}

/** A document of any known version as the current one; anything else as it is. */
export function migrateComparison(given: unknown): unknown {
  let fields = given;
  while (isFields(fields)) {
    const next = MIGRATIONS[fields['version'] as number];
    if (!next) break;
    fields = next(fields);
  }
  return fields;
}
