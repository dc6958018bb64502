import type { EntryId } from '../account/account.ts';

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
  readonly size: 'full' | 'small';
  /** Each figure stands in a square of its own, as a run of zeros does. */
  readonly spread: boolean;
  /** Held in the head: drawn in the tray beside the paper. */
  readonly held: boolean;
}

/** Where the work for an owed entry will go. */
export interface SheetSlot extends Box {
  readonly entry: EntryId;
}

export interface Ruling {
  readonly kind: 'line' | 'diagonal';
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly weight: 'thin' | 'heavy';
}

/** A printed sign, such as the times sign; `times` is drawn as the user writes it. */
export interface SheetSign extends Box {
  readonly sign: 'times' | 'plus';
}

/** A small explanation at the side, part of the scaffolding that can be hidden. */
export interface SheetNote {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  /** Marks it explains; shown once the first of them is. */
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
}
