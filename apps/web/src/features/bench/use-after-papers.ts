import { useEffect, useState } from 'react';
import type { Worked } from '../../worked/work.ts';

/** Steps of all papers together from which on the papers are painted before what stands below them. */
const MANY_STEPS = 250;

/** Whether what stands below the papers may be drawn: at once for small work, after the papers for large. */
export function useAfterPapers(worked: Worked): boolean {
  const isLarge = worked.papers.reduce((steps, { last }) => steps + last, 0) > MANY_STEPS;
  const [painted, setPainted] = useState<Worked | null>(null);
  useEffect(() => {
    if (!isLarge) return;
    let frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => setPainted(worked));
    });
    return () => cancelAnimationFrame(frame);
  }, [isLarge, worked]);
  return !isLarge || painted === worked;
}
