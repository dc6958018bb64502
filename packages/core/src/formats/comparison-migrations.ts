type Fields = Readonly<Record<string, unknown>>;

/** The version that is written. */
export const COMPARISON_VERSION = 3;

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
    papers: eachPaper(fields, { hops: [] }),
  }),
  /** Version 2 knew no slips on purpose. */
  2: (fields) => ({ ...fields, version: 3, papers: eachPaper(fields, { slips: [] }) }),
};

function eachPaper({ papers }: Fields, more: Fields): unknown {
  if (!Array.isArray(papers)) return papers;
  return papers.map((paper: unknown) =>
    typeof paper === 'object' && paper !== null ? { ...paper, ...more } : paper,
  );
}

/** A document of any known version as the current one; null for a version that is not known. */
export function migrateComparison(given: Fields): Fields | null {
  let fields = given;
  while (fields['version'] !== COMPARISON_VERSION) {
    const version = fields['version'];
    const next = typeof version === 'number' ? MIGRATIONS[version] : undefined;
    if (!next) return null;
    fields = next(fields);
  }
  return fields;
}
