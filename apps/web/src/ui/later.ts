import { createElement, lazy, useState, type ComponentType } from 'react';

/** Milliseconds after which what is not needed at once is fetched: the first screen stands long before. */
const PAUSE = 1500;

/** A part of the page that is fetched, and how it is brought before it is shown. */
export type Later<P> = ComponentType<P> & { readonly bring: () => Promise<unknown> };

/**
 * A part that is fetched when it is first shown, or in a quiet moment before: so that menus and tips open also when the
 * server has gone away meanwhile. What is there already is shown at once: something that is waited for, be it for a moment, is
 * not shown for 300 ms.
 */
export function later<P extends object>(
  load: () => Promise<{ default: ComponentType<P> }>,
): Later<P> {
  let there: ComponentType<P> | null = null;
  const bring = async () => {
    const brought = await load();
    there = brought.default;
    return brought;
  };
  if (typeof requestIdleCallback === 'function') {
    setTimeout(() => requestIdleCallback(() => void bring().catch(() => undefined)), PAUSE);
  }
  const awaited = lazy(bring);
  const Shown = (props: P) => {
    // The same for as long as it is shown, so that nothing typed in it is lost.
    const [part] = useState<{ readonly type: ComponentType<P> }>(() => ({
      type: there ?? awaited,
    }));
    return createElement(part.type, props);
  };
  return Object.assign(Shown, { bring });
}
