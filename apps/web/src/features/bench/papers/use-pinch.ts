import { useCallback } from 'react';
import { zoomBy } from '../../../commands/zoom.ts';

/** How much a turn of the wheel by one pixel enlarges. */
const A_PIXEL = 0.004;

interface Point {
  readonly x: number;
  readonly y: number;
}

/** Sizes the large paper by two fingers, by a pinch on a touchpad, and by the wheel while Ctrl is held. */
export function usePinch(): (element: HTMLElement | null) => (() => void) | undefined {
  return useCallback((element) => {
    if (!element) return undefined;
    const fingers = new Map<number, Point>();
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      zoomBy(Math.exp(-event.deltaY * A_PIXEL));
    };
    const move = (event: PointerEvent) => {
      if (!fingers.has(event.pointerId)) return;
      const before = apart(fingers);
      fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
      const now = apart(fingers);
      if (before !== null && now !== null && before > 0) zoomBy(now / before);
    };
    const down = (event: PointerEvent) => {
      if (event.pointerType === 'touch')
        fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
    };
    const up = (event: PointerEvent) => void fingers.delete(event.pointerId);
    const stop = new AbortController();
    const { signal } = stop;
    element.addEventListener('wheel', wheel, { signal, passive: false });
    element.addEventListener('pointerdown', down, { signal });
    element.addEventListener('pointermove', move, { signal });
    element.addEventListener('pointerup', up, { signal });
    element.addEventListener('pointercancel', up, { signal });
    return () => stop.abort();
  }, []);
}

/** How far two fingers are apart, in pixels; null unless there are two. */
function apart(fingers: ReadonlyMap<number, Point>): number | null {
  const [one, other, third] = [...fingers.values()];
  return one && other && !third ? Math.hypot(one.x - other.x, one.y - other.y) : null;
}
