import type { EntryId, Trace } from '../account/account.ts';
import { PLAIN_NOTATION, type Notation } from '../exact/notation.ts';
import { fileBrush } from './brush.ts';
import { drawSheet } from './drawing.ts';
import { framedColour, framedEdges, framedTextures, type Framed } from './framed.ts';
import {
  escaped,
  figuresMarkup,
  linksMarkup,
  notesMarkup,
  rulingsMarkup,
  signsMarkup,
} from './markup.ts';
import { isLinkShown, type Sheet } from './sheet.ts';
import { givenState, markState, timeline } from './visible.ts';

export interface SvgOptions {
  /** How many steps are done; all of them when absent. */
  readonly step?: number;
  /** Pixels a square is wide. */
  readonly square?: number;
  readonly notation?: Notation;
  readonly notes?: boolean;
  readonly notches?: boolean;
  readonly title?: string;
  /** Amounts that are framed. */
  readonly framed?: readonly Framed[];
}

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
    framed = [],
  } = options;
  const { width, height, rulings, signs, figures, ...drawing } = drawSheet(sheet, trace);
  const line = timeline(trace);
  const givens = new Set(trace.givens.map((given) => given.id));
  const stateOf = (entry: EntryId) =>
    givens.has(entry) ? givenState(line, entry, step) : markState(line, entry, step);
  const isShown = (entry: EntryId) => (line.writtenAt.get(entry) ?? Infinity) <= step;
  const brush = fileBrush({
    notation,
    notches,
    strikes: (entry) => stateOf(entry) === 'struck',
  });
  const coming = {
    signs: signs.filter((sign) => sign.with && isShown(sign.with)),
    figures: figures.filter(({ entry }) => stateOf(entry) !== 'absent'),
  };
  const body = [
    framedTextures(framed, 1, framedColour),
    rulingsMarkup(rulings, brush),
    signsMarkup(signs, brush),
    figuresMarkup(
      coming,
      brush,
      ({ entry, kind }) => stateOf(entry) === 'struck' || kind === 'small' || kind === 'held',
    ),
  ];
  if (notes) {
    const said = drawing.notes.filter(({ marks }) => marks.length === 0 || marks.some(isShown));
    const links = drawing.links.filter((link) => isLinkShown(link, step));
    body.push(notesMarkup(said, brush), linksMarkup(links, step, brush));
  }
  body.push(framedEdges(framed, 1, framedColour));
  return page(width, height, square, body, options.title ?? trace.method);
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
    ...body.filter((part) => part !== ''),
    '</svg>',
    '',
  ].join('\n');
}
