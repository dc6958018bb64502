import type { Drawing } from './drawing.ts';
import { fitOf, measured, type Legible } from './fit.ts';
import { piecesOf } from './pieces.ts';
import type { Box } from './sheet.ts';

/** Room on a printed page, in pixels of a page that is not scaled. */
export interface PageRoom {
  readonly width: number;
  readonly height: number;
}

/** How a work is laid on printed pages. */
export interface OnPages {
  /** Pixels that a square is wide. */
  readonly square: number;
  /** Whether its pages lie across. */
  readonly isAcross: boolean;
  /** What of the sheet stands on each page, in order; one where it fits. */
  readonly parts: readonly Box[];
}

/** On paper in the hand: figures of 10 points, the smallest letters of 6. */
export const IN_HAND: Legible = { figures: 13, smallest: 8 };

/**
 * Lays a sheet on pages: upright where it can be read so, else across; where it is too long for that too, it goes on on further pages,
 * cut between lines, and between columns, where nothing lies across the cut.
 */
export function onPages(
  drawing: Drawing,
  notes: boolean,
  upright: PageRoom,
  most: number,
): OnPages {
  const all = measured(drawing, notes);
  const across: PageRoom = { width: upright.height, height: upright.width };
  for (const room of [upright, across]) {
    const fit = fitOf(all, room, { legible: IN_HAND, most });
    if (fit.isWhole) return { square: fit.square, isAcross: room === across, parts: [all.view] };
  }
  const { view } = all;
  const { square } = fitOf(all, upright, { legible: IN_HAND, most });
  const isAcross = view.width * square > upright.width;
  const room = isAcross ? across : upright;
  const boxes = piecesOf(notes ? drawing : { ...drawing, notes: [], links: [] }).map(
    ({ box }) => box,
  );
  const columns = stretches(view.x, view.width, room.width / square, boxes.map(alongX));
  const lines = stretches(view.y, view.height, room.height / square, boxes.map(alongY));
  const parts = lines.flatMap(({ from: y, size: height }) =>
    columns.map(({ from: x, size: width }) => ({ x, y, width, height })),
  );
  return { square, isAcross, parts };
}

interface Stretch {
  readonly from: number;
  readonly size: number;
}

const alongX = ({ x, width }: Box): Stretch => ({ from: x, size: width });
const alongY = ({ y, height }: Box): Stretch => ({ from: y, size: height });

/** What long lines such as rulings reach over is no reason not to cut there, in squares. */
const LONG = 3;
/** How much may lie over a cut, in squares. */
const HAIR = 0.05;

/** A length in stretches of at most `most`, cut where the fewest pieces lie, and as late as that allows. */
function stretches(
  begin: number,
  length: number,
  most: number,
  pieces: readonly Stretch[],
): readonly Stretch[] {
  const end = begin + length;
  const short = pieces.filter(({ size }) => size <= LONG);
  const cutBy = (at: number) =>
    short.filter(({ from, size }) => from < at - HAIR && from + size > at + HAIR).length;
  const made: Stretch[] = [];
  for (let from = begin; from < end - HAIR;) {
    const last = from + most;
    if (last >= end) {
      made.push({ from, size: end - from });
      break;
    }
    const edges = [last, ...short.flatMap((one) => [one.from, one.from + one.size])]
      .filter((at) => at > from + most / 2 && at <= last)
      .sort((a, b) => b - a);
    const at = edges.reduce((best, one) => (cutBy(one) < cutBy(best) ? one : best), edges[0]!);
    made.push({ from, size: at - from });
    from = at;
  }
  return made;
}
