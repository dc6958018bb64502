import { useEffect, useState } from 'react';
import type { Worked } from '../../worked/work.ts';

/** Steps of all papers together from which on the papers are painted before what stands around them. */
const MANY_STEPS = 250;

/** What of the bench is drawn already. */
export interface Drawn {
  /** The papers after the first. */
  readonly papers: boolean;
  /** What stands around the papers. */
  readonly around: boolean;
}

/**
 * The first paper is drawn first when the bench opens, and is left to come to the screen before the others are drawn; what
 * stands around the papers follows them, also when a new work is large.
 */
export function useDrawn(worked: Worked): Drawn {
  const isLarge = worked.papers.reduce((steps, { last }) => steps + last, 0) > MANY_STEPS;
  const [painted, setPainted] = useState<Worked | null>(null);
  const [papers, setPapers] = useState(false);
  const around = painted === worked || (painted !== null && !isLarge);
  useEffect(
    () =>
      around
        ? undefined
        : inFrames(
            undefined,
            () => setPapers(true),
            () => setPainted(worked),
          ),
    [around, worked],
  );
  return { papers, around };
}

/** Does one thing with each of the next frames; what is returned stops it. */
function inFrames(...things: readonly (undefined | (() => void))[]): () => void {
  const [first, ...rest] = things;
  let stop: (() => void) | undefined;
  const frame = requestAnimationFrame(() => {
    first?.();
    if (rest.length > 0) stop = inFrames(...rest);
  });
  return () => {
    cancelAnimationFrame(frame);
    stop?.();
  };
}
