import type { Typeset } from './typeset.ts';
let ready: Typeset | null = null;
let loading: Promise<void> | null = null;
const listeners = new Set<() => void>();

/** Loads what typesets mathematics, once; most papers have none, so that no first screen waits for it. */
export function loadTypesetter(): Promise<void> {
  loading ??= import('./typeset.later.ts').then(({ typeset }) => {
    ready = typeset;
    for (const tell of listeners) tell();
  });
  return loading;
}

/** What typesets, or null until it is there. */
export function typesetter(): Typeset | null {
  return ready;
}

export function onTypesetter(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}
