import type { Mark, Trace } from '../account/account.ts';
import { BEHIND } from '../own/amounts/drafts.ts';
import { countsOfLines, type LineCounts } from '../own/ways/cost.ts';
import { problemText } from '../problem/problem.ts';

/** Facts, additions and carries of someone's own lines, counted from the lines as they stand. */
export function ownCounts(trace: Trace): LineCounts {
  const rows = rowsOf(trace);
  const aside = rows.filter(isStatement).map((row) => countsOfLines(sidesOf(row).map(lineOf)));
  const rewritten = rows.filter((row) => !isStatement(row)).map(lineOf);
  // What stands aside is put together in the first line after it.
  const joined = rows.filter(isStatement).flatMap((row) => sidesOf(row)[1]!);
  const from = joined.length > 0 ? lineOf(joined) : problemText(trace.problem);
  const lines = countsOfLines([from, ...rewritten]);
  const all = [...aside, lines];
  const sum = (of: (counts: LineCounts) => number) => all.reduce((so, one) => so + of(one), 0);
  return {
    facts: sum(({ facts }) => facts),
    additions: sum(({ additions }) => additions),
    regroupings: sum(({ regroupings }) => regroupings),
    held: Math.max(...all.map(({ held }) => held)),
  };
}

type Row = readonly Mark[];

/** The lines of the paper in their order, each with its marks from the left. */
function rowsOf({ steps }: Trace): readonly Row[] {
  const marks = steps.flatMap(({ gives }) => gives).filter(({ spot }) => spot.area === 'lines');
  const rows = new Map<number, Mark[]>();
  for (const mark of marks) rows.set(mark.spot.row, [...(rows.get(mark.spot.row) ?? []), mark]);
  return [...rows]
    .sort(([a], [b]) => a - b)
    .map(([, own]) => own.sort((a, b) => a.spot.column - b.spot.column));
}

function isStatement(row: Row): boolean {
  return row.some(({ spot }) => spot.column >= BEHIND);
}

/** Both sides of a statement. */
function sidesOf(row: Row): readonly Row[] {
  const isLeft = ({ spot }: Mark) => spot.column < BEHIND;
  return [row.filter(isLeft), row.filter((mark) => !isLeft(mark))];
}

function lineOf(row: Row): string {
  return row.map(termOf).join('');
}

function termOf({ glyph }: Mark, k: number): string {
  if (k === 0) return glyph;
  return glyph.startsWith('−') ? ` − ${glyph.slice(1).trim()}` : ` + ${glyph}`;
}
