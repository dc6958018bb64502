import { useSyncExternalStore } from 'react';

function onResize(changed: () => void): () => void {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
}

/** The width of the view in pixels, kept up to date. */
export function useViewWidth(): number {
  return useSyncExternalStore(onResize, () => window.innerWidth);
}
