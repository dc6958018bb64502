import { startTransition, useEffect, useState } from 'react';
import type { Worked } from '../../worked/work.ts';

/** Steps of all papers together from which on a new work is drawn part by part. */
const MANY_STEPS = 250;
/** What stands around the papers, in the order in which it is drawn. */
const AROUND = ['lanes', 'gauge', 'worth', 'picture', 'agreement'] as const;
type Part = (typeof AROUND)[number];

/** What of the bench is drawn already. */
export interface Drawn {
  /** How many papers. */
  readonly papers: number;
  /** Whether a part of what stands around them is. */
  readonly has: (part: Part) => boolean;
}

interface Turn {
  readonly worked: Worked;
  readonly papers: number;
  readonly around: number;
}

/**
 * The bench is drawn paper by paper, then part by part of what stands around them, one with every frame, so that the first is seen
 * at once and none holds the page up for long; so is a new work that is large.
 */
export function useDrawn(worked: Worked): Drawn {
  const [turn, setTurn] = useState<Turn>({ worked, papers: 0, around: 0 });
  const { papers, around } = turn.worked === worked ? turn : ofNew(turn, worked);
  const isAll = papers >= worked.papers.length && around >= AROUND.length;
  useEffect(() => {
    if (isAll && turn.worked === worked) return undefined;
    const frame = requestAnimationFrame(() =>
      startTransition(() =>
        setTurn(
          papers < worked.papers.length
            ? { worked, papers: papers + 1, around }
            : { worked, papers, around: Math.min(AROUND.length, around + 1) },
        ),
      ),
    );
    return () => cancelAnimationFrame(frame);
  }, [turn, worked, papers, around, isAll]);
  return { papers, has: (part) => around > AROUND.indexOf(part) };
}

/** What of a new work is drawn at once: all of a small one; of a large one the papers that were there, and the lanes. */
function ofNew({ papers, around }: Turn, worked: Worked): Omit<Turn, 'worked'> {
  const { length } = worked.papers;
  const isLarge = worked.papers.reduce((steps, { last }) => steps + last, 0) > MANY_STEPS;
  if (!isLarge && around >= AROUND.length) return { papers: length, around };
  return { papers: Math.min(papers, length), around: Math.min(around, 1) };
}
