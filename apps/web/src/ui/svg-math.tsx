import { letterRuns } from '@levee/core';
import { Fragment } from 'react';
import { useLetters } from './letters.tsx';

/** Text in a drawing, with letters that stand for numbers slanted. */
export function SvgMath(props: {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly anchor?: 'start' | 'middle' | 'end';
  /** Words, in which no letter stands for a number. */
  readonly plain?: boolean;
}) {
  const { x, y, text, anchor = 'middle', plain = false } = props;
  const lettered = useLetters() !== '' && !plain;
  return (
    <text x={x} y={y} textAnchor={anchor}>
      {letterRuns(text, lettered).map(({ text: run, isLetter }, i) =>
        isLetter ? (
          <tspan key={i} className="letters">
            {run}
          </tspan>
        ) : (
          <Fragment key={i}>
            {run.split(/(\d+\/\d+)/).map((piece, k) => (
              <tspan key={k} className={piece.includes('/') ? 'fraction' : undefined}>
                {piece}
              </tspan>
            ))}
          </Fragment>
        ),
      )}
    </text>
  );
}
