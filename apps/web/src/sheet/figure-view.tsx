import { inNotation, letterRuns, type Figure, type Notation } from '@levee/core';
import { memo } from 'react';

export interface FigureViewProps {
  readonly figure: Figure;
  readonly notches: boolean;
  readonly notation: Notation;
}

/**
 * One given or mark on squared paper. How far it has come is its `data-state`, which the sheet sets;
 * a struck mark stays legible under its stroke.
 */
export const FigureView = memo(function FigureView({ figure, notches, notation }: FigureViewProps) {
  const { box, texts, size, kind } = figure;
  return (
    <g className={`figure ${kind}`} data-entry={figure.entry}>
      <rect className="touch" {...box} />
      {texts.map(({ x, y, text }, i) => (
        <text key={i} x={x} y={y + size * 0.36} fontSize={size}>
          {letterRuns(inNotation(text, notation), figure.lettered).map(
            ({ text: run, isLetter }, k) =>
              isLetter ? (
                <tspan key={k} className="letters">
                  {run}
                </tspan>
              ) : (
                run
              ),
          )}
        </text>
      ))}
      {figure.bars.map(({ x, y, length }, i) => (
        <line key={i} className="bar" x1={x} y1={y} x2={x + length} y2={y} />
      ))}
      {notches && figure.notches.length > 0 && (
        <g className={`notch place-${(((figure.place ?? 0) % 6) + 6) % 6}`}>
          {figure.notches.map(({ x, y, length }, i) => (
            <line key={i} x1={x} y1={y} x2={x + length} y2={y} />
          ))}
        </g>
      )}
      {figure.ringed && <Ring figure={figure} />}
      {figure.alike && (
        <path
          className="alike"
          d={figure.alike.path}
          strokeDasharray={figure.alike.dashes.join(' ') || undefined}
        />
      )}
      {figure.underlined && (
        <line
          className="under"
          x1={box.x}
          y1={box.y + box.height}
          x2={box.x + box.width}
          y2={box.y + box.height}
        />
      )}
      <Strike figure={figure} />
    </g>
  );
});

/** A ring around a number that will be added, as the hops of a count are. */
function Ring({ figure: { box } }: { readonly figure: Figure }) {
  const { x, y, width, height } = box;
  return (
    <rect
      className="ring"
      x={x + 0.06}
      y={y + 0.1}
      width={width - 0.12}
      height={height - 0.2}
      rx={0.4}
    />
  );
}

function Strike({ figure: { box, strike } }: { readonly figure: Figure }) {
  const { middle, across, up } = strike;
  const y = box.y + box.height / 2;
  return (
    <line className="strike" x1={middle - across} y1={y + up} x2={middle + across} y2={y - up} />
  );
}
