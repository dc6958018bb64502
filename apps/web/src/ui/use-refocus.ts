import { useLayoutEffect, useRef, type RefObject } from 'react';

/**
 * When one of several things in a list goes while it has the focus, the focus goes to what stands in its place now: the
 * button of the thing that follows, or of the last one. `selector` finds one button of every thing, in order.
 */
export function useRefocus<E extends HTMLElement>(
  count: number,
  selector: string,
): RefObject<E | null> {
  const list = useRef<E>(null);
  const before = useRef(count);
  const at = useRef(-1);
  useLayoutEffect(() => {
    const all = [...(list.current?.querySelectorAll<HTMLElement>(selector) ?? [])];
    if (count < before.current && at.current >= 0 && isNowhere()) {
      all[Math.min(at.current, all.length - 1)]?.focus();
    }
    before.current = count;
  }, [count, selector]);
  useLayoutEffect(() => {
    const own = list.current;
    if (!own) return undefined;
    const note = (event: FocusEvent) => {
      const all = [...own.querySelectorAll<HTMLElement>(selector)];
      at.current = all.findIndex((one) => holds(one, event.target as Node));
    };
    own.addEventListener('focusin', note);
    return () => own.removeEventListener('focusin', note);
  });
  return list;
}

/** The button itself, or another one in the same row or card. */
function holds(one: HTMLElement, target: Node): boolean {
  return one === target || (one.closest('tr, article')?.contains(target) ?? false);
}

function isNowhere(): boolean {
  return document.activeElement === null || document.activeElement === document.body;
}
