import type { EntryId } from '../account/account.ts';
import { onPaper, type Notation } from '../exact/notation.ts';

/** A rectangle in squares of the paper, from its upper left corner; fractions are allowed. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Where a given or a mark is drawn. */
export interface SheetCell extends Box {
  readonly entry: EntryId;
  /** `side` is what stands beside or between figures: larger than a small carry, so that it can be read. */
  readonly size: 'full' | 'side' | 'small';
  /** Each figure stands in a square of its own, as a run of zeros does. */
  readonly spread: boolean;
  /** Held in the head: drawn in the tray beside the paper. */
  readonly held: boolean;
  /** Its figures stand on the paper already and are only read otherwise, so that nothing is drawn for it. */
  readonly unseen?: true;
  /** Held, and drawn in brackets on the paper too, where the method ties it to a line. */
  readonly beside: boolean;
  /** Numbers under each other stand with their ones under each other. */
  readonly align: 'middle' | 'right';
  /** Ringed, as the hops of a count are. */
  readonly ringed: boolean;
  /** Ruled off beneath, as a product that is taken away. */
  readonly underlined: boolean;
  /** Height of letters that run on as mathematics in a line, in squares; others are made to fit their box. */
  readonly lettering?: number;
  /** Like ones are underlined alike: the number of the kind, from 0. */
  readonly alike?: number;
}

/** Where the work for an owed entry will go. */
export interface SheetSlot extends Box {
  readonly entry: EntryId;
  /** Whether a dot shows that work will go here; a figure of the question needs none. */
  readonly dot: boolean;
}

export interface Ruling {
  /** A `fork` joins a number to its parts and is no ruling of the squares. */
  readonly kind: 'line' | 'diagonal' | 'fork';
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly weight: 'thin' | 'heavy';
}

/**
 * A printed sign. `times` and `point` are drawn as the user writes them; a `caption` is a short text that
 * belongs to the paper and is never hidden, `words` are one as large as figures.
 */
export interface SheetSign extends Box {
  readonly sign:
    | 'times'
    | 'plus'
    | 'minus'
    | 'equals'
    | 'divide'
    | 'point'
    | 'caption'
    | 'words'
    | 'open'
    | 'close'
    | 'box';
  readonly text?: string;
  /** The mark with which it comes; absent for what is printed from the start. */
  readonly with?: EntryId;
}

const SIGNS = {
  plus: '+',
  minus: '−',
  equals: '=',
  divide: '÷',
  open: '(',
  close: ')',
  box: '▢',
} as const;

/** The glyph of a printed sign. */
export function signGlyph({ sign, text = '' }: SheetSign, notation: Notation): string {
  if (sign === 'times' || sign === 'point') return notation[sign];
  return sign === 'caption' || sign === 'words' ? onPaper(text, notation) : SIGNS[sign];
}

/** Height of a printed sign's letters, in squares. */
export function signSize({ sign }: SheetSign): number {
  if (sign === 'caption') return 0.5;
  if (sign === 'box') return 1.1;
  if (sign === 'words') return 0.86;
  return sign === 'divide' ? 0.9 : 0.72;
}

/**
 * A line between figures that a step brings together; drawn while that step is the last one done, or from
 * then on where it stays.
 */
export interface SheetLink {
  readonly step: number;
  readonly stays?: boolean;
  /** How far its middle is bent down, or up when below zero, in squares; straight when absent. */
  readonly bow?: number;
  /** The same to the right, for a link between things under each other. */
  readonly across?: number;
  /** A few characters at its middle. */
  readonly label?: string;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** Whether a link is drawn once so many steps are done. */
export function isLinkShown({ step, stays = false }: SheetLink, done: number): boolean {
  return stays ? step <= done : step === done;
}

/** A link as the path of an SVG, and the point at its middle. */
export function linkPath({ x1, y1, x2, y2, bow = 0, across = 0 }: SheetLink): {
  readonly path: string;
  readonly x: number;
  readonly y: number;
} {
  const [x, y] = [(x1 + x2) / 2, (y1 + y2) / 2];
  const n = (value: number) => String(Math.round(value * 1000) / 1000);
  const path = `M${n(x1)} ${n(y1)}Q${n(x + 2 * across)} ${n(y + 2 * bow)} ${n(x2)} ${n(y2)}`;
  return { path, x: x + across, y: y + bow };
}

/** Height of the letters at a link. */
export const LABEL_SIZE = 0.4;

/** Where the letters at a link stand, on their line: under one that is bent down, else over it. */
export function linkLabelAt(link: SheetLink): { readonly x: number; readonly y: number } {
  const { x, y } = linkPath(link);
  return { x, y: y + (link.bow !== undefined && link.bow > 0 ? 0.42 : -0.12) };
}

/** Height of the letters of a note, unless it says otherwise. */
export const NOTE_SIZE = 0.5;

/** A small explanation at the side, part of the scaffolding that can be hidden. */
export interface SheetNote {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  /** Height of its letters, in squares; see {@link NOTE_SIZE}. */
  readonly size?: number;
  /** Whether it says that something is wrong. */
  readonly isWrong?: boolean;
  /** Marks it explains; shown once the first of them is, and from the start where it explains none. */
  readonly marks: readonly EntryId[];
}

/** A method's page in squares, the same for every way of drawing it. */
export interface Sheet {
  readonly width: number;
  readonly height: number;
  readonly cells: readonly SheetCell[];
  readonly slots: readonly SheetSlot[];
  readonly rulings: readonly Ruling[];
  readonly signs: readonly SheetSign[];
  readonly notes: readonly SheetNote[];
  readonly links: readonly SheetLink[];
}
