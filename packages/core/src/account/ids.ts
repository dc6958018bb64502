/** Names one entry of one trace. */
export type EntryId = string & { readonly entryId: true };

/** Names one term of an expansion by its coordinates, `1.0`. */
export type TermId = string & { readonly termId: true };

/**
 * The names of what stands in one account, made and read here alone: `o1.0` is owed, of the term `1.0`; `g0.2` is a
 * figure of the question; `m7` is the seventh mark; `s2.m7` is that of the second stage of a string of factors.
 */

/** What a term, or a piece by its number, owes. */
export function owedId(of: TermId | number): EntryId {
  return `o${of}` as EntryId;
}

/** The term that an entry owes; null for any other entry, and for a piece that has no term of its own. */
export function owedTerm(id: string): TermId | null {
  return id.startsWith('o') ? (id.slice(1) as TermId) : null;
}

/** A figure of an operand, or the operand whole. */
export function figureId(operand: number, part?: number): EntryId {
  return (part === undefined ? `g${operand}` : `g${operand}.${part}`) as EntryId;
}

/** A mark by its number from 1. */
export function markId(number: number): EntryId {
  return `m${number}` as EntryId;
}

/** The point that is put into an answer at the end. */
export const POINT_ID = 'p1' as EntryId;

/** What nobody asks the name of. */
export const UNNAMED_ID = '' as EntryId;

/** The same entry of a stage in the whole work. */
export function stagedId(prefix: string, id: EntryId): EntryId {
  return `${prefix}${id}` as EntryId;
}

/** The same entry where the two factors of the work have changed places. */
export function turnedId(id: EntryId): EntryId {
  return id
    .replace(/^o(\d+)\.(\d+)$/, 'o$2.$1')
    .replace(/^g([01])(?=\.)/, (_, operand) => (operand === '0' ? 'g1' : 'g0')) as EntryId;
}

/** The coordinates of a term, one part for each operand or an operand and its part; see `TermSpace`. */
export function termParts(term: string): readonly number[] {
  return term.split('.').map(Number);
}

/** A term by its coordinates. */
export function termId(parts: readonly number[]): TermId {
  return parts.join('.') as TermId;
}
