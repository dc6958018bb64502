import { owedTerm, termParts } from '../../account/ids.ts';
import type { EntryId, Given, Mark, Trace } from '../../account/account.ts';
import { boxRulings } from '../../sheet/box-rulings.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Box, Sheet, SheetLink, SheetNote, SheetSign } from '../../sheet/sheet.ts';
import { marksIn } from '../shared/place-columns.ts';
import { CORNER_NAMES, CORNERS } from './corners.ts';
import {
  BRACKET,
  bracketSigns,
  columnWidths,
  edgesOf,
  heightOf,
  inLine,
  termWidth,
} from './line-layout.ts';
import { likeTerms } from './term-list.ts';

/** The paper of two brackets multiplied: a grid where its products stand in cells. */
export function expandSheet(trace: Trace): Sheet {
  return trace.steps.some(({ about }) => about?.cell) ? gridSheet(trace) : arcsSheet(trace);
}

/** For marks that have like ones beside them, the number of their kind; it tells how they are underlined. */
export function kindsOf(marks: readonly Mark[]): ReadonlyMap<EntryId, number> {
  const kinds = likeTerms(marks).filter(({ members }) => members.length > 1);
  return new Map(
    kinds.flatMap(({ members }, kind) => members.map(({ id }) => [id, kind] as const)),
  );
}

/** How far the narrowest arc bends, the step to the next wider one, and what the widest may bend more, in squares. */
const ARC = 0.5;
const ARC_STEP = 0.42;
const ARC_MOST = 2.4;

/** Both brackets in a line with arcs between their terms, the products under them, then the result. */
function arcsSheet(trace: Trace): Sheet {
  const terms = (of: number) => trace.givens.filter(({ operand }) => operand === of);
  const [firsts, seconds] = [terms(0), terms(1)];
  const products = marksIn(trace, 'product');
  const answers = marksIn(trace, 'answer');
  const brackets = heightOf(trace.givens);
  const rows = Math.max(...products.map(({ spot }) => spot.row)) + 1;
  const first = edgesOf(columnWidths(firsts), firsts.length > 1 ? BRACKET : 0);
  const between = (firsts.length > 1 ? BRACKET : 0) + 0.2 + (seconds.length > 1 ? BRACKET : 0);
  const second = edgesOf(columnWidths(seconds), first.at(-1)! + between);
  const links = arcs(trace, (operand, part) => {
    const { spot } = trace.givens.find(({ id }) => id === `g${operand}.${part}`)!;
    const edges = operand === 0 ? first : second;
    return { ...inLine(edges, spot.column, 0, brackets), column: spot.column };
  });
  const below = Math.max(0.1, ...links.map(({ bow = 0 }) => bow)) + 0.5;
  const isLine = rows === 1;
  const named = isLine && isNamed(trace);
  const height = heightOf(products);
  const top = brackets + below + (named ? 1 : 0);
  const line = edgesOf(columnWidths(products, named ? 2 : 0), 1);
  const answerTop = top + rows * height + 0.4;
  const answer = edgesOf(widthsOf(answers), 1);
  const kinds = kindsOf(products);
  const spots = new Map(trace.steps.map(({ takes, gives }) => [takes[0], gives[0]?.spot]));
  const signs: SheetSign[] = [
    ...bracketsAround(firsts, first, brackets),
    ...bracketsAround(seconds, second, brackets),
    equals(top, height, products[0]),
    ...(answers.length > 0 ? [equals(answerTop, heightOf(answers), answers[0])] : []),
    ...(named ? foilNames(products, line, top) : []),
  ];
  return draftSheet(trace, {
    areas: {
      first: ({ column }) => inLine(first, column, 0, brackets),
      second: ({ column }) => inLine(second, column, 0, brackets),
      product: ({ row, column }, { id }) => ({
        ...inLine(line, column, top + row * height, height),
        ...alike(kinds, id),
      }),
      answer: ({ column }) => ({
        ...inLine(answer, answerColumn(answers, column), answerTop, heightOf(answers)),
        ringed: true,
      }),
    },
    slot: ({ id }) => {
      const spot = spots.get(id);
      return spot ? inLine(line, spot.column, top + spot.row * height, height) : null;
    },
    rulings: [],
    notes: signNotes(trace, ({ spot }) =>
      isLine
        ? { x: line[spot.column]! + 0.1, y: top - (named ? 1.5 : 0.55) }
        : { x: line.at(-1)! + 0.3, y: top + spot.row * height + (height - 1) / 2 },
    ),
    signs,
    links,
  });
}

/** Brackets are only around what has several terms. */
function bracketsAround(terms: readonly Given[], edges: readonly number[], height: number) {
  return terms.length > 1 ? bracketSigns(edges[0]!, edges.at(-1)!, 0, height) : [];
}

function isNamed({ steps }: Trace): boolean {
  return steps.some(({ about }) => about?.corner !== undefined);
}

function foilNames(
  products: readonly Mark[],
  line: readonly number[],
  top: number,
): readonly SheetSign[] {
  return CORNERS.map((corner) => CORNER_NAMES[corner]).flatMap((text, column): SheetSign[] => {
    if (!products.some(({ spot }) => spot.column === column)) return [];
    return [{ sign: 'caption', text, ...inLine(line, column, top - 1, 1) }];
  });
}

function alike(kinds: ReadonlyMap<EntryId, number>, id: EntryId) {
  const kind = kinds.get(id);
  return kind === undefined ? {} : { alike: kind };
}

function equals(y: number, height: number, mark: Mark | undefined): SheetSign {
  return { sign: 'equals', x: 0, y, width: 1, height, ...(mark ? { with: mark.id } : {}) };
}

/** Results stand one after the other, whatever kinds have cancelled between them. */
function answerColumn(answers: readonly Mark[], column: number): number {
  return answers.filter(({ spot }) => spot.column < column).length;
}

function widthsOf(answers: readonly Mark[]): readonly number[] {
  return answers.map(({ glyph }) => termWidth(glyph) + 0.3);
}

/** A small rule of signs beside the products in which minus meets minus, once in each place. */
function signNotes(
  { steps }: Trace,
  placeOf: (mark: Mark) => Pick<SheetNote, 'x' | 'y'>,
): readonly SheetNote[] {
  const byPlace = new Map<string, SheetNote>();
  for (const { law, gives, phase } of steps) {
    const [mark] = gives;
    if (law !== 'sign' || phase.kind !== 'products' || !mark) continue;
    const at = placeOf(mark);
    const marks = byPlace.get(`${at.x} ${at.y}`)?.marks ?? [];
    byPlace.set(`${at.x} ${at.y}`, { ...at, text: '− · − = +', marks: [...marks, mark.id] });
  }
  return [...byPlace.values()];
}

/** An arc for every product: those of the first term above, all others below; the wider, the further it bends. */
function arcs(
  trace: Trace,
  boxOf: (operand: number, part: number) => Box & { readonly column: number },
): readonly SheetLink[] {
  const owed = new Map(trace.start.map(({ id }) => [id as string, termParts(owedTerm(id) ?? '')]));
  const drawn = trace.steps.flatMap(({ number, takes, phase }) => {
    const [i, j] = owed.get(takes[0] ?? '') ?? [];
    if (phase.kind !== 'products' || i === undefined || j === undefined) return [];
    const [from, to] = [boxOf(0, i), boxOf(1, j)];
    const above = from.column === 0;
    const y = above ? from.y + 0.1 : from.y + from.height - 0.1;
    return [{ number, above, y, x1: from.x + from.width / 2, x2: to.x + to.width / 2 }];
  });
  return drawn.map(({ number, above, y, x1, x2 }): SheetLink => {
    const side = drawn.filter((other) => other.above === above);
    const narrower = side.filter((other) => other.x2 - other.x1 < x2 - x1).length;
    const step = Math.min(ARC_STEP, ARC_MOST / side.length);
    const bow = ARC + step * narrower;
    const label = String(number);
    return { step: number, stays: true, bow: above ? -bow : bow, label, x1, y1: y, x2, y2: y };
  });
}

/** The first bracket's terms on top, the second's at the side, products inside, the result below. */
function gridSheet(trace: Trace): Sheet {
  const heads = trace.givens.filter(({ operand }) => operand === 0);
  const sides = trace.givens.filter(({ operand }) => operand === 1);
  const cells = marksIn(trace, 'cell');
  const answers = marksIn(trace, 'answer');
  const side = Math.max(...sides.map(({ glyph }) => termWidth(glyph))) + 0.3;
  const top = heightOf(heads);
  const widths = heads.map(({ glyph, spot }) =>
    Math.max(
      2,
      termWidth(glyph) + 0.4,
      ...cells
        .filter((mark) => mark.spot.column === spot.column)
        .map((mark) => termWidth(mark.glyph) + 0.6),
    ),
  );
  const edges = edgesOf(widths);
  const height = 2;
  const bottom = sides.length * height;
  const answer = edgesOf(widthsOf(answers), 1 - side);
  const kinds = kindsOf(cells);
  return draftSheet(trace, {
    areas: {
      head: ({ column }) => inLine(edges, column, -top, top),
      side: ({ row }) => ({ x: -side, y: row * height, width: side, height }),
      cell: ({ row, column }, { id }) => ({
        ...inLine(edges, column, row * height, height),
        ...alike(kinds, id),
      }),
      answer: ({ column }) => ({
        ...inLine(answer, answerColumn(answers, column), bottom + 0.6, heightOf(answers)),
        ringed: true,
      }),
    },
    slot: (_, [i = 0, j = 0]) =>
      inLine(edges, heads.length - 1 - i, (sides.length - 1 - j) * height, height),
    rulings: boxRulings(edges, sides.length, height),
    notes: signNotes(trace, ({ spot }) => ({
      x: edges.at(-1)! + 0.3,
      y: spot.row * height + 0.5,
    })),
    signs: [
      { sign: 'times', x: -side, y: -top, width: side, height: top },
      ...(answers.length > 0
        ? [{ ...equals(bottom + 0.6, heightOf(answers), answers[0]), x: -side }]
        : []),
    ],
    links: diagonals(trace, edges, height),
  });
}

/** How far a stroke along a diagonal reaches into both cells, in squares. */
const STROKE = 0.45;

/** A stroke through the corner between cells that are put together and lie along a diagonal of the grid. */
function diagonals(trace: Trace, edges: readonly number[], height: number): readonly SheetLink[] {
  const cells = new Map(marksIn(trace, 'cell').map(({ id, spot }) => [id as string, spot]));
  return trace.steps.flatMap(({ number, phase, takes }) => {
    if (phase.kind !== 'gather') return [];
    const spots = takes.flatMap((id) => cells.get(id) ?? []);
    return spots.flatMap(({ row, column }): SheetLink[] => {
      if (!spots.some((other) => other.row === row + 1 && other.column === column - 1)) return [];
      const [x, y] = [edges[column]!, (row + 1) * height];
      const ends = { x1: x + STROKE, y1: y - STROKE, x2: x - STROKE, y2: y + STROKE };
      return [{ step: number, stays: true, ...ends }];
    });
  });
}
