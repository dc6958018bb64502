import { useId, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { useSize } from './use-size.ts';
import './one-line.css';

interface OneLineProps {
  /** What the things in it are, for those who listen: `about these numbers`. */
  readonly name: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Things that keep to one line: those for which there is no room open behind a button at its end. */
export function OneLine({ name, className = '', children }: OneLineProps) {
  const id = useId();
  const [outer, { width }] = useSize<HTMLSpanElement>();
  const lane = useRef<HTMLSpanElement>(null);
  const rest = useRef<HTMLSpanElement>(null);
  const [cut, setCut] = useState(false);
  useLayoutEffect(() => {
    const row = lane.current!;
    const end = row.getBoundingClientRect().left + row.clientWidth;
    const all = [...row.children].filter((one) => one instanceof HTMLElement);
    for (const one of all) one.style.visibility = isPast(one, end) ? 'hidden' : '';
    setCut(width > 0 && row.scrollWidth > width + 1);
  }, [children, width, cut]);
  const place = () => {
    const box = lane.current!.parentElement!.getBoundingClientRect();
    rest.current!.style.inset = `${box.bottom + 4}px auto auto ${box.left}px`;
  };
  return (
    <span className={`one-line ${className}`} ref={outer}>
      <span className="one-line-lane" ref={lane}>
        {children}
      </span>
      {cut && (
        <>
          <button
            type="button"
            className="chip"
            aria-label={`more ${name}`}
            popoverTarget={id}
            onClick={place}
          >
            more…
          </button>
          <span id={id} popover="auto" className="one-line-rest" ref={rest}>
            {children}
          </span>
        </>
      )}
    </span>
  );
}

/** A pixel is nothing that is missed. */
function isPast(one: HTMLElement, end: number): boolean {
  return one.getBoundingClientRect().right > end + 1;
}
