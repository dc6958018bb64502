import type { EntryId, Mark, Trace } from '../../account/account.ts';
import { isBeside, type LineMark } from '../../account/line-mark.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue } from '../../exact/numeral.ts';
import { numberOf, productNode, termsOf, type Node, type Term } from '../../line/node.ts';
import { leavesOf } from '../../line/numbers-in.ts';
import { problemExpression } from '../../problem/problem.ts';
import { sideOf } from '../../account/line-sides.ts';
import { countsOfLines, type LineCounts } from '../../line/counts.ts';

/** Three measures are read off the same counts, which are made once for work. */
const COUNTED = new WeakMap<Trace, LineCounts>();

/** Facts, additions and carries of someone's own lines, counted from the lines as they stand. */
export function ownCounts(trace: Trace): LineCounts {
  const known = COUNTED.get(trace) ?? counted(trace);
  COUNTED.set(trace, known);
  return known;
}

type Lines = readonly (readonly Term[])[];

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
function chainOf(rewritten: readonly Row[], hasAside: boolean, trace: Trace): Lines {
  const [first] = rewritten;
  if (!first && hasAside) return [];
  const taken = first && hasAside ? takenBy(first, trace) : null;
  return [
    taken ?? termsOf(problemExpression(trace.problem)),
    ...rewritten.flatMap(sidesOf).map(termsOfRow),
  ];
}

type Row = readonly (Mark & { readonly line: LineMark })[];

/** The lines of the paper in their order, each with its marks from the left. */
function rowsOf({ steps }: Trace): readonly Row[] {
  const rows = new Map<number, Row>();
  for (const mark of steps.flatMap(({ gives }) => gives).filter(isOnLine)) {
    if (mark.spot.area !== 'lines') continue;
    rows.set(mark.spot.row, [...(rows.get(mark.spot.row) ?? []), mark]);
  }
  return [...rows]
    .sort(([a], [b]) => a - b)
    .map(([, own]) => [...own].sort((a, b) => a.spot.column - b.spot.column));
}

function isOnLine(mark: Mark): mark is Row[number] {
  return mark.line !== undefined;
}

/** Whether a line is a statement, a pair or jumps, and no rewriting of all that was there. */
function isAside(row: Row, { answer, total }: Trace): boolean {
  if (row.some(({ hop, line }) => hop !== undefined || isBeside(line))) return true;
  const [first, ...more] = sidesOf(row);
  const worth = Exact.sum(first!.map((mark) => mark.worth));
  return more.length > 0 && !worth.equals(answer) && !worth.equals(total);
}

/** What stands aside on a line, each with what is worked out of it; none for a rewriting. */
function asideIn(row: Row, trace: Trace): readonly Lines[] {
  if (!isAside(row, trace)) return [];
  const [only, ...more] = row;
  const { stands } = only!.line;
  if (stands.kind !== 'statement' && row.some(({ hop }) => hop))
    return row.flatMap((mark) => jumpIn(mark, trace.problem.base));
  if (more.length > 0) return [sidesOf(row).map(termsOfRow)];
  return stands.kind === 'statement' ? statementsIn(stands.sides) : [pairIn(only!, trace)];
}

/** Each side of a statement with the number that stands for it behind the next equals sign: 6 + 8 = 14 + 5 = 19. */
function statementsIn(sides: Lines): readonly Lines[] {
  return sides.slice(1).map((side, k) => {
    const [first] = leavesOf(side);
    return [sides[k]!, first ? [{ minus: side[0]!.minus, node: first }] : side];
  });
}

/** Pairs that share their line with others are passed in the head. */
function pairsPassed(trace: Trace): readonly Lines[] {
  return trace.steps
    .flatMap(({ gives }) => gives)
    .filter(isOnLine)
    .filter(({ spot, line }) => spot.area === 'between' && line.stands.kind === 'pair')
    .map((mark) => pairIn(mark, trace));
}

/** A jump is added to, or taken from, where it begins. */
function jumpIn({ hop }: Mark, base: number): readonly Lines[] {
  if (!hop) return [];
  const { from, to } = hop;
  const size = to.minus(from);
  const jump = { minus: size.isNegative, node: numberOf(size.absolute(), base) };
  return [[[plus(numberOf(from, base)), jump], [plus(numberOf(to, base))]]];
}

/** A pair is put together of others, or is so many times what one is. */
function pairIn(mark: Row[number], trace: Trace): Lines {
  const { terms, stands } = mark.line;
  const own = takenBy([mark], trace);
  if (own !== null || stands.kind !== 'pair') return own === null ? [] : [own, terms];
  const { kind, base, operands } = trace.problem;
  const factors = operands.map(numeralValue);
  const last = factors.at(-1)!;
  // A pair of a product counts one factor: the other one is what one of it makes.
  const isShare = kind === 'quotient';
  const isThat = (by: Exact) => stands.left.times(by).equals(mark.worth);
  const other = isShare ? last : (factors.find(isThat) ?? last);
  const both = [stands.left, other].map((amount) => ({
    under: false,
    node: numberOf(amount, base),
  }));
  return [[plus(productNode(both))], terms];
}

/** What the steps of a line take, as one line; null where it is not all written before. */
function takenBy(row: Row, { steps }: Trace): readonly Term[] | null {
  const own = new Set<EntryId>(row.map(({ id }) => id));
  const given = new Map(steps.flatMap(({ gives }) => gives.map((mark) => [mark.id, mark])));
  const marks = steps
    .filter(({ gives }) => gives.some(({ id }) => own.has(id)))
    .flatMap(({ takes }) => takes)
    .filter((id) => !own.has(id))
    .map((id) => given.get(id));
  if (marks.length === 0 || marks.includes(undefined)) return null;
  return marks.flatMap((mark) => mark?.line?.terms ?? []);
}

/** The sides of the equals signs of a line. */
function sidesOf(row: Row): readonly Row[] {
  const sides = new Map<number, Row>();
  for (const mark of row) {
    const side = sideOf(mark);
    sides.set(side, [...(sides.get(side) ?? []), mark]);
  }
  return [...sides.values()];
}

function termsOfRow(row: Row): readonly Term[] {
  return row.flatMap(({ line: { terms, stands } }) =>
    stands.kind === 'terms' ? stands.terms : terms,
  );
}

function plus(node: Node): Term {
  return { minus: false, node };
}
