import { fitOf, measured, type Box, type Fit, type Legible } from '@levee/core';
import { useLayoutEffect, useMemo, useRef, type ReactNode, type RefObject } from 'react';
import { SheetView, type SheetViewProps } from '../sheet/sheet-view.tsx';
import { useSize, type Size } from '../ui/use-size.ts';
import { leastCut, scrolledTo, stretchesOf, writtenBy } from './follow.ts';
import { Overview } from './overview.tsx';

export interface PaperStageProps extends Omit<SheetViewProps, 'square' | 'label' | 'view'> {
  /** How small letters may be; a sheet that would have smaller ones is followed, and lies whole beside it in small. */
  readonly legible: Legible;
  /** Most pixels of a square. */
  readonly most: number;
  /** Times the size that suits the room. */
  readonly zoom: number;
  /** Whether the sheet lies at the left upper corner, and not in the middle. */
  readonly atCorner?: boolean;
  /** What lies over the sheet, in its place: pixels of a square, the width of the room, and what of the sheet is shown. */
  readonly over?: (square: number, room: number, view: Box) => ReactNode;
}

/** Squares around what was just written that stay in sight. */
const MARGIN = 1.5;
/** Least pixels of a square at any zoom. */
const SMALLEST = 6;
/** What of the room the whole sheet takes in small, and how many pixels that is at least and at most. */
const SMALL = { part: 0.24, least: 44, most: 150 };

/** A sheet in the middle of squared paper, whole and as large as the room allows; where that is too small, the work is followed. */
export function PaperStage(props: PaperStageProps) {
  const { legible, most, zoom, atCorner = false, over, ...sheet } = props;
  const { paper, step, notes } = sheet;
  const [ref, room] = useSize<HTMLDivElement>();
  const all = measured(paper.drawing, notes);
  const view = useMemo(
    () => (atCorner ? { x: 0, y: 0, ...sizeOf(paper.drawing) } : all.view),
    [atCorner, paper, all],
  );
  const fit = zoomed(fitOf({ ...all, view }, room, { legible, most }), zoom, view, room);
  const { square } = fit;
  const strip = fit.isWhole || room.height === 0 || atCorner ? null : stripOf(view, square, room);
  const { width, height } = strip?.rest ?? room;
  const [left, top] = atCorner
    ? [0, 0]
    : [half(width - view.width * square), half(height - view.height * square)];
  const stage = useRef<HTMLDivElement>(null);
  // What is whole, or not laid out yet, has nowhere to go; to ask where it is would lay out the page.
  const isStill = fit.isWhole || room.width === 0;
  const shownAt = useKeptMiddle(stage, { square, width, height, isStill });
  useFollowing(stage, { paper, step, view, shownAt, width, height, isStill });
  const { method, last } = paper;
  const [gridX, gridY] = [left - view.x * square, top - view.y * square];
  return (
    <div ref={ref} className={`stage-room${strip?.isBeside ? ' beside' : ''}`}>
      <div
        ref={stage}
        className={strip ? 'stage followed' : 'stage'}
        tabIndex={!fit.isWhole && room.width > 0 ? 0 : undefined}
        style={{
          backgroundSize: `${square}px ${square}px`,
          backgroundPosition: `${gridX % square}px ${gridY % square}px`,
        }}
      >
        {room.width > 0 && (
          <div style={{ position: 'absolute', left, top }}>
            <SheetView
              {...sheet}
              square={square}
              view={view}
              label={`${method.name}, ${step} of ${last} steps done`}
            />
            {over?.(square, width, view)}
          </div>
        )}
      </div>
      {strip && (
        <Overview
          {...sheet}
          view={view}
          stage={stage}
          square={square}
          corner={{ left, top }}
          size={strip.size}
        />
      )}
    </div>
  );
}

/** Half of what is left over, on whole pixels. */
function half(over: number): number {
  return Math.max(0, Math.floor(over / 2));
}

function sizeOf({ width, height }: Size): Size {
  return { width, height };
}

/** Where the whole sheet lies in small: beside the work where it is long, else under it; and what room is left. */
function stripOf(view: Box, square: number, { width, height }: Size) {
  const of = (along: number) =>
    Math.round(Math.min(SMALL.most, Math.max(SMALL.least, along * SMALL.part)));
  // Where all of it fits one way, it still does.
  const fitsAcross = view.width * square <= width - of(width);
  const fitsDown = view.height * square <= height - of(height);
  const isLong = view.height * width > view.width * height && view.width * square > width;
  const isBeside = fitsAcross || (isLong && !fitsDown);
  const strip = of(isBeside ? width : height);
  return isBeside
    ? { isBeside, size: { width: strip, height }, rest: { width: width - strip, height } }
    : { isBeside, size: { width, height: strip }, rest: { width, height: height - strip } };
}

/** The same larger or smaller, as she has it. */
function zoomed(fit: Fit, zoom: number, view: Box, room: Size): Fit {
  if (zoom === 1) return fit;
  const square = Math.max(SMALLEST, Math.round(fit.square * zoom * 2) / 2);
  const isWhole = view.width * square <= room.width + 1 && view.height * square <= room.height + 1;
  return { square, isWhole };
}

interface Followed extends Size {
  readonly paper: SheetViewProps['paper'];
  readonly step: number;
  readonly view: Box;
  /** Pixels of a square as they are shown. */
  readonly shownAt: RefObject<number>;
  readonly isStill: boolean;
}

/** What the last step has written is in sight. */
function useFollowing(
  stage: RefObject<HTMLElement | null>,
  { paper, step, view, shownAt, width, height, isStill }: Followed,
): void {
  useLayoutEffect(() => {
    if (isStill) return undefined;
    // In the next frame, when all papers have shown their step: asking one for its place in between
    // would lay out the whole page once a paper.
    const frame = requestAnimationFrame(() => {
      const size = shownAt.current;
      const newest = writtenBy(paper, step, size, view);
      const scrolled = stage.current;
      if (!scrolled || !newest) return;
      const { scrollLeft, scrollTop } = scrolled;
      const all = stretchesOf(
        paper.drawing.figures.map(({ box }) => box),
        size,
        view,
      );
      const across = leastCut(
        scrolledTo(scrollLeft, width, newest.across, MARGIN * size),
        width,
        all.across,
        { seen: newest.across, end: scrolled.scrollWidth - width, square: size },
      );
      const down = leastCut(
        scrolledTo(scrollTop, height, newest.down, MARGIN * size),
        height,
        all.down,
        { seen: newest.down, end: scrolled.scrollHeight - height, square: size },
      );
      if (across !== scrollLeft || down !== scrollTop) scrolled.scrollTo(across, down);
    });
    return () => cancelAnimationFrame(frame);
  }, [stage, paper, step, view, shownAt, width, height, isStill]);
}

/** What is in the middle of the room stays there when the squares become larger or smaller; their size as shown. */
function useKeptMiddle(
  stage: RefObject<HTMLElement | null>,
  { square, width, height, isStill }: Size & { readonly square: number; readonly isStill: boolean },
): RefObject<number> {
  const before = useRef(square);
  useLayoutEffect(() => {
    const by = square / before.current;
    before.current = square;
    if (!stage.current || by === 1 || isStill) return;
    const { scrollLeft, scrollTop } = stage.current;
    stage.current.scrollTo(
      (scrollLeft + width / 2) * by - width / 2,
      (scrollTop + height / 2) * by - height / 2,
    );
  }, [stage, square, width, height, isStill]);
  return before;
}
