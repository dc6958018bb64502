import { useEffect, useRef, useState, type RefObject } from 'react';

/** How far beyond the edge of the screen something counts as seen, so that scrolling finds it ready. */
const AHEAD = '300px';

/** Whether an element was in view, from then on; at once where the browser cannot tell. */
export function useSeen<E extends Element>(): readonly [RefObject<E | null>, boolean] {
  const ref = useRef<E>(null);
  const [seen, setSeen] = useState(() => typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    if (seen || !ref.current) return undefined;
    const watch = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setSeen(true),
      { rootMargin: AHEAD },
    );
    watch.observe(ref.current);
    return () => watch.disconnect();
  }, [seen]);
  return [ref, seen];
}
