import type { Box } from '@levee/core';
import type { Drawn } from '../worked/drawn.ts';

/** A stretch of a paper, in pixels from its beginning. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

const START: Stretch = { from: 0, to: 0 };

/** What a step has written in pixels from the corner of what is shown, across and down the paper; its corner before the first, null for one that writes nothing. */
export function writtenBy(
  { trace, drawing, givenAt }: Drawn,
  step: number,
  square: number,
  view: Pick<Box, 'x' | 'y'>,
): { readonly across: Stretch; readonly down: Stretch } | null {
  if (step === 0) return { across: START, down: START };
  const gives = new Set(trace.steps[step - 1]?.gives.map(({ id }) => id));
  const boxes = drawing.figures
    .filter(({ entry }) => gives.has(entry) || givenAt.get(entry) === step)
    .map(({ box }) => box);
  if (boxes.length === 0) return null;
  const all = stretchesOf(boxes, square, view);
  const around = (stretches: readonly Stretch[]) => ({
    from: Math.min(...stretches.map(({ from }) => from)),
    to: Math.max(...stretches.map(({ to }) => to)),
  });
  return { across: around(all.across), down: around(all.down) };
}

/** Where boxes of a paper lie across and down, in pixels from the corner of what is shown. */
export function stretchesOf(
  boxes: readonly Box[],
  square: number,
  view: Pick<Box, 'x' | 'y'>,
): { readonly across: readonly Stretch[]; readonly down: readonly Stretch[] } {
  const stretch = (from: number, size: number) => ({
    from: from * square,
    to: (from + size) * square,
  });
  return {
    across: boxes.map(({ x, width }) => stretch(x - view.x, width)),
    down: boxes.map(({ y, height }) => stretch(y - view.y, height)),
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

/** What bounds the search for a place to scroll to: the stretch that must be seen, how far can be scrolled, pixels of a square. */
interface Bounds {
  readonly seen: Stretch;
  readonly end: number;
  readonly square: number;
}

/** Steps of that search, how far it goes to both sides, and what stays around what must be seen, in squares. */
const [FINE, FAR, AROUND] = [0.25, 1.25, 0.25];
/** Pixels of a box that hold nothing of its figure, and of the edge of a room that are faded. */
const [HAIR, FADED] = [2, 10];

/**
 * Near a place to which a room is scrolled, the nearest one where its edges cut the fewest of what lies there: a figure is seen
 * whole or not at all, wherever that can be.
 */
export function leastCut(
  scroll: number,
  room: number,
  all: readonly Stretch[],
  { seen, end, square }: Bounds,
): number {
  const [least, most] = [seen.to + AROUND * square - room, seen.from - AROUND * square];
  const steps = FAR / FINE;
  const near = Array.from(
    { length: 2 * steps + 1 },
    (_, k) => scroll + (k - steps) * FINE * square,
  );
  const tried = [0, end, ...near]
    .filter((at) => Math.abs(at - scroll) <= FAR * square && at >= 0 && at <= end)
    .filter((at) => at >= least && at <= most)
    .sort((a, b) => Math.abs(a - scroll) - Math.abs(b - scroll));
  const cutAt = (at: number) => {
    const edges = [at <= 0 ? at : at + FADED, at >= end ? at + room : at + room - FADED];
    return all.filter(({ from, to }) =>
      edges.some((edge) => from < edge - HAIR && to > edge + HAIR),
    ).length;
  };
  return tried.reduce(
    (best, at) => {
      const count = cutAt(at);
      return count < best.count ? { at, count } : best;
    },
    { at: scroll, count: cutAt(scroll) },
  ).at;
}
