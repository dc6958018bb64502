import type { Figure } from '@levee/core';
import { memo } from 'react';

export interface FigureViewProps {
  readonly figure: Figure;
  readonly notches: boolean;
}

/**
 * One given or mark on squared paper. How far it has come is its `data-state`, which the sheet sets;
 * a struck mark stays legible under its stroke.
 */
export const FigureView = memo(function FigureView({ figure, notches }: FigureViewProps) {
  const { box, texts, size, kind } = figure;
  return (
    <g className={`figure ${kind}`} data-entry={figure.entry}>
      <rect className="touch" {...box} />
      {texts.map(({ x, y, text }, i) => (
        <text key={i} x={x} y={y + size * 0.36} fontSize={size}>
          {text}
        </text>
      ))}
      {notches && figure.notches.length > 0 && (
        <g className={`notch place-${(figure.place ?? 0) % 6}`}>
          {figure.notches.map(({ x, y, length }, i) => (
            <line key={i} x1={x} y1={y} x2={x + length} y2={y} />
          ))}
        </g>
      )}
      {kind !== 'given' && <Strike figure={figure} />}
    </g>
  );
});

function Strike({ figure: { box, size } }: { readonly figure: Figure }) {
  const [cx, cy, r] = [box.x + box.width / 2, box.y + box.height / 2, size * 0.42];
  return <line className="strike" x1={cx - r} y1={cy + r} x2={cx + r} y2={cy - r} />;
}
