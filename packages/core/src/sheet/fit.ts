import type { Drawing } from './drawing.ts';
import { boundsOf, piecesOf, type Piece } from './pieces.ts';
import type { Box } from './sheet.ts';

/** How high letters are at least where a page is read, in pixels: its figures, and the smallest of all. */
export interface Legible {
  readonly figures: number;
  readonly smallest: number;
}

/** At a desk. */
export const ON_BENCH: Legible = { figures: 14, smallest: 9 };
/** Pixels of the view for which sizes are told that grow with it. */
export const USUAL_VIEW = 1280;

/** From the last row of a room, where a view of so many pixels is as wide as the wall: letters grow with it. */
export function inRoom(view: number): Legible {
  return { figures: (28 * view) / USUAL_VIEW, smallest: (16 * view) / USUAL_VIEW };
}

/** How a page is shown in a room of so many pixels. */
export interface Fit {
  /** Pixels that a square is wide. */
  readonly square: number;
  /** Whether all of it is seen at once; else what is worked is followed. */
  readonly isWhole: boolean;
}

/** What of a page is ever seen, and how high its letters are at least, in squares. */
export interface Measured {
  readonly view: Box;
  readonly figures: number;
  readonly smallest: number;
}

/** What is left free around all that is seen, in squares. */
const AROUND = 0.3;
const MEASURED = new WeakMap<Drawing, Map<boolean, Measured>>();

/**
 * Measures a page with all that it will ever hold: printed signs, figures of every step with the frames around them, places for
 * work to come, strikes, links, and notes where they are shown.
 */
export function measured(drawing: Drawing, notes: boolean): Measured {
  const known = MEASURED.get(drawing) ?? new Map<boolean, Measured>();
  const made = known.get(notes) ?? measure(notes ? drawing : { ...drawing, notes: [], links: [] });
  MEASURED.set(drawing, known.set(notes, made));
  return made;
}

function measure(drawing: Drawing): Measured {
  const pieces = piecesOf(drawing);
  const framed = [...drawing.figures.map(({ box }) => box), ...drawing.slots].map((box): Piece => ({
    what: 'line',
    box,
    letters: null,
    text: '',
  }));
  const bounds = boundsOf([...pieces, ...framed]) ?? { x: 0, y: 0, width: 1, height: 1 };
  const lettered = (is: (piece: Piece) => boolean) =>
    Math.min(
      ...pieces.flatMap((piece) => (piece.letters !== null && is(piece) ? [piece.letters] : [])),
    );
  const smallest = lettered(() => true);
  const figures = lettered(({ what }) => what === 'figure');
  return {
    view: {
      x: bounds.x - AROUND,
      y: bounds.y - AROUND,
      width: bounds.width + 2 * AROUND,
      height: bounds.height + 2 * AROUND,
    },
    figures: Number.isFinite(figures) ? figures : 1,
    smallest: Number.isFinite(smallest) ? smallest : 1,
  };
}

/**
 * The size at which a page is shown: whole, as large as the room allows and never larger than `most`; where its letters would be
 * too small to be read then, as small as they can be read, and followed.
 */
export function fitOf(
  { view, figures, smallest }: Measured,
  room: { readonly width: number; readonly height: number },
  { legible, most }: { readonly legible: Legible; readonly most: number },
): Fit {
  const whole = Math.min(room.width / view.width, room.height / view.height);
  const least = Math.min(most, Math.max(legible.figures / figures, legible.smallest / smallest));
  if (whole < least) return { square: Math.ceil(least * 2) / 2, isWhole: false };
  return { square: Math.max(least, Math.floor(Math.min(most, whole) * 2) / 2), isWhole: true };
}
