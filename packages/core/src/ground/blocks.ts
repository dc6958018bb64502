import type { Entry, EntryId, Trace } from '../account/account.ts';
import { liveEntries } from './line.ts';

/** So many blocks of one place that belong to one entry. */
export interface BlockRun {
  readonly entry: EntryId;
  readonly count: number;
  readonly standing: 'owed' | 'marked';
}

/** The blocks of one place at one moment: those that are there and those to be taken away. */
export interface BlockColumn {
  readonly place: number;
  readonly plus: readonly BlockRun[];
  readonly minus: readonly BlockRun[];
}

/**
 * The live amounts of an account as counts of base blocks, a column a place from the largest down. A mark
 * in a place is a count of that place, however many figures it has; a number written whole is as many
 * blocks of each place as it has figures there. Places are those of the paper, counted from its last one.
 */
export function blocksAt(read: Trace, step: number): readonly BlockColumn[] {
  const trace = read.whole ?? read;
  const columns = new Map<number, { plus: BlockRun[]; minus: BlockRun[] }>();
  for (const entry of liveEntries(trace, step)) {
    const side = entry.worth.isNegative ? 'minus' : 'plus';
    for (const [place, count] of countsOf(entry, trace)) {
      const column = columns.get(place) ?? { plus: [], minus: [] };
      column[side].push({ entry: entry.id, count, standing: entry.standing });
      columns.set(place, column);
    }
  }
  const most = Math.max(0, ...columns.keys());
  return Array.from({ length: most + 1 }, (_, k) => most - k).map((place) => ({
    place,
    plus: columns.get(place)?.plus ?? [],
    minus: columns.get(place)?.minus ?? [],
  }));
}

/** The most places that blocks of any moment reach, so that columns keep their width. */
export function blockPlaces(trace: Trace): number {
  const all = trace.steps.map((_, step) => blocksAt(trace, step + 1).length);
  return Math.max(blocksAt(trace, 0).length, ...all);
}

function countsOf(entry: Entry, { problem: { base }, space }: Trace): readonly [number, number][] {
  const size = entry.worth.isNegative ? -entry.worth.numerator : entry.worth.numerator;
  const place = placeOf(entry, space);
  if (place !== undefined) return [[place, Number(size / BigInt(base) ** BigInt(place))]];
  return [...size.toString(base)]
    .reverse()
    .map((figure, k): [number, number] => [k, parseInt(figure, base)])
    .filter(([, count]) => count > 0);
}

function placeOf(entry: Entry, space: Trace['space']): number | undefined {
  if (entry.standing === 'marked') return entry.place;
  const [term] = entry.terms.indices();
  const made = term === undefined ? [] : space.madeOf(space.parts(term));
  const [only] = made;
  return made.length === 1 && only ? space.cuts[only[0]]![only[1]]!.place : undefined;
}
