import type { Box } from '@levee/core';
import type { Paper } from '../worked/work.ts';

/** A stretch of a paper, in pixels from its beginning. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

const START: Stretch = { from: 0, to: 0 };

/** What a step has written in pixels from the corner of what is shown, across and down the paper; its corner before the first, null for one that writes nothing. */
export function writtenBy(
  { lane, drawing, givenAt }: Paper,
  step: number,
  square: number,
  view: Pick<Box, 'x' | 'y'>,
): { readonly across: Stretch; readonly down: Stretch } | null {
  if (step === 0) return { across: START, down: START };
  const gives = new Set(lane.trace.steps[step - 1]?.gives.map(({ id }) => id));
  const boxes = drawing.figures
    .filter(({ entry }) => gives.has(entry) || givenAt.get(entry) === step)
    .map(({ box }) => box);
  if (boxes.length === 0) return null;
  const stretch = (from: readonly number[], to: readonly number[]) => ({
    from: Math.min(...from) * square,
    to: Math.max(...to) * square,
  });
  return {
    across: stretch(
      boxes.map(({ x }) => x - view.x),
      boxes.map(({ x, width }) => x + width - view.x),
    ),
    down: stretch(
      boxes.map(({ y }) => y - view.y),
      boxes.map(({ y, height }) => y + height - view.y),
    ),
  };
}

/** Where a room must be scrolled to, so that a stretch with a margin around it is seen: no further than it must. */
export function scrolledTo(
  scroll: number,
  room: number,
  { from, to }: Stretch,
  margin: number,
): number {
  const [least, most] = [Math.max(0, to + margin - room), Math.max(0, from - margin)];
  return least > most ? most : Math.min(most, Math.max(least, scroll));
}
