import type { EntryId } from '@levee/core';
import type { PointedAt } from '../store/session-store.ts';
import type { Paper } from '../worked/work.ts';
import { isArrow, nearest } from './nearest.ts';

/** The mark that an arrow key goes to from what is pointed at; null for other keys or at the edge. */
export function nearestMark(
  paper: Paper,
  step: number,
  pointed: PointedAt | null,
  key: string,
): EntryId | null {
  if (!isArrow(key)) return null;
  const seen = paper.drawing.figures.filter(
    ({ entry }) => paper.givens.has(entry) || (paper.line.writtenAt.get(entry) ?? Infinity) <= step,
  );
  const id = pointed?.kind === 'entry' && pointed.paper === paper.id ? pointed.id : null;
  const from = seen.find((figure) => figure.entry === id);
  if (!from) return seen[0]?.entry ?? null;
  const at = nearest(
    from.box,
    seen.map(({ box }) => box),
    key,
  );
  return seen[at]?.entry ?? null;
}
