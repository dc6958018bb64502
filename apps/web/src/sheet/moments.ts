import { givenState, markState, type EntryId } from '@levee/core';
import type { Drawn } from '../worked/drawn.ts';

/** How an entry stands on the paper after so many steps. */
export function stateAt(paper: Drawn, id: EntryId, step: number): string {
  if (paper.givens.has(id)) {
    const state = givenState(paper.line, id, step);
    return state === 'live' ? 'given' : state;
  }
  if (!paper.owed.has(id)) return markState(paper.line, id, step);
  return (paper.line.takenAt.get(id) ?? Infinity) > step ? 'owed' : 'dealt';
}

/** The entries whose state may differ between two moments of a paper. */
export function changedBetween(
  { trace, figureOf, givenAt }: Drawn,
  a: number,
  b: number,
): ReadonlySet<EntryId> {
  const [from, to] = a < b ? [a, b] : [b, a];
  const changed = new Set<EntryId>();
  for (const step of trace.steps.slice(Math.max(0, from - 1), to)) {
    for (const id of [...step.takes, ...step.strikes]) {
      changed.add(id);
      const figure = figureOf.get(id);
      if (figure) changed.add(figure);
    }
    for (const mark of step.gives) changed.add(mark.id);
    for (const { id } of step.opens) changed.add(id);
  }
  for (const [id, since] of givenAt) if (since > from - 1 && since <= to) changed.add(id);
  return changed;
}
