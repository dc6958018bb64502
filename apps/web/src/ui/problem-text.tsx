import { Fragment } from 'react';
import { useSettings } from '../store/settings-store.ts';

/** A problem as people write it: their times sign, and bases as small figures below. */
export function ProblemText({ problem }: { readonly problem: string }) {
  const times = useSettings((settings) => settings.words.times);
  const pieces = problem.replaceAll('×', times).split(/_(\d+)/);
  return (
    <span className="figures">
      {pieces.map((piece, i) => (
        <Fragment key={i}>{i % 2 === 1 ? <sub>{piece}</sub> : piece}</Fragment>
      ))}
    </span>
  );
}
