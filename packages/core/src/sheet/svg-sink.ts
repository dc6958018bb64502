import type { EntryId, Trace } from '../account/account.ts';
import { inNotation, PLAIN_NOTATION, type Notation } from '../exact/notation.ts';
import { drawSheet, letterRuns, type Figure } from './drawing.ts';
import { escaped, size } from './markup.ts';
import { isLinkShown, linkPath, signGlyph, signSize, type Sheet } from './sheet.ts';
import { givenState, markState, timeline, type MarkState } from './visible.ts';

export interface SvgOptions {
  /** How many steps are done; all of them when absent. */
  readonly step?: number;
  /** Pixels a square is wide. */
  readonly square?: number;
  readonly notation?: Notation;
  readonly notes?: boolean;
  readonly notches?: boolean;
  readonly title?: string;
}

const INK = '#1d2a35';
const FAINT = '#6b7780';
const GRID = '#e4e1d6';
const PAPER = '#fefdf9';

/** A sheet as a self-contained SVG document in the look of the screen. */
export function sheetSvg(sheet: Sheet, trace: Trace, options: SvgOptions = {}): string {
  const {
    step = trace.steps.length,
    square = 28,
    notation = PLAIN_NOTATION,
    notes = true,
    notches = true,
  } = options;
  const drawing = drawSheet(sheet, trace);
  const line = timeline(trace);
  const givens = new Set(trace.givens.map((given) => given.id));
  const body: string[] = [];
  const isShown = (marks: readonly EntryId[]) =>
    marks.some((id) => (line.writtenAt.get(id) ?? Infinity) <= step);
  for (const { x1, y1, x2, y2, weight } of drawing.rulings) {
    body.push(
      `<line x1="${size(x1)}" y1="${size(y1)}" x2="${size(x2)}" y2="${size(y2)}" stroke="${INK}" stroke-width="${weight === 'heavy' ? 0.06 : 0.035}"/>`,
    );
  }
  for (const link of drawing.links.filter((one) => notes && isLinkShown(one, step))) {
    const { path, x, y } = linkPath(link);
    body.push(`<path d="${path}" stroke="${FAINT}" stroke-width="0.045" fill="none"/>`);
    if (link.label) body.push(text(x, y, 0.42, link.label, FAINT));
  }
  for (const sign of drawing.signs) {
    if (sign.with && !isShown([sign.with])) continue;
    const glyph = signGlyph(sign, notation);
    body.push(text(sign.x + sign.width / 2, sign.y + sign.height / 2, signSize(sign), glyph, INK));
  }
  for (const figure of drawing.figures) {
    const state = givens.has(figure.entry)
      ? givenState(line, figure.entry, step)
      : markState(line, figure.entry, step);
    if (state !== 'absent') body.push(figureSvg(figure, state, notches, notation));
  }
  for (const note of notes ? drawing.notes : []) {
    if (!isShown(note.marks)) continue;
    const words = inNotation(note.text, notation);
    body.push(text(note.x, note.y + 0.5, 0.5, words, FAINT, 'start'));
  }
  return page(drawing.width, drawing.height, square, body, options.title ?? trace.method);
}

function figureSvg(
  figure: Figure,
  state: MarkState,
  withNotches: boolean,
  notation: Notation,
): string {
  const faint = state === 'struck' || figure.kind === 'small' || figure.kind === 'held';
  const colour = faint ? FAINT : INK;
  const parts = figure.texts.map(({ x, y, text: glyph }) =>
    text(x, y, figure.size, inNotation(glyph, notation), colour, 'middle', figure.lettered),
  );
  for (const { x, y, length } of figure.bars) {
    parts.push(
      `<line x1="${size(x)}" y1="${size(y)}" x2="${size(x + length)}" y2="${size(y)}" stroke="${colour}" stroke-width="0.05"/>`,
    );
  }
  if (withNotches) {
    for (const { x, y, length } of figure.notches) {
      parts.push(
        `<line x1="${size(x)}" y1="${size(y)}" x2="${size(x + length)}" y2="${size(y)}" stroke="${colour}" stroke-width="0.06" stroke-linecap="round"/>`,
      );
    }
  }
  if (state === 'struck') {
    const { middle: cx, across: rx, up: ry } = figure.strike;
    const cy = figure.box.y + figure.box.height / 2;
    parts.push(
      `<line x1="${size(cx - rx)}" y1="${size(cy + ry)}" x2="${size(cx + rx)}" y2="${size(cy - ry)}" stroke="${INK}" stroke-width="0.045"/>`,
    );
  }
  if (figure.ringed) {
    const { x, y, width, height } = figure.box;
    parts.push(
      `<rect x="${size(x + 0.05)}" y="${size(y + 0.08)}" width="${size(width - 0.1)}" height="${size(height - 0.16)}" rx="0.4" fill="none" stroke="${INK}" stroke-width="0.045"/>`,
    );
  }
  if (figure.alike) {
    const { path, dashes } = figure.alike;
    parts.push(
      `<path d="${path}" stroke="${INK}" stroke-width="0.04" stroke-dasharray="${dashes.join(' ')}" fill="none"/>`,
    );
  }
  if (figure.underlined) {
    const { x, y, width, height } = figure.box;
    parts.push(
      `<line x1="${size(x)}" y1="${size(y + height)}" x2="${size(x + width)}" y2="${size(y + height)}" stroke="${INK}" stroke-width="0.05"/>`,
    );
  }
  return `<g data-entry="${figure.entry}">${parts.join('')}</g>`;
}

function text(
  x: number,
  y: number,
  high: number,
  glyph: string,
  colour: string,
  anchor = 'middle',
  lettered = false,
): string {
  const shown = letterRuns(glyph, lettered).map(({ text: run, isLetter }) =>
    isLetter ? `<tspan font-style="italic">${run}</tspan>` : escaped(run),
  );
  return `<text x="${size(x)}" y="${size(y + high * 0.36)}" font-size="${size(high)}" text-anchor="${anchor}" fill="${colour}">${shown.join('')}</text>`;
}

function page(
  width: number,
  height: number,
  square: number,
  body: readonly string[],
  title: string,
): string {
  const across = Array.from({ length: height + 1 }, (_, y) => `M0 ${y}H${width}`).join('');
  const down = Array.from({ length: width + 1 }, (_, x) => `M${x} 0V${height}`).join('');
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width * square}" height="${height * square}" font-family="'Figtree Variable', Figtree, 'Segoe UI', sans-serif" font-variant-numeric="tabular-nums">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${width}" height="${height}" fill="${PAPER}"/>`,
    `<path d="${across}${down}" stroke="${GRID}" stroke-width="0.03" fill="none"/>`,
    ...body,
    '</svg>',
    '',
  ].join('\n');
}
