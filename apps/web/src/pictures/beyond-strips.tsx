import { amountWriter, inNotation, stripsBeyond, type StripBeyond } from '@levee/core';
import { useMemo } from 'react';
import { useSession } from '../store/session-store.ts';
import { SvgMath } from '../ui/svg-math.tsx';
import { useNotation, useSteps } from '../worked/use-worked.ts';
import type { Worked } from '../worked/work.ts';
import type { Frame } from './frame.ts';

/** A strip with the paper that lays it. */
interface LaidStrip extends StripBeyond {
  readonly isLit: boolean;
}

function allBeyond({ papers }: Worked) {
  return papers.map(({ id, lane }) => ({ id, strips: stripsBeyond(lane.trace) }));
}

/** Whether something is laid beyond the rectangle at any step. */
export function goesBeyond(worked: Worked): boolean {
  return allBeyond(worked).some(({ strips }) => strips.length > 0);
}

/** What is laid beyond the rectangle and taken back, on papers as far as they are now. */
export function useBeyond(worked: Worked): readonly LaidStrip[] {
  const steps = useSteps();
  const pointed = useSession((session) => session.pointed);
  const all = useMemo(() => allBeyond(worked), [worked]);
  return all.flatMap(({ id, strips }, k) =>
    strips
      .filter(({ since }) => since <= steps[k]!)
      .map((strip) => ({
        ...strip,
        isLit: pointed?.kind === 'entry' && pointed.paper === id && strip.marks.has(pointed.id),
      })),
  );
}

/** Least share of a side that is kept for what lies beyond it, so that it can be seen. */
const LEAST = 0.09;

/** How much room lies beyond each side, in shares of it. */
export function roomBeyond(strips: readonly StripBeyond[]): Record<StripBeyond['side'], number> {
  const room = (side: StripBeyond['side']) => {
    const ends = strips.filter((strip) => strip.side === side).map(({ to }) => to - 1);
    return ends.length === 0 ? 0 : Math.max(LEAST, ...ends);
  };
  return { across: room('across'), down: room('down') };
}

/** Strips beyond the edges, dashed, with a stroke through what is taken back. */
export function BeyondStrips(props: {
  readonly strips: readonly LaidStrip[];
  readonly frame: Frame;
  readonly room: Record<StripBeyond['side'], number>;
  readonly labelOf: (text: string) => string;
}) {
  const { strips: all, frame, room, labelOf } = props;
  // What is pointed at is seen, whatever lies over it.
  const strips = all.some(({ isLit }) => isLit) ? all.filter(({ isLit }) => isLit) : all;
  const { left, top, width, height } = frame;
  const farthest = (side: StripBeyond['side']) =>
    Math.max(...all.filter((own) => own.side === side).map(({ to }) => to - 1));
  return (
    <g className="beyond">
      {strips.map(({ side, from, to, text, isLit }) => {
        // What would be too thin to be seen is drawn wider, all of it alike.
        const scale = room[side] / farthest(side);
        const [start, end] = [1 + (from - 1) * scale, 1 + (to - 1) * scale];
        const box =
          side === 'across'
            ? { x: left + start * width, y: top, width: (end - start) * width, height }
            : { x: left, y: top + start * height, width, height: (end - start) * height };
        const label =
          side === 'across'
            ? { x: box.x + box.width / 2, y: top - 6 }
            : { x: left - 6, y: box.y + box.height / 2 + 4.5, anchor: 'end' as const };
        return (
          <g key={`${side}${from}${to}`} className={isLit ? 'lit' : undefined}>
            <rect {...box} />
            <path d={`M${box.x} ${box.y + box.height}L${box.x + box.width} ${box.y}`} />
            {isOutermost(strips, { side, to }) && <SvgMath {...label} text={labelOf(text)} />}
          </g>
        );
      })}
    </g>
  );
}

/** Where strips lie on each other only the one that reaches farthest is named. */
function isOutermost(
  strips: readonly StripBeyond[],
  { side, to }: Pick<StripBeyond, 'side' | 'to'>,
): boolean {
  return strips.every((other) => other.side !== side || other.to <= to);
}

/** What was laid too far, in words. */
export function BeyondNote({ worked }: { readonly worked: Worked }) {
  const strips = useBeyond(worked);
  const notation = useNotation();
  if (strips.length === 0) return null;
  const write = amountWriter(worked.problem);
  const amounts = [...new Set(strips.map(({ worth }) => inNotation(write(worth), notation)))];
  return <span className="beyond-note">{amounts.join(' and ')} laid too far and taken back </span>;
}
