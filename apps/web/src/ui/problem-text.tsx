import { Fragment } from 'react';
import { inNotation } from '@levee/core';
import { useNotation } from '../worked/use-worked.ts';

/** A problem as people write it: their signs, and bases as small figures below. */
export function ProblemText({ problem }: { readonly problem: string }) {
  const pieces = inNotation(problem, useNotation()).split(/_(\d+)/);
  return (
    <span className="figures">
      {pieces.map((piece, i) => (
        <Fragment key={i}>{i % 2 === 1 ? <sub>{piece}</sub> : piece}</Fragment>
      ))}
    </span>
  );
}
