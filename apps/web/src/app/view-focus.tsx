import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

/** Longest that a screen that is still loading is waited for, in milliseconds. */
const PATIENCE = 4000;

/**
 * After a change of screen the focus goes to the new one, so that Tab and a reader go on where the eye is; what already has
 * the focus within it keeps it, such as a field that asks to be typed in.
 */
export function ViewFocus() {
  const { pathname } = useLocation();
  const first = useRef(pathname);
  useEffect(() => {
    if (first.current === pathname) return undefined;
    first.current = '';
    return whenThere(focusMain);
  }, [pathname]);
  return null;
}

/** Tries at every frame until it is done; what is returned stops it. */
function whenThere(isDone: () => boolean): () => void {
  const end = performance.now() + PATIENCE;
  let frame = requestAnimationFrame(function next() {
    if (!isDone() && performance.now() < end) frame = requestAnimationFrame(next);
  });
  return () => cancelAnimationFrame(frame);
}

function focusMain(): boolean {
  const main = document.querySelector<HTMLElement>('main:not(.message)');
  if (!main) return false;
  if (main.contains(document.activeElement)) return true;
  main.tabIndex = -1;
  main.focus({ preventScroll: true });
  return true;
}
