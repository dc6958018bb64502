import { decodeComparison, registry } from '@levee/core';
import type { Draft } from './draft.ts';

/** A kept draft of any known version; null when it cannot be read. */
export function decodeDraft(text: string): Draft | null {
  try {
    const { version, base, document, at } = JSON.parse(text) as Record<string, unknown>;
    const [own, old] = [document, base].map((input) => decodeComparison(input, registry));
    if (typeof version !== 'number' || !own?.ok || !old?.ok) return null;
    const time = typeof at === 'string' ? at : '';
    return { version, base: old.document, document: own.document, at: time };
  } catch {
    return null;
  }
}
