import { stagedId } from '../account/ids.ts';
import { pointRule } from '../problem/kinds.ts';
import type { EntryId, Given, Mark, Trace } from '../account/account.ts';
import { numberText, numeralText, placeValue } from '../exact/numeral.ts';
import { problemSign } from '../problem/problem.ts';
import type { Scale } from '../problem/scale.ts';
import { movedParts } from './moved-sheet.ts';
import type { Sheet, SheetCell, SheetSign } from './sheet.ts';

/** How a method lays out a work of whole numbers in one stage. */
type Layout = (trace: Trace) => Sheet;

/**
 * The paper of a whole work: the papers of its stages under each other; points drawn into the columns of
 * sums and differences; over a product of decimals its scale, and under it the answer with its point.
 */
export function sheetOf(layout: Layout, trace: Trace): Sheet {
  const { scale, problem } = trace;
  if (!scale) return stackedSheet(layout, trace);
  const whole = { ...trace, problem: scale.whole };
  if (pointRule(problem.kind) === 'lined-up') {
    return withPoints(stackedSheet(layout, whole), trace, scale);
  }
  const point = trace.steps.at(-1)!.gives.find(({ spot }) => spot.area === 'point');
  return withScale(stackedSheet(layout, trace.whole!), trace, scale, point);
}

const GAP = 1;

function stackedSheet(layout: Layout, trace: Trace): Sheet {
  if (trace.stages.length === 0) return layout(trace);
  const sheets = trace.stages.map((stage) => {
    const sheet = layout(stage.trace);
    const name = (id: EntryId) => stagedId(stage.prefix, id);
    return {
      ...sheet,
      cells: sheet.cells.map((cell) => ({ ...cell, entry: name(cell.entry) })),
      slots: sheet.slots.map((slot) => ({ ...slot, entry: name(slot.entry) })),
      signs: sheet.signs.map((sign) => (sign.with ? { ...sign, with: name(sign.with) } : sign)),
      notes: sheet.notes.map((note) => ({ ...note, marks: note.marks.map(name) })),
      links: sheet.links.map((link) => ({ ...link, step: link.step + stage.before })),
    };
  });
  const width = Math.max(...sheets.map((sheet) => sheet.width));
  let y = 0;
  const moved = sheets.map((sheet) => {
    const at = movedSheet(sheet, width - sheet.width, y);
    y += sheet.height - GAP;
    return at;
  });
  return {
    width,
    height: y + GAP,
    cells: moved.flatMap(({ cells }) => cells),
    slots: moved.flatMap(({ slots }) => slots),
    rulings: moved.flatMap(({ rulings }) => rulings),
    signs: moved.flatMap(({ signs }) => signs),
    notes: moved.flatMap(({ notes }) => notes),
    links: moved.flatMap(({ links }) => links),
  };
}

/** The sheet with everything on it moved to the right and down. */
function movedSheet(sheet: Sheet, dx: number, dy: number): Sheet {
  return { ...movedParts(sheet, dx, dy), width: sheet.width + dx, height: sheet.height + dy };
}

/** A point in every row of figures that reaches over it, also where the figures are still to come. */
function withPoints(sheet: Sheet, trace: Trace, { decimals }: Scale): Sheet {
  const written = new Map<EntryId, Mark | Given>(
    [...trace.givens, ...trace.steps.flatMap(({ gives }) => gives)].map((of) => [of.id, of]),
  );
  const rows = new Map<string, SheetCell[]>();
  let column: number | null = null;
  for (const cell of sheet.cells) {
    const of = written.get(cell.entry);
    if (!of || cell.size !== 'full' || cell.held || of.role === 'regrouped digit') continue;
    if (!cell.spread && !isFigure(of)) continue;
    // Behind the ones themselves, since other marks may stand between them and the tenths.
    if (of.place === decimals && !cell.spread) column ??= cell.x + cell.width;
    const key = `${of.spot.area} ${cell.y}`;
    rows.set(key, [...(rows.get(key) ?? []), cell]);
  }
  if (column === null) return sheet;
  const at = column - 0.5;
  const points = [...rows.values()]
    .filter((cells) => reachesOver(cells, at + 0.5))
    .map(([cell]): SheetSign => ({
      sign: 'point',
      x: at,
      y: cell!.y,
      width: 1,
      height: cell!.height,
    }));
  return { ...sheet, signs: [...sheet.signs, ...points] };
}

/** Whether there are figures on both sides of a column's edge. */
function reachesOver(cells: readonly SheetCell[], edge: number): boolean {
  return cells.some(({ x }) => x < edge) && cells.some(({ x, width }) => edge < x + width);
}

/** A single figure in its place: neither a number that shows its own point nor a signed difference. */
function isFigure({ place, glyph, role }: Mark | Given): boolean {
  return place !== undefined && glyph.length === 1 && role !== 'place total';
}

/** Room over the paper for how it is scaled, and under it for the answer with its point. */
function withScale(sheet: Sheet, trace: Trace, scale: Scale, point: Mark | undefined): Sheet {
  const text = scaleText(trace, scale);
  const answer = point ? Math.ceil(point.glyph.length * 0.8) : 0;
  const needed = Math.max(Math.ceil(text.length * 0.42) + 2, answer + 2);
  const moved = movedSheet(sheet, Math.max(0, needed - sheet.width), 1);
  const caption: SheetSign = {
    sign: 'caption',
    text,
    x: 1,
    y: 0.6,
    width: moved.width - 2,
    height: 1,
  };
  const below: SheetCell[] = point
    ? [
        {
          entry: point.id,
          x: moved.width - 1 - answer,
          y: moved.height - 0.5,
          width: answer,
          height: 1,
          size: 'full',
          spread: false,
          held: false,
          beside: false,
          align: 'right',
          ringed: false,
          underlined: false,
        },
      ]
    : [];
  return {
    ...moved,
    height: moved.height + 1,
    cells: [...moved.cells, ...below],
    signs: [...moved.signs, caption],
  };
}

/** `3.6 × 20.5 is 36 × 205 ÷ 100`. */
function scaleText({ problem }: Trace, { whole, decimals }: Scale): string {
  const sign = ` ${problemSign(problem.kind)} `;
  const [given, worked] = [problem, whole].map(({ operands }) =>
    operands.map(numeralText).join(sign),
  );
  return `${given} = ${worked} ÷ ${numberText(placeValue(problem.base, decimals), problem.base)}`;
}
