import type { EntryId } from '../account/account.ts';
import type { Notation } from '../exact/notation.ts';
import type { SheetSign } from './sheet.ts';

/** Every kind of thing that is painted on a page. */
export type Part =
  | { readonly part: 'ruling'; readonly weight: 'heavy' | 'thin' }
  | { readonly part: 'sign'; readonly sign: SheetSign['sign'] }
  | { readonly part: 'notch'; readonly place: number }
  | { readonly part: 'link'; readonly isNew: boolean }
  | {
      readonly part: 'figure' | 'bar' | 'strike' | 'ring' | 'alike' | 'under';
      readonly faint: boolean;
    }
  | { readonly part: 'note'; readonly isWrong: boolean }
  | { readonly part: 'letters' | 'label' };

/**
 * How a page looks. The painter says what is where; a brush says what it looks like, as the attributes of its element with
 * a space before them: names of classes for a screen, colours and widths for a file.
 */
export interface Brush {
  readonly notation: Notation;
  /** Whether strokes under figures tell their places. */
  readonly notches: boolean;
  /** Whether there is something under each figure that can be pointed at. */
  readonly pointable: boolean;
  /** Whether a figure gets a stroke through it: now, or at some later step. */
  readonly strikes: (entry: EntryId) => boolean;
  readonly look: (part: Part) => string;
}

/** A screen: classes alone, so that themes and steps change the look without painting again. */
export function screenBrush(hand: Pick<Brush, 'notation' | 'notches' | 'strikes'>): Brush {
  return { ...hand, pointable: true, look: classOf };
}

function classOf(part: Part): string {
  switch (part.part) {
    case 'figure':
    case 'label':
      return '';
    case 'note':
      return part.isWrong ? ' class="wrong"' : '';
    case 'ruling':
      return ` class="${part.weight}"`;
    case 'sign':
      return ` class="sign-${part.sign}"`;
    case 'notch':
      return ` class="notch place-${((part.place % 6) + 6) % 6}"`;
    case 'link':
      return part.isNew ? ' class="new"' : '';
    default:
      return ` class="${part.part}"`;
  }
}

const INK = '#1d2a35';
const FAINT = '#6b7780';
const WRONG = '#a63c12';

/** A file that stands alone: the look of the light screen, in attributes that every program reads. */
export function fileBrush(hand: Pick<Brush, 'notation' | 'notches' | 'strikes'>): Brush {
  return { ...hand, pointable: false, look: attributesOf };
}

function attributesOf(part: Part): string {
  switch (part.part) {
    case 'ruling':
      return line(INK, part.weight === 'heavy' ? 0.06 : 0.035);
    case 'sign':
      if (part.sign === 'words') return words(INK, 'start');
      return words(part.sign === 'caption' || part.sign === 'box' ? FAINT : INK);
    case 'figure':
      return words(part.faint ? FAINT : INK);
    case 'letters':
      return ' font-style="italic"';
    case 'label':
      return words(FAINT);
    case 'note':
      return words(part.isWrong ? WRONG : FAINT, 'start');
    case 'notch':
      return `${line(INK, 0.06)} stroke-linecap="round"`;
    case 'link':
      return `${line(FAINT, 0.045)} fill="none"`;
    case 'bar':
      return line(part.faint ? FAINT : INK, 0.05);
    case 'under':
      return line(INK, 0.05);
    case 'strike':
      return line(INK, 0.045);
    case 'ring':
    case 'alike':
      return `${line(INK, part.part === 'ring' ? 0.045 : 0.04)} fill="none"`;
  }
}

function line(colour: string, width: number): string {
  return ` stroke="${colour}" stroke-width="${width}"`;
}

function words(colour: string, anchor = 'middle'): string {
  return ` text-anchor="${anchor}" fill="${colour}"`;
}
