import { useEffect, useState } from 'react';
import type { Worked } from '../../worked/work.ts';

/** Steps of all papers together from which on the papers are painted before what stands around them. */
const MANY_STEPS = 250;

/** Whether what stands around the papers may be drawn: after the papers when the bench opens, and when the work is large. */
export function useAfterPapers(worked: Worked): boolean {
  const isLarge = worked.papers.reduce((steps, { last }) => steps + last, 0) > MANY_STEPS;
  const [painted, setPainted] = useState<Worked | null>(null);
  const isDue = painted === worked || (painted !== null && !isLarge);
  useEffect(() => {
    if (isDue) return;
    let frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => setPainted(worked));
    });
    return () => cancelAnimationFrame(frame);
  }, [isDue, worked]);
  return isDue;
}
