import { markState } from '@levee/core';
import type { Lit } from '../worked/lit.ts';
import type { Paper } from '../worked/work.ts';

/** Marks held in the head: they float at the side, tied to no column. */
export function HeldTray({
  paper,
  step,
  lit,
}: {
  readonly paper: Paper;
  readonly step: number;
  readonly lit: Lit;
}) {
  const { held } = paper.drawing;
  if (held.length === 0) return null;
  const there = held.filter(({ entry }) => {
    const state = markState(paper.line, entry, step);
    return state === 'new' || state === 'live';
  });
  return (
    <div className="held-tray" aria-label="Held in the head">
      <span className="caption">held</span>
      {there.length === 0 && <span className="caption">nothing</span>}
      {there.map(({ entry, text }) => (
        <span
          key={entry}
          data-entry={entry}
          className={lit.held.has(entry) ? 'held lit figures' : 'held figures'}
        >
          {text}
        </span>
      ))}
    </div>
  );
}
