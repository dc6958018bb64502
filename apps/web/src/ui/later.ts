import { lazy, type ComponentType } from 'react';

/** Milliseconds after which what is not needed at once is fetched: the first screen stands long before. */
const PAUSE = 1500;

/**
 * A part that is fetched when it is first shown, or in a quiet moment before: so that menus and tips open also when the
 * server has gone away meanwhile.
 */
export function later<P>(load: () => Promise<{ default: ComponentType<P> }>) {
  if (typeof requestIdleCallback === 'function') {
    setTimeout(() => requestIdleCallback(() => void load().catch(() => undefined)), PAUSE);
  }
  return lazy(load);
}
