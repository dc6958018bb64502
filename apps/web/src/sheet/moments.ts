import { givenState, markState, type EntryId } from '@levee/core';
import { useLayoutEffect, useRef, type RefObject } from 'react';
import type { Paper } from '../worked/work.ts';

/** How an entry stands on the paper after so many steps. */
export function stateAt(paper: Paper, id: EntryId, step: number): string {
  if (paper.givens.has(id)) {
    const state = givenState(paper.line, id, step);
    return state === 'live' ? 'given' : state;
  }
  if (paper.lane.find(id)?.standing !== 'owed') return markState(paper.line, id, step);
  return (paper.line.takenAt.get(id) ?? Infinity) > step ? 'owed' : 'dealt';
}

/** The entries whose state may differ between two moments of a paper. */
export function changedBetween(
  { lane: { trace }, figureOf, givenAt }: Paper,
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

/** What stands on the page: of which paper, drawn from which mark-up, at which step. */
interface Shown {
  readonly paper: Paper;
  readonly markup: string;
  readonly step: number;
  readonly nodes: Map<string, Element[]>;
}

/**
 * Keeps `data-state` of everything drawn on a paper at a moment. A paper is drawn once, whole; a step
 * touches only what it changes, so that large papers step as fast as small ones.
 */
export function useMoment(
  root: RefObject<SVGGElement | null>,
  paper: Paper,
  step: number,
  markup: string,
): void {
  const shown = useRef<Shown | null>(null);
  useLayoutEffect(() => {
    const isDrawn = shown.current?.paper === paper && shown.current.markup === markup;
    const before = isDrawn ? shown.current : null;
    const nodes = before?.nodes ?? nodesByEntry(root.current);
    const changed = before ? changedBetween(paper, before.step, step) : nodes.keys();
    for (const id of changed as Iterable<EntryId>) {
      const state = stateAt(paper, id, step);
      for (const node of nodes.get(id) ?? []) node.setAttribute('data-state', state);
    }
    shown.current = { paper, markup, step, nodes };
  }, [root, paper, step, markup]);
}

function nodesByEntry(root: Element | null): Map<string, Element[]> {
  const nodes = new Map<string, Element[]>();
  for (const node of root?.querySelectorAll('[data-entry]') ?? []) {
    const id = node.getAttribute('data-entry')!;
    nodes.set(id, [...(nodes.get(id) ?? []), node]);
  }
  return nodes;
}
