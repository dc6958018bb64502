import type { EntryId, Mark, Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { numberText, numeral, numeralText, numeralValue, type Numeral } from '../exact/numeral.ts';
import { sideOf } from '../own/amounts/sides.ts';
import { countsOfLines, type LineCounts } from '../own/ways/cost.ts';
import { withoutBase } from '../own/displayed.ts';
import { problemText } from '../problem/problem.ts';

/** Three measures are read off the same counts, which are made once for work. */
const COUNTED = new WeakMap<Trace, LineCounts>();

/** Facts, additions and carries of someone's own lines, counted from the lines as they stand. */
export function ownCounts(trace: Trace): LineCounts {
  const known = COUNTED.get(trace) ?? counted(trace);
  COUNTED.set(trace, known);
  return known;
}

function counted(trace: Trace): LineCounts {
  const rows = rowsOf(trace);
  const aside = [...rows.flatMap((row) => asideIn(row, trace)), ...pairsPassed(trace)];
  const rewritten = rows.filter((row) => !isAside(row, trace));
  const all = [...aside, chainOf(rewritten, aside.length > 0, trace)].map((lines) =>
    countsOfLines(lines, trace.problem.base),
  );
  const sum = (of: (counts: LineCounts) => number) => all.reduce((so, one) => so + of(one), 0);
  return {
    facts: sum(({ facts }) => facts),
    additions: sum(({ additions }) => additions),
    regroupings: sum(({ regroupings }) => regroupings),
    held: Math.max(...all.map(({ held }) => held)),
  };
}

/** Rewritings in their order, behind what they begin with; what stands aside is put together in the first of them. */
function chainOf(rewritten: readonly Row[], hasAside: boolean, trace: Trace): readonly string[] {
  const [first] = rewritten;
  if (!first && hasAside) return [];
  const taken = first && hasAside ? takenBy(first, trace) : null;
  const lines = rewritten.flatMap(sidesOf).map(lineOf);
  const { problem } = trace;
  return [taken ?? withoutBase(problemText(problem), problem.base), ...lines];
}

type Row = readonly Mark[];

/** The lines of the paper in their order, each with its marks from the left. */
function rowsOf({ steps }: Trace): readonly Row[] {
  const marks = steps.flatMap(({ gives }) => gives).filter(({ spot }) => spot.area === 'lines');
  const rows = new Map<number, Mark[]>();
  for (const mark of marks) {
    const row = rows.get(mark.spot.row);
    if (row) row.push(mark);
    else rows.set(mark.spot.row, [mark]);
  }
  return [...rows]
    .sort(([a], [b]) => a - b)
    .map(([, own]) => own.sort((a, b) => a.spot.column - b.spot.column));
}

/** Whether a line is a statement, a pair or jumps, and no rewriting of all that was there. */
function isAside(row: Row, { answer, total }: Trace): boolean {
  if (row.some(({ hop, glyph }) => hop !== undefined || /[=|]/.test(glyph))) return true;
  const [first, ...more] = sidesOf(row);
  const worth = Exact.sum(first!.map((mark) => mark.worth));
  return more.length > 0 && !worth.equals(answer) && !worth.equals(total);
}

/** What stands aside on a line, each with what is worked out of it; none for a rewriting. */
function asideIn(row: Row, trace: Trace): readonly (readonly string[])[] {
  if (!isAside(row, trace)) return [];
  const [only] = row;
  if (row.some(({ hop }) => hop) && !only!.glyph.includes('='))
    return row.flatMap((mark) => jumpIn(mark, trace.problem.base));
  if (row.length > 1) return [sidesOf(row).map(lineOf)];
  if (only!.glyph.includes('=')) return statementsIn(only!.glyph);
  return [pairIn(only!, trace)];
}

/** Each side of a statement with the number that stands for it behind the next equals sign: 6 + 8 = 14 + 5 = 19. */
function statementsIn(text: string): readonly (readonly string[])[] {
  const sides = text.split(' = ');
  return sides.slice(1).map((side, k) => [sides[k]!, /^−?[\dA-F.]+/.exec(side)?.[0] ?? side]);
}

/** Pairs that share their line with others are passed in the head. */
function pairsPassed(trace: Trace): readonly (readonly string[])[] {
  const marks = trace.steps.flatMap(({ gives }) => gives);
  return marks
    .filter(({ spot, glyph }) => spot.area === 'between' && glyph.includes('|'))
    .map((mark) => pairIn(mark, trace));
}

/** A jump is added to, or taken from, where it begins. */
function jumpIn({ hop }: Mark, base: number): readonly (readonly string[])[] {
  if (!hop) return [];
  const { from, to } = hop;
  const size = to.minus(from);
  const write = (amount: Exact) => numberText(amount, base);
  const sign = size.isNegative ? '−' : '+';
  return [[`${write(from)} ${sign} ${write(size.absolute())}`, write(to)]];
}

/** A pair is put together of others, or is so many times what one is. */
function pairIn(mark: Mark, trace: Trace): readonly string[] {
  const own = takenBy([mark], trace);
  if (own !== null) return [own, mark.text];
  const { kind, base, operands } = trace.problem;
  const factor = operands.at(-1)!;
  const [left = ''] = mark.glyph.split(' | ');
  // A pair of a product counts one factor: the other one is what one of it makes.
  const isShare = kind === 'quotient';
  const other = isShare
    ? factor
    : (operands.find((own) => isTimes(left, own, mark, base)) ?? factor);
  return [`${left} × ${numeralText(other)}`, mark.text];
}

function isTimes(left: string, by: Numeral, { worth }: Mark, base: number): boolean {
  const number = /^[\dA-F]+(\.[\dA-F]+)?$/.test(left) ? numeralValue(numeral(left, base)) : null;
  return number?.times(numeralValue(by)).equals(worth) ?? false;
}

/** What the steps of a line take, as one line; null where it is not all written before. */
function takenBy(row: Row, { steps }: Trace): string | null {
  const own = new Set<EntryId>(row.map(({ id }) => id));
  const given = new Map(steps.flatMap(({ gives }) => gives.map((mark) => [mark.id, mark])));
  const taken = steps
    .filter(({ gives }) => gives.some(({ id }) => own.has(id)))
    .flatMap(({ takes }) => takes)
    .filter((id) => !own.has(id));
  const marks = taken.map((id) => given.get(id));
  return marks.length === 0 || marks.includes(undefined)
    ? null
    : joined((marks as readonly Mark[]).map(({ text }) => text));
}

/** The sides of the equals signs of a line. */
function sidesOf(row: Row): readonly Row[] {
  const sides = new Map<number, Mark[]>();
  for (const mark of row) {
    const side = sideOf(mark);
    sides.set(side, [...(sides.get(side) ?? []), mark]);
  }
  return [...sides.values()];
}

function lineOf(row: Row): string {
  return joined(row.map(({ glyph }) => glyph));
}

function joined(terms: readonly string[]): string {
  return terms
    .map((term, k) => {
      if (k === 0) return term;
      return term.startsWith('−') ? ` − ${term.slice(1).trim()}` : ` + ${term}`;
    })
    .join('');
}
