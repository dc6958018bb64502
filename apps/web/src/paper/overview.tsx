import type { Box } from '@levee/core';
import { useLayoutEffect, useRef, type MouseEvent, type RefObject } from 'react';
import type { Size } from '../ui/use-size.ts';
import { SheetView, type SheetViewProps } from '../sheet/sheet-view.tsx';

interface OverviewProps extends Omit<SheetViewProps, 'square' | 'label' | 'view'> {
  readonly view: Box;
  /** What shows a part of the paper in large, and how many pixels a square has there. */
  readonly stage: RefObject<HTMLElement | null>;
  readonly square: number;
  /** Where the paper lies in it, in pixels. */
  readonly corner: { readonly left: number; readonly top: number };
  /** Pixels that there are for it. */
  readonly size: Size;
}

/** Pixels around the paper in small. */
const AROUND = 5;

/** What is seen of a length through a window that begins somewhere. */
function seen(from: number, room: number, length: number) {
  const [begin, end] = [Math.max(0, from), Math.min(length, from + room)];
  return { from: begin, size: Math.max(0, end - begin) };
}

/** The whole paper in small beside the part of it that is seen, which is framed; a press goes there. */
export function Overview(props: OverviewProps) {
  const { stage, square, corner, size, ...sheet } = props;
  const { view } = sheet;
  const frame = useRef<HTMLSpanElement>(null);
  const small = Math.min(
    (size.width - 2 * AROUND) / view.width,
    (size.height - 2 * AROUND) / view.height,
  );
  const by = small / square;
  useLayoutEffect(() => {
    const large = stage.current;
    if (!large) return undefined;
    const show = () => {
      const { scrollLeft, scrollTop, clientWidth, clientHeight } = large;
      const across = seen(scrollLeft - corner.left, clientWidth, view.width * square);
      const down = seen(scrollTop - corner.top, clientHeight, view.height * square);
      const box = { left: across.from, top: down.from, width: across.size, height: down.size };
      for (const [name, value] of Object.entries(box)) {
        frame.current?.style.setProperty(name, `${value * by}px`);
      }
    };
    show();
    large.addEventListener('scroll', show, { passive: true });
    return () => large.removeEventListener('scroll', show);
  });
  const go = (event: MouseEvent) => {
    event.stopPropagation();
    const { left, top } = event.currentTarget.getBoundingClientRect();
    const large = stage.current;
    large?.scrollTo(
      (event.clientX - left) / by + corner.left - large.clientWidth / 2,
      (event.clientY - top) / by + corner.top - large.clientHeight / 2,
    );
  };
  return (
    <div className="overview" style={size} aria-hidden>
      <div className="overview-paper" onClick={go}>
        <SheetView {...sheet} square={small} label="" />
        <span ref={frame} className="overview-frame" />
      </div>
    </div>
  );
}
