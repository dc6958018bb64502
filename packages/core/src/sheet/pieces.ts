import { onPaper, PLAIN_NOTATION } from '../exact/notation.ts';
import type { Drawing, Figure } from './drawing.ts';
import { runWidth } from './running.ts';
import {
  LABEL_SIZE,
  linkLabelAt,
  linkPath,
  NOTE_SIZE,
  signGlyph,
  signSize,
  type Box,
  type Ruling,
  type SheetLink,
  type SheetNote,
  type SheetSign,
} from './sheet.ts';

/** Something that is seen on a page, with the room it takes there, in squares. */
export interface Piece {
  readonly what: 'figure' | 'small figure' | 'sign' | 'note' | 'label' | 'line';
  readonly box: Box;
  /** Height of its letters; null for what has none. */
  readonly letters: number | null;
  readonly text: string;
}

/** How high letters are in the measure of their line, over and under its middle. */
const HALF = 0.42;

/** Everything that a drawing will ever show: what is printed, what any step writes, strikes, links and notes. */
export function piecesOf(drawing: Omit<Drawing, 'width' | 'height'>): readonly Piece[] {
  const { figures, rulings, signs, notes, links } = drawing;
  return [
    ...figures.flatMap(figurePieces),
    ...rulings.map(rulingPiece),
    ...signs.map(signPiece),
    ...notes.map(notePiece),
    ...links.flatMap(linkPieces),
  ];
}

/** Letters around a point, or from it on. */
function letters(
  what: Piece['what'],
  { x, y, text, size }: { x: number; y: number; text: string; size: number },
  from: 'middle' | 'start' = 'middle',
): Piece {
  const written = onPaper(text, PLAIN_NOTATION);
  const width = runWidth(written, size);
  const left = from === 'middle' ? x - width / 2 : x;
  const box = { x: left, y: y - HALF * size, width, height: 2 * HALF * size };
  return { what, box, letters: size, text: written };
}

function line(x1: number, y1: number, x2: number, y2: number): Piece {
  const box = {
    x: Math.min(x1, x2),
    y: Math.min(y1, y2),
    width: Math.abs(x2 - x1),
    height: Math.abs(y2 - y1),
  };
  return { what: 'line', box, letters: null, text: '' };
}

function figurePieces(figure: Figure): readonly Piece[] {
  const { texts, size: high, kind, bars, notches, box, ringed, underlined, strike } = figure;
  const isSmall = kind === 'small' || kind === 'held';
  const { middle, across, up } = strike;
  const y = box.y + box.height / 2;
  return [
    ...texts.map(({ size = high, ...own }) =>
      letters(isSmall ? 'small figure' : 'figure', { ...own, size }),
    ),
    ...[...bars, ...notches].map((one) => line(one.x, one.y, one.x + one.length, one.y)),
    ...(ringed || underlined ? [line(box.x, box.y, box.x + box.width, box.y + box.height)] : []),
    line(middle - across, y - up, middle + across, y + up),
  ];
}

function rulingPiece({ x1, y1, x2, y2 }: Ruling): Piece {
  return line(x1, y1, x2, y2);
}

function signPiece(sign: SheetSign): Piece {
  const { x, y, width, height } = sign;
  const isWords = sign.sign === 'words';
  return letters(
    'sign',
    {
      x: isWords ? x : x + width / 2,
      y: y + height / 2,
      text: signGlyph(sign, PLAIN_NOTATION),
      size: signSize(sign),
    },
    isWords ? 'start' : 'middle',
  );
}

function notePiece({ x, y, text, size = NOTE_SIZE }: SheetNote): Piece {
  return letters('note', { x, y: y + 0.5, text, size }, 'start');
}

/** A curve stays within its ends and its middle. */
function linkPieces(link: SheetLink): readonly Piece[] {
  const { x1, y1, x2, y2, label } = link;
  const { x, y } = linkPath(link);
  const at = linkLabelAt(link);
  return [
    line(x1, y1, x2, y2),
    line(Math.min(x, x1), Math.min(y, y1), Math.max(x, x2), Math.max(y, y2)),
    ...(label
      ? [letters('label', { x: at.x, y: at.y - 0.36 * LABEL_SIZE, text: label, size: LABEL_SIZE })]
      : []),
  ];
}

/** The least box that holds all pieces; null for none. */
export function boundsOf(pieces: readonly Piece[]): Box | null {
  if (pieces.length === 0) return null;
  const left = Math.min(...pieces.map(({ box }) => box.x));
  const top = Math.min(...pieces.map(({ box }) => box.y));
  const right = Math.max(...pieces.map(({ box }) => box.x + box.width));
  const bottom = Math.max(...pieces.map(({ box }) => box.y + box.height));
  return { x: left, y: top, width: right - left, height: bottom - top };
}
