import { isTaken } from '../../problem/problem.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet, SheetSign } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { marksIn } from '../shared/place-columns.ts';
import { combineKind, groupKinds, nothing, termWriting } from './gather.ts';
import { openTerms, turnTerm, type AskedTerm } from './like-work.ts';
import { BRACKET, edgesOf, heightOf, inLine, termWidth } from './line-layout.ts';
import { KIND_SLIPS } from './letter-slips.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import { FIRST_TERM_ONLY, MINUS_TWICE, UNLIKE_GATHERED } from './schools.ts';
import { acceptsTerms, inOrder, inRow } from './term-list.ts';

const { phrase } = polynomialPhrases;

export const likeTermsColumns = defineMethod({
  id: 'like-terms-columns',
  family: 'polynomials',
  name: 'Like terms in columns',
  shortName: 'In columns',
  alsoCalled: ['vertical addition of polynomials', 'column form for polynomials'],
  summary:
    'A column for every power, with gaps where one is missing; a bracket that is taken away is rewritten with every sign turned.',
  why: 'Like terms are under each other as like places are in a sum of numbers; here no column passes anything on.',
  leadsTo: 'Dividing one polynomial by another, which keeps these columns.',
  medium: 'on paper',
  direction: 'column by column',
  freeOrder: false,
  schools: [
    {
      id: 'order',
      label: 'Columns',
      options: [
        {
          id: 'highest-first',
          label: 'highest power first',
          reason: 'The answer is written in the order in which it is read.',
        },
        {
          id: 'from-the-right',
          label: 'from the right',
          reason: 'As sums of numbers are worked, though nothing is carried here.',
        },
      ],
    },
  ],
  slips: [FIRST_TERM_ONLY, MINUS_TWICE, UNLIKE_GATHERED, ...KIND_SLIPS],
  phrases: polynomialPhrases.book,
  accepts: acceptsTerms('sum', 'difference'),
  work,
  sheet,
});

interface Placed {
  readonly asked: AskedTerm;
  readonly row: number;
  readonly column: number;
}

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const asked = openTerms(scribe, problem);
  const kinds = inOrder(asked.map(({ written }) => written));
  const { placed, turnedBelow } = placedIn(asked, kinds);
  const isFirst = (row: number, column: number) =>
    placed.every((other) => other.row !== row || other.column >= column);
  placed.forEach(({ asked: term, row, column }) => {
    const looks = inRow(term.turned ? term.written : term.entry.worth, isFirst(row, column));
    scribe.give(term.operand, term.part, 'operand part', { area: 'table', row, column }, looks);
  });
  const columns = kinds.map((): Entry[] => []);
  const turned = new Map<number, { readonly mark: Mark; readonly column: number }[]>();
  for (const { asked: term, row, column } of placed) {
    const at = { area: 'table', row: row + turnedBelow(term.operand), column };
    if (!term.turned) {
      columns[column]!.push(term.entry);
      continue;
    }
    const mark = turnTerm(scribe, term, isFirst(row, column), at);
    columns[column]!.push(mark);
    turned.set(term.operand, [...(turned.get(term.operand) ?? []), { mark, column }]);
  }
  for (const [operand, terms] of turned) takeAwayAgain(scribe, operand, terms, columns);
  groupKinds(
    scribe,
    kinds.map((letters, k) => ({ letters, members: columns[k]! })),
  );
  const inTurn = kinds.map((_, k) => k);
  if (school['order'] === 'from-the-right') inTurn.reverse();
  const made = new Map(
    inTurn.map((k, at) => [k, combined(scribe, kinds, columns, k, inTurn[at + 1])]),
  );
  const answer = kinds.flatMap((_, k) => made.get(k)!);
  return scribe.close(answer.length > 0 ? answer : [nothing(scribe)], phrase('terms.answer', {}));
}

/** Asks whether a row whose signs are turned is taken away all the same; its terms count with their old signs then. */
function takeAwayAgain(
  scribe: Scribe,
  operand: number,
  terms: readonly { readonly mark: Mark; readonly column: number }[],
  columns: readonly Entry[][],
): void {
  const live = terms.filter(({ mark }) => !mark.worth.isZero);
  const may = !Exact.sum(live.map(({ mark }) => mark.worth)).isZero;
  if (!scribe.slip(MINUS_TWICE.id, may, { at: where('operand', operand) })) return;
  const marks = scribe.step({
    law: 'sign',
    phase: { kind: 'signs' },
    takes: live.map(({ mark }) => mark),
    writes: live.map(({ mark }, k) => ({
      ...termWriting('turned term', mark.worth.negate(), false, {
        area: 'again',
        row: operand,
        column: k,
      }),
      from: [mark],
      medium: 'head' as const,
    })),
    phrase: phrase('terms.again', { terms: live.map(({ mark }) => mark.worth) }),
  });
  live.forEach(({ mark, column }, k) => {
    const entries = columns[column]!;
    entries[entries.indexOf(mark)] = marks[k]!;
  });
}

function combined(
  scribe: Scribe,
  kinds: readonly string[],
  columns: readonly Entry[][],
  k: number,
  next: number | undefined,
): readonly Mark[] {
  const members = columns[k]!;
  if (members.length === 0) return [];
  const other = next === undefined ? undefined : columns[next];
  const wrong = scribe.slip(UNLIKE_GATHERED.id, other !== undefined && other.length > 0, {
    at: scribe.kindWhere(kinds[k]!),
  });
  if (wrong) members.push(other!.shift()!);
  const before = columns.slice(0, k).map((terms) => Exact.sum(terms.map(({ worth }) => worth)));
  return combineKind(scribe, kinds[k]!, members, {
    isFirst: before.every(({ isZero }) => isZero),
    spot: { area: 'answer', row: 0, column: k },
    slip: wrong ? UNLIKE_GATHERED.id : '',
    strikes: false,
  });
}

/**
 * A row for every bracket, single terms in one row as long as their columns are free, rows below a bracket
 * that is taken away for its turned signs.
 */
function placedIn(asked: readonly AskedTerm[], kinds: readonly string[]) {
  const placed: Placed[] = [];
  const turned = new Map<number, number>();
  let [from, to] = [0, 0];
  let before: AskedTerm | undefined;
  const isSingle = ({ operand }: AskedTerm) =>
    asked.filter((term) => term.operand === operand).length === 1;
  for (const term of asked) {
    const joins =
      before && (before.operand === term.operand || (isSingle(before) && isSingle(term)));
    if (!joins || (before && before.turned !== term.turned)) {
      from = before ? to + (before.turned ? to - from : 0) : 0;
      to = from;
    }
    const column = kinds.indexOf(term.written.letters);
    let row = from;
    while (placed.some((other) => other.row === row && other.column === column)) row++;
    to = Math.max(to, row + 1);
    placed.push({ asked: term, row, column });
    if (term.turned) turned.set(term.operand, to - from);
    before = term;
  }
  return { placed, turnedBelow: (operand: number) => turned.get(operand) ?? 0 };
}

function sheet(trace: Trace): Sheet {
  const { givens } = trace;
  const table = [...givens, ...marksIn(trace, 'table')];
  const answers = marksIn(trace, 'answer');
  const count = Math.max(...[...table, ...answers].map(({ spot }) => spot.column)) + 1;
  const widths = Array.from({ length: count }, (_, column) =>
    Math.max(
      1.5,
      ...[...table, ...answers]
        .filter(({ spot }) => spot.column === column)
        .map(({ glyph }) => termWidth(glyph) + 0.5),
    ),
  );
  const rows = Math.max(...table.map(({ spot }) => spot.row)) + 1;
  const heights = Array.from({ length: rows }, (_, row) =>
    heightOf(table.filter(({ spot }) => spot.row === row)),
  );
  const tops = edgesOf(heights);
  const edges = edgesOf(widths);
  const [right, bottom] = [edges.at(-1)!, tops.at(-1)!];
  const box = (row: number, column: number) => ({
    ...inLine(edges, column, tops[row]!, heights[row]!),
    align: 'right' as const,
  });
  return draftSheet(trace, {
    areas: {
      table: ({ row, column }) => box(row, column),
      answer: ({ column }) => ({
        ...inLine(edges, column, bottom + 0.1, heightOf(answers)),
        align: 'right' as const,
        ringed: true,
      }),
    },
    rulings: [{ kind: 'line', x1: -1.2, y1: bottom, x2: right, y2: bottom, weight: 'heavy' }],
    signs: takenRows(trace).flatMap(({ from, to, row }): SheetSign[] => {
      const [y, height] = [tops[row]!, heights[row]!];
      return [
        { sign: 'minus', x: -1.3, y, width: 0.8, height },
        { sign: 'open', x: edges[from]! - BRACKET, y, width: BRACKET, height },
        { sign: 'close', x: edges[to + 1]!, y, width: BRACKET, height },
      ];
    }),
  });
}

/** Rows that are taken away as a bracket, from their first to their last column. */
function takenRows({ givens, problem }: Trace) {
  const rows = problem.operands.flatMap((_, k) => {
    const own = givens.filter((given) => given.operand === k);
    return isTaken(problem, k) && own.length > 1
      ? [...new Set(own.map(({ spot }) => spot.row))].map((row) => ({ row, own }))
      : [];
  });
  return rows.map(({ row, own }) => {
    const columns = own.filter(({ spot }) => spot.row === row).map(({ spot }) => spot.column);
    return { row, from: Math.min(...columns), to: Math.max(...columns) };
  });
}
