import type { KeyboardEvent, ReactNode } from 'react';
import { isArrow, nearest } from '../paper/nearest.ts';
import { hover, pin, type PointedAt } from '../store/session-store.ts';

interface PictureProps {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A picture whose regions can be pointed at: with the pointer, or with arrow keys once it has the focus. */
export function Picture({ name, children, ...svg }: PictureProps) {
  return (
    <svg
      {...svg}
      role="group"
      tabIndex={0}
      aria-label={`${name}: arrow keys point at its regions`}
      onPointerLeave={() => hover(null)}
      onKeyDown={pointBeside}
    >
      {children}
    </svg>
  );
}

/** Arrow keys go from region to region; Enter holds what is pointed at, as a click does. */
function pointBeside(event: KeyboardEvent<SVGSVGElement>): void {
  const picture = event.currentTarget;
  const regions = [...picture.querySelectorAll<SVGGElement>('[data-region]')];
  const at = regions.indexOf(document.activeElement as SVGGElement);
  if (event.key === 'Enter' && at >= 0) {
    event.preventDefault();
    regions[at]!.dispatchEvent(new MouseEvent('click', { bubbles: true }));
  }
  if (!isArrow(event.key)) return;
  event.preventDefault();
  const boxes = regions.map((region) => region.getBoundingClientRect());
  const next = at < 0 ? 0 : nearest(boxes[at]!, boxes, event.key);
  regions[next]?.focus();
}

interface RegionProps {
  /** What it is, for the tip and for those who listen. */
  readonly name: string;
  readonly className: string;
  readonly point: PointedAt;
  /** The entry of a paper that it is, where it is one. */
  readonly entry?: string;
  readonly children: ReactNode;
}

/** A part of a picture that stands for an amount. */
export function Region({ name, className, point, entry, children }: RegionProps) {
  return (
    <g
      className={className}
      data-region={name}
      data-segment={entry}
      role="button"
      tabIndex={-1}
      aria-label={name}
      onPointerEnter={() => hover(point)}
      onFocus={() => hover(point)}
      onClick={() => pin(point)}
    >
      <title>{name}</title>
      {children}
    </g>
  );
}
