import { decodeComparison, registry, type ComparisonDocument } from '@levee/core';

/** A change that the server does not have yet, kept in the browser until it does. */
export interface Draft {
  /** The version that the change was made to. */
  readonly version: number;
  readonly base: ComparisonDocument;
  readonly document: ComparisonDocument;
}

const key = (id: string) => `levee.draft.${id}`;

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft));
  } catch {
    // A full or forbidden store only means that a reload before the next save loses this change.
  }
}

export function dropDraft(id: string): void {
  localStorage.removeItem(key(id));
}

/** The draft of a comparison; null when there is none or it cannot be read. */
export function readDraft(id: string): Draft | null {
  const text = localStorage.getItem(key(id));
  if (text === null) return null;
  try {
    const { version, base, document } = JSON.parse(text) as Record<string, unknown>;
    const [own, old] = [document, base].map((input) => decodeComparison(input, registry));
    if (typeof version !== 'number' || !own?.ok || !old?.ok) return null;
    return { version, base: old.document, document: own.document };
  } catch {
    return null;
  }
}
