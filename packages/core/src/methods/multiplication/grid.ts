import { slipOf } from '../../slips/catalogue.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { digitAt, digitWorth, numeralValue, wholeText, worthAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { gridSheet } from './grid-sheet.ts';
import { cellFact } from './facts.ts';
import { ZERO_PARTS } from './schools.ts';
import {
  acceptsProduct,
  expandedPlaces,
  partText,
  twoFactors,
  type DigitPair,
  type TwoFactors,
} from './two-factors.ts';

type CellValues = {
  readonly left: number;
  readonly leftPlace: number;
  readonly right: number;
  readonly rightPlace: number;
  /** What the fact is taken for. */
  readonly fact: number;
  readonly worth: Exact;
  readonly slip: string;
};

const cell: Wording<CellValues> = {
  digit: ({ left, right, fact, worth, slip }, say) => {
    if (slip === 'skip-product')
      return `The cell of ${say.number(left)} and ${say.number(right)} is left empty.`;
    return `${say.fact(left, right, fact)}: write **${say.amount(worth)}** in the cell.`;
  },
  value: ({ left, leftPlace, right, rightPlace, fact: taken, worth, slip }, say) => {
    const fact = say.placeFact(left, leftPlace, right, rightPlace, 1, taken);
    if (slip === 'skip-product') return `${fact}, but the cell is left empty.`;
    if (slip === 'drop-zeros') return `${fact}, but **${say.amount(worth)}** is written.`;
    return `${fact}: the cell holds **${say.amount(worth)}**.`;
  },
};

type TotalValues = {
  readonly heading: string;
  readonly parts: readonly Exact[];
  readonly total: Exact;
  /** The heading's part, the whole other factor, and which of the two factors the part is of. */
  readonly part: Exact;
  readonly other: Exact;
  readonly kept: number;
  readonly slip: string;
};

function sumText(parts: readonly Exact[], say: Parameters<typeof cell.digit>[1]): string {
  if (parts.length > 6) return `${parts.length} numbers`;
  return say.list(parts.map((part) => say.amount(part)));
}

function total(name: 'row' | 'column'): Wording<TotalValues> {
  const wrong = (slip: string, heading: string) =>
    slip === 'add-heading' ? ` The ${heading} at the edge is added too.` : '';
  return {
    digit: ({ heading, parts, total: sum, slip }, say) =>
      `${name === 'row' ? 'Row' : 'Column'} of ${heading}: ${sumText(parts, say)} ${parts.length > 1 ? 'are' : 'is'} **${say.amount(sum)}**.${wrong(slip, heading)}`,
    value: ({ total: sum, part, other, kept, slip }, say) => {
      const heading = say.factor(part, kept);
      const line = `${say.factor(other, 1 - kept)} ${say.times} ${heading}`;
      return `The ${name} of ${heading} gathers **${line}**: **${say.amount(sum)}**.${wrong(slip, heading)}`;
    },
  };
}

const phrases = definePhrases({
  'grid.cell': cell,
  'grid.row total': total('row'),
  'grid.column total': total('column'),
  'grid.list': plain(
    ({ count }: { count: number }, say) =>
      `The ${say.number(count)} products are copied under each other; their order does not matter.`,
  ),
  'grid.grand': {
    digit: ({ parts, total: sum }: { parts: readonly Exact[]; total: Exact }, say) =>
      `${sumText(parts, say)} are **${say.amount(sum)}**.`,
    value: ({ total: sum }: { parts: readonly Exact[]; total: Exact }, say) =>
      `Every cell is counted once: the whole rectangle is **${say.amount(sum)}**.`,
  },
  'grid.cell name': plain(
    ({ left, right }: { left: string; right: string }, say) => `cell ${left} ${say.times} ${right}`,
  ),
  'grid.row name': plain(({ heading }: { heading: string }) => `row of ${heading}, total`),
  'grid.column name': plain(({ heading }: { heading: string }) => `column of ${heading}, total`),
  'grid.row cells': plain(({ heading }: { heading: string }) => `cells of the row of ${heading}`),
  'grid.column cells': plain(
    ({ heading }: { heading: string }) => `cells of the column of ${heading}`,
  ),
  'grid.answer': fixed('answer of the grid'),
});

const { phrase } = phrases;

export const gridMultiplication = defineMethod({
  id: 'grid-multiplication',
  family: 'multiplication',
  name: 'Grid multiplication',
  shortName: 'Grid',
  alsoCalled: ['box method', 'area model with expanded factors'],
  mind: 'Some people call this partial products; that name is kept for the list of them.',
  summary:
    'Both factors in expanded form around a grid; a product in each cell; totals at the side.',
  why: 'A rectangle is made of the rectangles into which its sides cut it: the distributive law.',
  leadsTo: 'Brackets with letters: the same rectangle, with terms at its sides and no carrying.',
  medium: 'on paper',
  direction: 'free',
  freeOrder: true,
  hasCells: true,
  bridge: [{ method: 'expand-grid', school: {} }],
  schools: [
    {
      id: 'totals',
      label: 'Totals',
      options: [
        { id: 'rows', label: 'rows', reason: 'Row totals are the lines of the column form.' },
        {
          id: 'columns',
          label: 'columns',
          reason: 'Column totals are its lines with the factors swapped.',
        },
        {
          id: 'one-list',
          label: 'one list',
          reason: 'All products in one sum; nothing is gathered before.',
        },
      ],
    },
    ZERO_PARTS,
  ],
  slips: [
    {
      ...slipOf('drop-zeros'),
      mechanism: 'The digits are multiplied without their place: 32 in the cell of 40 and 8.',
    },
    {
      ...slipOf('skip-product'),
      label: 'Cell left empty',
      mechanism: 'A cell is overlooked and missing from its total.',
    },
    slipOf('add-heading'),
  ],
  linesLike: { rank: 7, moves: ['each-with-each'] },
  phrases: phrases.book,
  accepts: acceptsProduct,
  work,
  sheet: gridSheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const factors = twoFactors(problem);
  const zeros = school['zeros'] === 'written';
  const rows = expandedPlaces(factors.bottom, zeros);
  const columns = expandedPlaces(factors.top, zeros);
  scribe.openProduct(problem.operands, [columns, rows]);
  columns.forEach((i) => scribe.give(0, i, 'operand part', { area: 'head', row: 0, column: i }));
  rows.forEach((j) => scribe.give(1, j, 'operand part', { area: 'side', row: j, column: 0 }));

  const own = rows.flatMap((j) => columns.map((i): DigitPair => [i, j]));
  const cells = new Map<string, readonly Mark[]>();
  const totals: Mark[] = [];
  const gathered =
    school['totals'] === 'one-list'
      ? null
      : gatherings(school['totals'] === 'columns' ? 'column' : 'row', rows, columns, factors);
  const inOrder = scribe.ordered(own);
  for (const pair of inOrder) {
    cells.set(pair.join('.'), writeCell(scribe, factors, pair));
    const gathering = gathered?.(pair);
    if (!gathering || --gathering.missing > 0) continue;
    totals.push(...writeTotal(scribe, gathering, cells));
  }
  const products = inOrder.flatMap((pair) => cells.get(pair.join('.')) ?? []);
  const addends = school['totals'] === 'one-list' ? copyList(scribe, products) : totals;
  const answer = addends.length > 1 ? grandTotal(scribe, addends) : addends;
  return scribe.close(answer, phrase('grid.answer', {}));
}

function writeCell(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  [i, j]: DigitPair,
): readonly Mark[] {
  const left = digitAt(bottom, j);
  const right = digitAt(top, i);
  const fact = cellFact(scribe, [left, right], [i, j]);
  const dropped = scribe.slip('drop-zeros', fact > 0 && i + j > 0, { at: where('cell', i, j) });
  const skipped = scribe.slip('skip-product', fact > 0, { at: where('cell', i, j) });
  const zeros = dropped || fact === 0 ? 0 : i + j;
  const worth = worthAt(fact, scribe.base, zeros);
  const glyph = fact.toString(scribe.base).toUpperCase() + '0'.repeat(zeros);
  const writing: Writing = {
    role: 'product',
    count: fact,
    place: 0,
    glyph,
    worth,
    spot: { area: 'cell', row: j, column: i },
  };
  const marks = scribe.step({
    law: 'evaluate',
    phase: { kind: 'cells' },
    takes: [scribe.owes(i, j)],
    writes: skipped ? [] : [writing],
    phrase: phrase('grid.cell', {
      left,
      leftPlace: j,
      right,
      rightPlace: i,
      fact,
      worth,
      slip: skipped ? 'skip-product' : dropped ? 'drop-zeros' : '',
    }),
  });
  scribe.group(
    `cell-${i}.${j}`,
    'product',
    marks,
    phrase('grid.cell name', {
      left: partText(top, i),
      right: partText(bottom, j),
    }),
  );
  return marks;
}

/** The cells of one row or column, which get one total. */
interface Gathering {
  readonly name: 'row' | 'column';
  readonly place: number;
  readonly heading: string;
  readonly part: Exact;
  readonly other: Exact;
  readonly cells: readonly string[];
  /** How many of the cells are still empty. */
  missing: number;
}

/** Finds the row or column that a cell belongs to. */
function gatherings(
  name: 'row' | 'column',
  rows: readonly number[],
  columns: readonly number[],
  { top, bottom }: TwoFactors,
): (cell: DigitPair) => Gathering | undefined {
  const byRow = name === 'row';
  const [kept, other] = byRow ? [bottom, top] : [top, bottom];
  const across = byRow ? columns : rows;
  const made = new Map(
    (byRow ? rows : columns).map((place): [number, Gathering] => [
      place,
      {
        name,
        place,
        heading: partText(kept, place),
        part: digitWorth(kept, place),
        other: numeralValue(other),
        cells: across.map((k) => (byRow ? `${k}.${place}` : `${place}.${k}`)),
        missing: across.length,
      },
    ]),
  );
  return ([i, j]) => made.get(byRow ? j : i);
}

/** The total of a row or column, or the product itself when there is only one. */
function writeTotal(
  scribe: Scribe,
  gathering: Gathering,
  cells: ReadonlyMap<string, readonly Mark[]>,
): readonly Mark[] {
  const { name, place, heading, part, other } = gathering;
  const products = gathering.cells.flatMap((key) => cells.get(key) ?? []);
  if (gathering.cells.length === 1) return products;
  scribe.group(`${name}-cells-${place}`, name, products, phrase(`grid.${name} cells`, { heading }));
  const added = scribe.slip('add-heading', heading !== '0', {
    at: where('operand', name === 'row' ? 1 : 0, place),
  });
  const extra = added
    ? [
        Exact.of(BigInt(parseInt(heading[0]!, scribe.base))).times(
          worthAt(1, scribe.base, heading.length - 1),
        ),
      ]
    : [];
  const parts = products.map((mark) => mark.worth);
  const worth = Exact.sum([...parts, ...extra]);
  const marks = scribe.step({
    law: 'evaluate',
    phase: { kind: 'totals' },
    takes: products,
    writes: [
      whole(worth, scribe.base, {
        area: `${name}-total`,
        row: name === 'row' ? place : 0,
        column: name === 'row' ? 0 : place,
      }),
    ],
    phrase: phrase(`grid.${name} total`, {
      heading,
      parts,
      total: worth,
      part,
      other,
      kept: name === 'row' ? 1 : 0,
      slip: added ? 'add-heading' : '',
    }),
  });
  scribe.group(
    `${name}-total-${place}`,
    `${name} total`,
    marks,
    phrase(`grid.${name} name`, { heading }),
  );
  return marks;
}

function whole(
  worth: Exact,
  base: number,
  spot: Writing['spot'],
  role: Writing['role'] = 'subtotal',
): Writing {
  return { role, count: 0, place: 0, glyph: wholeText(worth, base), worth, spot };
}

/** Writes all products again as one list, for the one sum that follows. */
function copyList(scribe: Scribe, products: readonly Mark[]): readonly Mark[] {
  if (products.length < 2) return products;
  return scribe.step({
    law: 'reorder',
    phase: { kind: 'totals' },
    takes: products,
    writes: products.map((mark, row) => ({
      role: 'subtotal',
      count: 0,
      place: 0,
      glyph: mark.glyph,
      worth: mark.worth,
      spot: { area: 'list', row, column: 0 },
    })),
    phrase: phrase('grid.list', { count: products.length }),
  });
}

function grandTotal(scribe: Scribe, addends: readonly Entry[]): readonly Mark[] {
  const parts = addends.map((mark) => mark.worth);
  const total = Exact.sum(parts);
  return scribe.step({
    law: 'evaluate',
    phase: { kind: 'answer' },
    takes: addends,
    writes: [whole(total, scribe.base, { area: 'grand', row: 0, column: 0 }, 'answer')],
    phrase: phrase('grid.grand', { parts, total }),
  });
}
