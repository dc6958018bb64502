import type { EntryId } from '../account/account.ts';
import { onPaper } from '../exact/notation.ts';
import type { Brush } from './brush.ts';
import { letterRuns, type Drawing, type Figure } from './drawing.ts';
import { type Notch } from './placed.ts';
import {
  LABEL_SIZE,
  linkLabelAt,
  linkPath,
  NOTE_SIZE,
  signGlyph,
  signSize,
  type Ruling,
  type SheetLink,
  type SheetNote,
  type SheetSign,
  type SheetSlot,
} from './sheet.ts';

/*
 * The painter of every page, on screens and in files, as SVG mark-up: what is where stands here, what it looks like in a
 * brush. `data-entry` says whose a part is. Written in one go, since a large paper has thousands of parts. Texts
 * are escaped.
 */

/** Lines that are on the page from the start. */
export function rulingsMarkup(rulings: readonly Ruling[], brush: Brush): string {
  return rulings
    .map(
      ({ x1, y1, x2, y2, weight }) =>
        `<line${brush.look({ part: 'ruling', weight })} x1="${size(x1)}" y1="${size(y1)}" x2="${size(x2)}" y2="${size(y2)}"/>`,
    )
    .join('');
}

/** Signs that are printed from the start. */
export function signsMarkup(signs: readonly SheetSign[], brush: Brush): string {
  return signs
    .filter((sign) => !sign.with)
    .map((sign) => signMarkup(sign, brush))
    .join('');
}

/** Where the work for what is owed will go. */
export function slotsMarkup(slots: readonly SheetSlot[]): string {
  return slots.map(slotMarkup).join('');
}

/** Figures, and signs that come with them. */
export function figuresMarkup(
  { signs, figures }: Pick<Drawing, 'signs' | 'figures'>,
  brush: Brush,
  isFaint: (figure: Figure) => boolean = () => false,
): string {
  return [
    ...signs.map((sign) => owned('figure sign', sign.with!, signMarkup(sign, brush))),
    ...figures.map((figure) => figureMarkup(figure, brush, isFaint(figure))),
  ].join('');
}

/** Lines between figures, those of the step that was done last set apart. */
export function linksMarkup(links: readonly SheetLink[], step: number, brush: Brush): string {
  return links
    .map((link) => {
      const { path } = linkPath(link);
      const { x, y } = linkLabelAt(link);
      const label = link.label
        ? `<text${brush.look({ part: 'label' })} x="${size(x)}" y="${size(y)}" font-size="${LABEL_SIZE}">${escaped(link.label)}</text>`
        : '';
      const look = brush.look({ part: 'link', isNew: link.step === step });
      return `<g><path${look} d="${path}"/>${label}</g>`;
    })
    .join('');
}

/** Small explanations at the side. */
export function notesMarkup(notes: readonly SheetNote[], brush: Brush): string {
  return notes
    .map(
      ({ x, y, text, size: own = NOTE_SIZE, isWrong = false }) =>
        `<text${brush.look({ part: 'note', isWrong })} x="${size(x)}" y="${size(y + 0.5 + own * 0.36)}" font-size="${size(own)}">${escaped(onPaper(text, brush.notation))}</text>`,
    )
    .join('');
}

/** A dot where the work for an owed amount will go; it can be pointed at before and after. */
function slotMarkup({ entry, x, y, width, height, dot }: SheetSlot): string {
  const middle = dot
    ? `<circle cx="${size(x + width / 2)}" cy="${size(y + height / 2)}" r="0.07"/>`
    : '';
  return owned('slot', entry, touch({ x, y, width, height }) + middle);
}

function owned(name: string, entry: EntryId, parts: string): string {
  return `<g class="${name}" data-entry="${entry}">${parts}</g>`;
}

function signMarkup(sign: SheetSign, brush: Brush): string {
  const middle = sign.sign === 'words' ? 0 : sign.width / 2;
  const [x, y] = [sign.x + middle, sign.y + sign.height / 2 + 0.36 * signSize(sign)];
  const glyph = escaped(signGlyph(sign, brush.notation));
  return `<text${brush.look({ part: 'sign', sign: sign.sign })} x="${size(x)}" y="${size(y)}" font-size="${size(signSize(sign))}">${glyph}</text>`;
}

/** One given or mark; a struck one stays legible under its stroke. */
function figureMarkup(figure: Figure, brush: Brush, faint: boolean): string {
  const { box, bars, place, entry, kind } = figure;
  const parts = [
    ...(brush.pointable ? [touch(box)] : []),
    ...textsOf(figure, brush, faint),
    ...bars.map((bar) => stroke(bar, brush.look({ part: 'bar', faint }))),
  ];
  if (brush.notches && figure.notches.length > 0) {
    const lines = figure.notches.map((notch) => stroke(notch, '')).join('');
    parts.push(`<g${brush.look({ part: 'notch', place: place ?? 0 })}>${lines}</g>`);
  }
  parts.push(...emphasis(figure, brush, faint));
  if (brush.strikes(entry)) parts.push(strikeMarkup(figure, brush, faint));
  return owned(`figure ${kind}`, entry, parts.join(''));
}

function textsOf(
  { texts, size: high, lettered }: Figure,
  brush: Brush,
  faint: boolean,
): readonly string[] {
  const look = brush.look({ part: 'figure', faint });
  return texts.map(({ x, y, text, size: own = high }) => {
    const runs = letterRuns(onPaper(text, brush.notation), lettered).map(
      ({ text: run, isLetter }) =>
        isLetter
          ? `<tspan${brush.look({ part: 'letters' })}>${escaped(run)}</tspan>`
          : escaped(run),
    );
    return `<text${look} x="${size(x)}" y="${size(y + own * 0.36)}" font-size="${size(own)}">${runs.join('')}</text>`;
  });
}

/** A ring around a number that will be added, an underline shared with others, a line below. */
function emphasis(
  { box, ringed, alike, underlined }: Figure,
  { look }: Brush,
  faint: boolean,
): readonly string[] {
  const { x, y, width, height } = box;
  const ring = `<rect${look({ part: 'ring', faint })} x="${size(x + 0.06)}" y="${size(y + 0.1)}" width="${size(width - 0.12)}" height="${size(height - 0.2)}" rx="0.4"/>`;
  const dashes =
    alike && alike.dashes.length > 0 ? ` stroke-dasharray="${alike.dashes.join(' ')}"` : '';
  return [
    ...(ringed ? [ring] : []),
    ...(alike ? [`<path${look({ part: 'alike', faint })} d="${alike.path}"${dashes}/>`] : []),
    ...(underlined
      ? [stroke({ x, y: y + height, length: width }, look({ part: 'under', faint }))]
      : []),
  ];
}

function strikeMarkup(
  { box, strike: { middle, across, up } }: Figure,
  { look }: Brush,
  faint: boolean,
): string {
  const y = box.y + box.height / 2;
  return `<line${look({ part: 'strike', faint })} x1="${size(middle - across)}" y1="${size(y + up)}" x2="${size(middle + across)}" y2="${size(y - up)}"/>`;
}

function stroke({ x, y, length }: Notch, look: string): string {
  return `<line${look} x1="${size(x)}" y1="${size(y)}" x2="${size(x + length)}" y2="${size(y)}"/>`;
}

/** What can be pointed at. */
function touch({ x, y, width, height }: Figure['box']): string {
  return `<rect class="touch" x="${size(x)}" y="${size(y)}" width="${size(width)}" height="${size(height)}"/>`;
}

/** A length in squares, to a thousandth. */
export function size(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};

/** A text that can stand in mark-up. */
export function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (sign) => ENTITIES[sign]!);
}
