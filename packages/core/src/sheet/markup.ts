import type { EntryId } from '../account/account.ts';
import { inNotation, type Notation } from '../exact/notation.ts';
import { letterRuns, type Drawing, type Figure, type Notch } from './drawing.ts';
import { signGlyph, signSize, type SheetSign, type SheetSlot } from './sheet.ts';

/*
 * What of a drawing comes and goes with the steps, as SVG mark-up without a look of its own: names of classes say
 * what a thing is, `data-entry` whose it is. Written in one go, since a large paper has thousands of parts. Texts
 * are escaped.
 */

/** Where the work for what is owed will go. */
export function slotsMarkup(slots: readonly SheetSlot[]): string {
  return slots.map(slotMarkup).join('');
}

/** Figures, and signs that come with them. */
export function figuresMarkup(
  { signs, figures }: Pick<Drawing, 'signs' | 'figures'>,
  notation: Notation,
  notches: boolean,
  struck: (entry: EntryId) => boolean,
): string {
  return [
    ...signs.map((sign) => comingSign(sign, notation)),
    ...figures.map((figure) => figureMarkup(figure, notation, notches, struck(figure.entry))),
  ].join('');
}

/** A dot where the work for an owed amount will go; it can be pointed at before and after. */
function slotMarkup({ entry, x, y, width, height, dot }: SheetSlot): string {
  const middle = dot
    ? `<circle cx="${size(x + width / 2)}" cy="${size(y + height / 2)}" r="0.07"/>`
    : '';
  return `<g class="slot" data-entry="${entry}">${touch({ x, y, width, height })}${middle}</g>`;
}

/** A sign that comes with a mark. */
function comingSign(sign: SheetSign, notation: Notation): string {
  const [x, y] = [sign.x + sign.width / 2, sign.y + sign.height / 2 + 0.36 * signSize(sign)];
  const glyph = escaped(signGlyph(sign, notation));
  return `<g class="figure sign" data-entry="${sign.with}"><text x="${size(x)}" y="${size(y)}" font-size="${size(signSize(sign))}">${glyph}</text></g>`;
}

/** One given or mark; a struck one stays legible under its stroke, which only those have that are ever struck. */
function figureMarkup(
  figure: Figure,
  notation: Notation,
  notches: boolean,
  isStruck: boolean,
): string {
  const { box, bars, place } = figure;
  const parts = [
    touch(box),
    ...textsOf(figure, notation),
    ...bars.map((bar) => stroke(bar, 'bar')),
  ];
  if (notches && figure.notches.length > 0) {
    const lines = figure.notches.map((notch) => stroke(notch, '')).join('');
    parts.push(`<g class="notch place-${(((place ?? 0) % 6) + 6) % 6}">${lines}</g>`);
  }
  parts.push(...emphasis(figure));
  if (isStruck) parts.push(strikeMarkup(figure));
  return `<g class="figure ${figure.kind}" data-entry="${figure.entry}">${parts.join('')}</g>`;
}

function textsOf({ texts, size: high, lettered }: Figure, notation: Notation): readonly string[] {
  return texts.map(({ x, y, text }) => {
    const runs = letterRuns(inNotation(text, notation), lettered).map(({ text: run, isLetter }) =>
      isLetter ? `<tspan class="letters">${escaped(run)}</tspan>` : escaped(run),
    );
    return `<text x="${size(x)}" y="${size(y + high * 0.36)}" font-size="${size(high)}">${runs.join('')}</text>`;
  });
}

/** A ring around a number that will be added, an underline shared with others, a line below. */
function emphasis({ box, ringed, alike, underlined }: Figure): readonly string[] {
  const { x, y, width, height } = box;
  const ring = `<rect class="ring" x="${size(x + 0.06)}" y="${size(y + 0.1)}" width="${size(width - 0.12)}" height="${size(height - 0.2)}" rx="0.4"/>`;
  const dashes =
    alike && alike.dashes.length > 0 ? ` stroke-dasharray="${alike.dashes.join(' ')}"` : '';
  return [
    ...(ringed ? [ring] : []),
    ...(alike ? [`<path class="alike" d="${alike.path}"${dashes}/>`] : []),
    ...(underlined ? [stroke({ x, y: y + height, length: width }, 'under')] : []),
  ];
}

function strikeMarkup({ box, strike: { middle, across, up } }: Figure): string {
  const y = box.y + box.height / 2;
  return `<line class="strike" x1="${size(middle - across)}" y1="${size(y + up)}" x2="${size(middle + across)}" y2="${size(y - up)}"/>`;
}

function stroke({ x, y, length }: Notch, name: string): string {
  const own = name === '' ? '' : ` class="${name}"`;
  return `<line${own} x1="${size(x)}" y1="${size(y)}" x2="${size(x + length)}" y2="${size(y)}"/>`;
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
