import { Fragment } from 'react';
import { expressionTex, inNotation, readExpression, type Notation } from '@levee/core';
import { Tex } from './tex.tsx';
import { useNotation } from '../worked/use-worked.ts';

/** Whether a problem has fractions, letters, powers or a root, which are typeset. */
export function isTypeset(problem: string): boolean {
  return /[/a-z^√]/.test(problem);
}

function texOf(problem: string, notation: Notation): string | null {
  if (!isTypeset(problem)) return null;
  const read = readExpression(problem);
  return read.ok ? expressionTex(read.expression, notation) : null;
}

/** A problem as people write it: their signs, and bases as small figures below. */
export function ProblemText({ problem }: { readonly problem: string }) {
  const notation = useNotation();
  const tex = texOf(problem, notation);
  if (tex) return <Tex source={tex} />;
  const pieces = inNotation(problem, notation).split(/_(\d+)/);
  return (
    <span className="figures">
      {pieces.map((piece, i) => (
        <Fragment key={i}>{i % 2 === 1 ? <sub>{piece}</sub> : piece}</Fragment>
      ))}
    </span>
  );
}
