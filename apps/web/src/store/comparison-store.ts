import type { ComparisonDocument } from '@levee/core';
import { temporal } from 'zundo';
import { create } from 'zustand';
import { freshDocument } from './content.ts';
import { historyKept, keepHistory, type States } from './kept-history.ts';
import { deskOf, documentOf, settled, type Desk, type Edit } from './desk.ts';

/** The open comparison. Undo and redo go through its content; progress and the log of checks stay. */
export const useComparison = create<Desk>()(
  temporal(() => deskOf(freshDocument()), {
    partialize: ({ content }) => ({ content }),
    equality: (past, current) => past.content === current.content,
    limit: 200,
  }),
);

export const history = () => useComparison.temporal.getState();

/** The one way in which the open comparison changes: what she chose and how far it is move together. */
export function dispatch(edit: Edit): void {
  useComparison.setState((desk) => settled(edit(desk)));
}

/** The id under which the open document is kept; empty for one that is not. */
let openId = '';

/** Opens a document: a new beginning, with nothing to undo but what this tab could undo in it before a reload. */
export function openDocument(document: ComparisonDocument, id = ''): void {
  useComparison.setState(settled(deskOf(document)));
  openId = id;
  const kept = id === '' ? null : historyKept(id, useComparison.getState().content);
  useComparison.temporal.setState({
    pastStates: [...(kept?.past ?? [])],
    futureStates: [...(kept?.future ?? [])],
  });
}

/** Keeps what can be undone, before the page goes. */
export function keepUndo(): void {
  const { pastStates, futureStates } = history();
  const past = pastStates as States['past'];
  keepHistory(openId, useComparison.getState().content, {
    past,
    future: futureStates as States['future'],
  });
}

export function currentDocument(): ComparisonDocument {
  return documentOf(useComparison.getState());
}
