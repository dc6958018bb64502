import type { ComparisonDocument, Pace } from '@levee/core';
import { temporal } from 'zundo';
import { create } from 'zustand';
import { contentOf, documentOf, freshDocument, type Content, type Progress } from './content.ts';

export interface ComparisonState {
  readonly content: Content;
  readonly progress: Progress;
  readonly change: (edit: (content: Content) => Content) => void;
  readonly setSteps: (steps: readonly number[]) => void;
  readonly setPace: (pace: Pace) => void;
}

/** The open comparison. Undo and redo go through its content; progress moves freely. */
export const useComparison = create<ComparisonState>()(
  temporal(
    (set) => {
      const fresh = freshDocument();
      return {
        content: contentOf(fresh),
        progress: { steps: fresh.steps, pace: fresh.pace },
        change: (edit) => set(({ content }) => ({ content: edit(content) })),
        setSteps: (steps) => set(({ progress }) => ({ progress: { ...progress, steps } })),
        setPace: (pace) => set(({ progress }) => ({ progress: { ...progress, pace } })),
      };
    },
    {
      partialize: ({ content }) => ({ content }),
      equality: (past, current) => past.content === current.content,
      limit: 200,
    },
  ),
);

export const history = () => useComparison.temporal.getState();

/** Opens a document: a new beginning, with nothing to undo. */
export function openDocument(document: ComparisonDocument): void {
  const { steps, pace } = document;
  useComparison.setState({ content: contentOf(document), progress: { steps, pace } });
  history().clear();
}

export function currentDocument(): ComparisonDocument {
  const { content, progress } = useComparison.getState();
  return documentOf(content, progress);
}
