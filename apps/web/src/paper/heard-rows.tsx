import { paperRows } from '@levee/core';
import { memo, useEffect, useMemo, useState } from 'react';
import { useSpeaker } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';

/** Milliseconds after the last step: nobody reads a paper while it is stepped. */
const PAUSE = 600;

/** For those who listen: the paper as it stands, a row each, every figure with its place. */
export const HeardRows = memo(function HeardRows(props: {
  readonly paper: Paper;
  readonly step: number;
}) {
  const { paper, step } = props;
  const say = useSpeaker();
  const [at, setAt] = useState<number | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setAt(step), PAUSE);
    return () => clearTimeout(timer);
  }, [paper, step]);
  const rows = useMemo(
    () => (at === null ? [] : paperRows(paper.lane.trace, paper.drawing, paper.line, at, say)),
    [paper, at, say],
  );
  return (
    <ol className="heard" aria-label={`${paper.title}, row by row`}>
      {rows.map((row, k) => (
        <li key={k}>{row}</li>
      ))}
    </ol>
  );
});
