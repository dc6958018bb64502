import type { Drawing } from './drawing.ts';
import { fitOf, measured, type Legible } from './fit.ts';
import { piecesOf } from './pieces.ts';
import type { Box } from './sheet.ts';

/** Room on a printed page, in pixels of a page that is not scaled. */
export interface PageRoom {
  readonly width: number;
  readonly height: number;
}

/** An upright page, and how large a sheet is drawn on it. */
export interface PageFit {
  readonly upright: PageRoom;
  /** Most pixels of a square. */
  readonly most: number;
  /** Height of the name of the work, which stands above the sheet on every page, in pixels. */
  readonly name?: number;
  /** Height of what stands above that on the first page. */
  readonly above?: number;
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
const IN_HAND: Legible = { figures: 13, smallest: 8 };

/**
 * Lays a sheet on pages: upright where it can be read so, else across; where it is too long for that too, it goes on on further pages,
 * cut between lines, and between columns, where nothing lies across the cut. It stands below what is above it where there is room,
 * else on a page of its own.
 */
export function onPages(drawing: Drawing, notes: boolean, fit: PageFit): OnPages {
  const all = measured(drawing, notes);
  const { upright, most, name = 0, above = 0 } = fit;
  const across: PageRoom = { width: upright.height, height: upright.width };
  for (const taken of new Set([above + name, name])) {
    for (const page of [upright, across]) {
      const room = { width: page.width, height: page.height - taken };
      const { square, isWhole } = fitOf(all, room, { legible: IN_HAND, most });
      if (isWhole) return { square, isAcross: page === across, parts: [all.view] };
    }
  }
  const { view } = all;
  const { square } = fitOf(all, upright, { legible: IN_HAND, most });
  const isAcross = view.width * square > upright.width;
  const { width, height } = isAcross ? across : upright;
  const boxes = piecesOf(notes ? drawing : { ...drawing, notes: [], links: [] }).map(
    ({ box }) => box,
  );
  const room = (first: number, others = first) => ({
    first: first / square,
    others: others / square,
  });
  const columns = stretches(view.x, view.width, room(width), boxes.map(alongX));
  const down = room(height - above - name, height - name);
  const lines = stretches(view.y, view.height, down, boxes.map(alongY));
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

/** A length in stretches, the first and the others of at most so much, cut where the fewest pieces lie, and as late as that allows. */
function stretches(
  begin: number,
  length: number,
  room: { readonly first: number; readonly others: number },
  pieces: readonly Stretch[],
): readonly Stretch[] {
  const end = begin + length;
  const short = pieces.filter(({ size }) => size <= LONG);
  const cutBy = (at: number) =>
    short.filter(({ from, size }) => from < at - HAIR && from + size > at + HAIR).length;
  const made: Stretch[] = [];
  for (let from = begin; from < end - HAIR;) {
    const most = made.length === 0 ? room.first : room.others;
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
