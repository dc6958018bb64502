import type { ComparisonDocument } from '@levee/core';
import { temporal } from 'zundo';
import { create } from 'zustand';
import { freshDocument } from './content.ts';
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

/** Opens a document: a new beginning, with nothing to undo. */
export function openDocument(document: ComparisonDocument): void {
  useComparison.setState(settled(deskOf(document)));
  history().clear();
}

export function currentDocument(): ComparisonDocument {
  return documentOf(useComparison.getState());
}
