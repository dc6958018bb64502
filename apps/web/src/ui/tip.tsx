import { Suspense, useId, useRef, useState, type ReactNode } from 'react';
import { later } from './later.ts';

const TipBubble = later(() => import('./tip-bubble.later.tsx'));

/** Long enough that a pointer on its way shows nothing. */
const DELAY = 250;

/** A sentence about what is in it, shown while the pointer or the focus is there. */
export function Tip({ text, children }: { readonly text: string; readonly children: ReactNode }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const id = useId();
  const show = (element: HTMLElement, delay: number) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => setAnchor(element), delay);
  };
  const hide = () => {
    clearTimeout(timer.current);
    setAnchor(null);
  };
  return (
    <span
      className="tip"
      aria-describedby={anchor ? id : undefined}
      onPointerEnter={(event) => show(event.currentTarget, DELAY)}
      onPointerLeave={hide}
      onPointerDown={hide}
      onFocus={(event) => event.target.matches(':focus-visible') && show(event.currentTarget, 0)}
      onBlur={hide}
    >
      {children}
      {anchor && (
        <Suspense>
          <TipBubble id={id} anchor={anchor} text={text} />
        </Suspense>
      )}
    </span>
  );
}
