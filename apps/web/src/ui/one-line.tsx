import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { later } from './later.ts';
import { useSize } from './use-size.ts';
import { WhenOpened } from './when-opened.tsx';
import './one-line.css';

const RestOfLine = later(() => import('./rest-of-line.later.tsx'));

/** Pixels by which the lane reaches over its room at each side, for the line around what has the focus. */
const EDGE = 3;

interface OneLineProps {
  /** What the things in it are, for those who listen: `about these numbers`. */
  readonly name: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Things that keep to one line: those for which there is no room open behind a button at its end. */
export function OneLine({ name, className = '', children }: OneLineProps) {
  const [outer, { width }] = useSize<HTMLSpanElement>();
  const lane = useRef<HTMLSpanElement>(null);
  const [cut, setCut] = useState(false);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  useLayoutEffect(() => {
    // In the next frame, before it is seen: asked at once, the page would be laid out in the midst of being put together.
    const frame = requestAnimationFrame(() => {
      const row = lane.current;
      if (!row || width === 0) return;
      const end = row.getBoundingClientRect().left + row.clientWidth;
      const all = [...row.children].filter((one) => one instanceof HTMLElement);
      const past = all.map((one) => isPast(one, end));
      setCut(row.scrollWidth > width + 2 * EDGE + 1);
      all.forEach((one, k) => (one.style.visibility = past[k] ? 'hidden' : ''));
    });
    return () => cancelAnimationFrame(frame);
  }, [children, width, cut]);
  return (
    <span className={`one-line ${className}`} ref={outer}>
      <span className="one-line-lane" ref={lane}>
        {children}
      </span>
      {cut && (
        <button
          type="button"
          className="chip"
          aria-label={`more ${name}`}
          aria-haspopup="dialog"
          onClick={(event) => setAnchor(event.currentTarget)}
        >
          more…
        </button>
      )}
      <WhenOpened open={anchor !== null}>
        <RestOfLine anchor={anchor} close={() => setAnchor(null)}>
          {children}
        </RestOfLine>
      </WhenOpened>
    </span>
  );
}

/** A pixel is nothing that is missed. */
function isPast(one: HTMLElement, end: number): boolean {
  return one.getBoundingClientRect().right > end + 1;
}
