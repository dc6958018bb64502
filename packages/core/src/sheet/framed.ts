import type { Box } from './sheet.ts';

/** How many amounts can be framed at once: as many as there are textures. */
export const MOST_FRAMED = 6;

/** An amount that stays framed, where it lies on one page or picture. */
export interface Framed {
  /** 1 to {@link MOST_FRAMED}; it tells the texture, and stands beside the frame. */
  readonly number: number;
  readonly boxes: readonly Box[];
  /** Whether it stands there as one number, and not as terms that are not gathered yet. */
  readonly gathered: boolean;
}

/** What a piece of a frame looks like, as attributes with a space before them. */
export type FramedLook = (number: number, piece: 'texture' | 'edge' | 'badge' | 'number') => string;

/** Classes for a screen. */
export const framedClass: FramedLook = (number, piece) =>
  ` class="framed-${piece} framed-${number}"`;

const COLOURS = ['#1f5f8b', '#8a3f6b', '#2f6b4f', '#7a5c00', '#5a4a9c', '#8c3b2a'];

/** Attributes for a file that stands alone. */
export const framedColour: FramedLook = (number, piece) => {
  const colour = COLOURS[(number - 1) % MOST_FRAMED]!;
  switch (piece) {
    case 'texture':
      return ` stroke="${colour}" stroke-opacity="0.45" stroke-linecap="round" fill="none"`;
    case 'edge':
      return ` stroke="${colour}" fill="none"`;
    case 'badge':
      return ` fill="${colour}"`;
    case 'number':
      return ' fill="#ffffff" text-anchor="middle"';
  }
};

/** The textures, which go under the figures. `unit` is the breadth of a square in the measure of the boxes. */
export function framedTextures(all: readonly Framed[], unit: number, look: FramedLook): string {
  return all
    .flatMap(({ number, boxes }) =>
      boxes.map(
        (box) =>
          `<path${look(number, 'texture')} stroke-width="${short(unit * 0.045)}" d="${texturePath(number, box, unit * 0.2)}"/>`,
      ),
    )
    .join('');
}

/** The frames with their numbers, which go over the figures. */
export function framedEdges(all: readonly Framed[], unit: number, look: FramedLook): string {
  const corners = new Map<string, number>();
  return all
    .map((framed) => {
      const corner = framed.boxes[0] ? `${framed.boxes[0].x} ${framed.boxes[0].y}` : '';
      const before = corners.get(corner) ?? 0;
      corners.set(corner, before + 1);
      return edgesOf(framed, unit, look) + badgeOf(framed, unit, look, before);
    })
    .join('');
}

function edgesOf({ number, boxes, gathered }: Framed, unit: number, look: FramedLook): string {
  const dashes = gathered ? '' : ` stroke-dasharray="${short(unit * 0.2)} ${short(unit * 0.12)}"`;
  return boxes
    .map(
      ({ x, y, width, height }) =>
        `<rect${look(number, 'edge')} stroke-width="${short(unit * 0.07)}"${dashes} x="${short(x)}" y="${short(y)}" width="${short(width)}" height="${short(height)}" rx="${short(unit * 0.06)}"/>`,
    )
    .join('');
}

/** The number at the corner of the first box; beside those that stand there already. */
function badgeOf(
  { number, boxes }: Framed,
  unit: number,
  look: FramedLook,
  before: number,
): string {
  const [first] = boxes;
  if (!first) return '';
  const [x, y] = [first.x + before * unit * 0.5, first.y];
  const [cx, cy, r] = [short(x), short(y), short(unit * 0.21)];
  return (
    `<circle${look(number, 'badge')} cx="${cx}" cy="${cy}" r="${r}"/>` +
    `<text${look(number, 'number')} x="${cx}" y="${short(y + unit * 0.11)}" font-size="${short(unit * 0.32)}">${number}</text>`
  );
}

/**
 * The strokes of a texture in a box, a gap apart: rising, falling, level, upright, crossed, and dots. Each can be told from the
 * others without its colour.
 */
export function texturePath(number: number, box: Box, gap: number): string {
  switch ((number - 1) % MOST_FRAMED) {
    case 0:
      return slanted(box, gap * 1.4, true);
    case 1:
      return slanted(box, gap * 1.4, false);
    case 2:
      return level(box, gap);
    case 3:
      return upright(box, gap);
    case 4:
      return level(box, gap * 1.5) + upright(box, gap * 1.5);
    default:
      return dots(box, gap * 1.2);
  }
}

/** The places between two ends that are whole gaps from zero, so that textures of neighbours meet. */
function places(from: number, to: number, gap: number): readonly number[] {
  const first = Math.ceil(from / gap);
  const count = Math.max(0, Math.floor(to / gap) - first + 1);
  return Array.from({ length: count }, (_, k) => (first + k) * gap);
}

function level({ x, y, width, height }: Box, gap: number): string {
  return places(y, y + height, gap)
    .map((at) => `M${short(x)} ${short(at)}h${short(width)}`)
    .join('');
}

function upright({ x, y, width, height }: Box, gap: number): string {
  return places(x, x + width, gap)
    .map((at) => `M${short(at)} ${short(y)}v${short(height)}`)
    .join('');
}

/** Lines on which x + y, or x − y, is the same; cut off at the edges of the box. */
function slanted({ x, y, width, height }: Box, gap: number, rising: boolean): string {
  const [right, foot] = [x + width, y + height];
  const sums = rising ? places(x + y, right + foot, gap) : places(x - foot, right - y, gap);
  return sums
    .map((sum) => {
      const upAt = rising ? sum - y : sum + y;
      const downAt = rising ? sum - foot : sum + foot;
      const x1 = Math.min(right, Math.max(x, downAt));
      const x2 = Math.min(right, Math.max(x, upAt));
      const at = (across: number) => (rising ? sum - across : across - sum);
      return `M${short(x1)} ${short(at(x1))}L${short(x2)} ${short(at(x2))}`;
    })
    .join('');
}

function dots({ x, y, width, height }: Box, gap: number): string {
  return places(y, y + height, gap)
    .flatMap((down) =>
      places(x, x + width, gap).map((across) => `M${short(across)} ${short(down)}h0`),
    )
    .join('');
}

function short(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}
