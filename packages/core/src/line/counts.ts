import { Exact } from '../exact/exact.ts';
import { flat, type Factor, type Node, type NumberNode, type SumNode, type Term } from './node.ts';
import { leavesOf } from './numbers-in.ts';

/** A line as it is counted: its terms, or so many jumps from number to number. */
export type CountedLine = readonly Term[] | { readonly jumps: number };

/** What is counted of lines; line by line as they stand. */
export interface LineCounts {
  readonly facts: number;
  /** Sums and differences of two amounts that are worked out. */
  readonly additions: number;
  readonly regroupings: number;
  readonly held: number;
}

/** @param base in which the lines write their numbers. */
export function countsOfLines(lines: readonly CountedLine[], base: number): LineCounts {
  const counts = { facts: 0, additions: 0, regroupings: 0, held: 0 };
  lines.forEach((line, k) => {
    counts.held = Math.max(counts.held, heldIn(line, base));
    const next = lines[k + 1];
    if (!isTerms(line) || !next || !isTerms(next)) return;
    // What a line says is worked out where the next one has fewer numbers.
    if (leavesOf(next).length >= leavesOf(line).length) return;
    counts.facts += factsIn(line, base);
    counts.additions += Math.max(0, amountsIn(line) - amountsIn(next));
    counts.regroupings += regroupingsIn(line, next, base);
  });
  return counts;
}

function isTerms(line: CountedLine): line is readonly Term[] {
  return !('jumps' in line);
}

/** Amounts that are added or taken away in a line, those in brackets too. */
function amountsIn(terms: readonly Term[]): number {
  const inside = sumsIn(terms).map((sum) => sum.terms.length - 1);
  return terms.length + inside.reduce((all, count) => all + count, 0);
}

function sumsIn(terms: readonly Term[]): readonly SumNode[] {
  return terms.flatMap(({ node }) => {
    const parts = partsOf(node).map((part) => ({ minus: false, node: part }));
    return node.kind === 'sum' ? [node, ...sumsIn(node.terms)] : sumsIn(parts);
  });
}

/** What stands inside a node that is no sum. */
function partsOf(node: Node): readonly Node[] {
  switch (node.kind) {
    case 'product':
      return node.factors.map((factor) => factor.node);
    case 'power':
    case 'root':
    case 'opposite':
      return [node.of];
    default:
      return [];
  }
}

/** Terms that wait, and, while a product of several figures is worked out, its products of figures that wait too. */
function heldIn(line: CountedLine, base: number): number {
  if (!isTerms(line)) return line.jumps - 1;
  const waiting = runsIn(line).flatMap((run) =>
    pairsOf(run)
      .filter(([, b]) => !b.under)
      .map(([a, b]) => figures(a, base) * figures(b, base) - 1),
  );
  return amountsIn(line) - 1 + Math.max(0, ...waiting);
}

/** A number that multiplies or divides. */
interface NumberFactor {
  readonly under: boolean;
  readonly node: NumberNode;
}

/** Numbers that stand side by side as factors, in every product of a line; of fractions tops and bottoms apart. */
function runsIn(terms: readonly Term[]): readonly (readonly NumberFactor[])[] {
  return terms.flatMap(({ node }) => runsOf(node));
}

function runsOf(node: Node): readonly (readonly NumberFactor[])[] {
  if (node.kind === 'sum') return runsIn(node.terms);
  if (node.kind !== 'product') return partsOf(node).flatMap(runsOf);
  const inside = node.factors.flatMap((factor) => runsOf(factor.node));
  const sides = [topsOf(node.factors), bottomsOf(node.factors)];
  return [...sides.flatMap((side) => (side.length > 1 ? [side] : [])), ...inside];
}

function topsOf(factors: readonly Factor[]): readonly NumberFactor[] {
  return factors.flatMap(({ under, node }): readonly NumberFactor[] => {
    if (node.kind === 'number') return [{ under, node }];
    return node.kind === 'fraction' ? [{ under, node: node.top }] : [];
  });
}

function bottomsOf(factors: readonly Factor[]): readonly NumberFactor[] {
  return factors.flatMap(({ under, node }): readonly NumberFactor[] =>
    node.kind === 'fraction' ? [{ under, node: node.bottom }] : [],
  );
}

function pairsOf(run: readonly NumberFactor[]): readonly (readonly [NumberFactor, NumberFactor])[] {
  return run.flatMap((own, k) => (k === 0 ? [] : [[run[k - 1]!, own] as const]));
}

function factsIn(terms: readonly Term[], base: number): number {
  const each = runsIn(terms).flatMap((run) =>
    pairsOf(run).map(([a, b]) => figuresOver1(a, base) * figuresOver1(b, base)),
  );
  return each.reduce((all, count) => all + count, 0);
}

/** The figures of a number that are not nothing. */
function figuresIn({ node: { amount } }: NumberFactor, base: number): readonly string[] {
  return [...scaled(amount, base)].filter((figure) => figure !== '0');
}

function figures(factor: NumberFactor, base: number): number {
  return figuresIn(factor, base).length;
}

function figuresOver1(factor: NumberFactor, base: number): number {
  return figuresIn(factor, base).filter((figure) => figure !== '1').length;
}

/** Carries of the sums, and places that are too small in the differences, that lead from one line to the next. */
function regroupingsIn(line: readonly Term[], next: readonly Term[], base: number): number {
  const parts = flat(line);
  const isPlain = parts.every(({ node }) => node.kind === 'number');
  if (!isPlain || leavesOf(next).length !== 1) return 0;
  let count = 0;
  let so = Exact.ZERO;
  for (const { minus, node } of parts) {
    const amount = node.value.rational ?? Exact.ZERO;
    const after = minus ? so.minus(amount) : so.plus(amount);
    count += carries(minus ? after : so, amount, base);
    so = after;
  }
  return count;
}

/** How often a place passes the base in a sum of two; the same places are too small in the difference that undoes it. */
function carries(a: Exact, b: Exact, base: number): number {
  const [x, y] = [a, b].map((amount) => [...scaled(amount, base)].reverse());
  let carry = 0;
  let count = 0;
  for (let k = 0; k < Math.max(x!.length, y!.length); k++) {
    const total = parseInt(x![k] ?? '0', base) + parseInt(y![k] ?? '0', base) + carry;
    carry = total >= base ? 1 : 0;
    count += carry;
  }
  return count;
}

/** The places behind the point that are looked at. */
const DECIMALS = 3;

/** The figures of an amount with three places behind the point, without the point. */
function scaled(amount: Exact, base: number): string {
  return amount.times(Exact.of(base ** DECIMALS)).numerator.toString(base);
}
