import type { Box, EntryId } from '@levee/core';
import type { PointedAt } from '../store/session-store.ts';
import type { Paper } from '../worked/work.ts';

const DIRECTIONS: Record<string, readonly [dx: number, dy: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The mark that an arrow key goes to from what is pointed at; null for other keys or at the edge. */
export function nearestMark(
  paper: Paper,
  step: number,
  pointed: PointedAt | null,
  key: string,
): EntryId | null {
  const direction = DIRECTIONS[key];
  if (!direction) return null;
  const seen = paper.drawing.figures.filter(
    ({ entry }) => paper.givens.has(entry) || (paper.line.writtenAt.get(entry) ?? Infinity) <= step,
  );
  const id = pointed?.kind === 'entry' && pointed.paper === paper.id ? pointed.id : null;
  const from = seen.find((figure) => figure.entry === id);
  if (!from) return seen[0]?.entry ?? null;
  const [x, y] = middle(from.box);
  let best: EntryId | null = null;
  let least = Infinity;
  for (const figure of seen) {
    const [fx, fy] = middle(figure.box);
    const ahead = (fx - x) * direction[0] + (fy - y) * direction[1];
    const aside = Math.abs((fx - x) * direction[1]) + Math.abs((fy - y) * direction[0]);
    if (ahead < 0.2 || aside > ahead * 2) continue;
    const distance = ahead + aside * 2;
    if (distance < least) [best, least] = [figure.entry, distance];
  }
  return best;
}

function middle({ x, y, width, height }: Box): readonly [number, number] {
  return [x + width / 2, y + height / 2];
}
