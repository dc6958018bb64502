import { type Exact } from '../../exact/exact.ts';
import { type NumberNode, type Term, turned } from '../../line/node.ts';
import { hasBox } from '../../problem/box.ts';
import { type Asked, operandsOf } from '../read/asked.ts';
import type { LineRead, Side } from '../read/read-line.ts';
import { namedRule } from './named-rules.ts';
import { isEqual, isLone, type LetteredPage, NO_RESULTS, NoWay } from './page.ts';
import { leavesOf } from '../../line/numbers-in.ts';
import { figureOf } from './shape.ts';
import { named, rowOf } from './symbols.ts';

type Read<Kind extends LineRead['kind']> = Extract<LineRead, { kind: Kind }>;

/** The signs of a statement that stands by itself, `{1} × {2} = {4}`. */
export function aside(page: LetteredPage, n: number, { sides }: Read<'chain'>): string {
  const all = sides.map(({ terms }) => terms);
  const isOpen = sides.some(({ expression }) => hasBox(expression));
  const [first, second] = all;
  const results = new Map<NumberNode, readonly (readonly Term[])[]>();
  all.slice(1).forEach((terms, k) => {
    if (isLone(terms) && !isOpen) results.set(leavesOf(terms)[0]!, [all[k]!]);
  });
  if (second && isLone(first!) && !isOpen) results.set(leavesOf(first!)[0]!, [second]);
  page.ask(n, all.flatMap(leavesOf), results, (valueOf, k) =>
    allOf(
      all
        .slice(1)
        .map((terms, j) => isEqual(page.worth(all[j]!, valueOf, k), page.worth(terms, valueOf, k))),
    ),
  );
  return all.map((terms) => page.text(terms)).join(' = ');
}

/** Hop by hop: a landing is where the hop goes from and its size put together. */
export function hopsLine(page: LetteredPage, n: number, { start, hops }: Read<'hops'>): string {
  page.ask(n, leavesOf(start.terms), NO_RESULTS, () => true);
  let from = start.terms;
  for (const { size, landing } of hops) {
    hop(page, n, { from, size: size?.terms ?? null, to: landing.terms });
    from = landing.terms;
  }
  const jumps = hops.map(
    ({ size, landing }) => `${sizeText(page, size)}→ ${page.text(landing.terms)}`,
  );
  return `${page.text(start.terms)} ${jumps.join(' ')}`;
}

interface Hop {
  readonly from: readonly Term[];
  readonly size: readonly Term[] | null;
  readonly to: readonly Term[];
}

function hop(page: LetteredPage, n: number, { from, size, to }: Hop): void {
  const results = new Map<NumberNode, readonly (readonly Term[])[]>();
  if (size && isLone(to)) results.set(leavesOf(to)[0]!, [[...from, ...size]]);
  if (size && isLone(size)) {
    const gap = size[0]!.minus ? [...from, ...turned(to)] : [...to, ...turned(from)];
    results.set(leavesOf(size)[0]!, [gap]);
  }
  page.ask(n, [...leavesOf(size ?? []), ...leavesOf(to)], results, (valueOf, k) => {
    const [a, by, b] = [from, size ?? [], to].map((terms) => page.worth(terms, valueOf, k));
    return size && a && by ? isEqual(a.plus(by), b ?? null) : true;
  });
}

function sizeText(page: LetteredPage, size: Side | null): string {
  if (!size) return '';
  const text = page.text(size.terms);
  return text.startsWith('−') ? text : `+${text}`;
}

/** Pairs in the ratio of the problem. */
export function table(
  page: LetteredPage,
  n: number,
  { rows }: Read<'table'>,
  asked: Asked,
): string {
  const by = operandsOf(asked);
  const ratios = asked.problem?.kind === 'quotient' ? by.slice(1) : by;
  const signs = page.signs.filter(({ rule, row }) =>
    ratios.some((own) => rule === null && own.rational?.equals(row[0]!)),
  );
  const slots = rows.flat().flatMap(({ terms }) => leavesOf(terms));
  page.ask(n, slots, NO_RESULTS, (valueOf, k) =>
    allOf(
      rows.map(([left, right]) => {
        const [a, b] = [left, right].map(({ terms }) => page.worth(terms, valueOf, k));
        if (!a || !b) return null;
        return signs.some(({ row }) => row[k] && b.equals(a.times(row[k])));
      }),
    ),
  );
  return rows.map((row) => row.map(({ terms }) => page.text(terms)).join(' | ')).join('; ');
}

/** `136 r 3` of a quotient of two numbers. */
export function withRest(
  page: LetteredPage,
  n: number,
  problem: readonly Term[],
  to: readonly Term[],
  rest: Exact,
): string {
  const [a, b] = leavesOf(problem).map((leaf) => page.known.get(leaf)!);
  const [leaf] = leavesOf(to);
  if (!a || !b || !leaf) throw new NoWay(n, 'origin');
  const [count, left] = (['whole-part', 'rest'] as const).map((id) => {
    const row = rowOf(a.row, b.row, (x, y) => namedRule(id)!.of(x, y));
    return page.signFor(row, `${id}(${named(a)}, ${named(b)})`);
  });
  const isThat = count!.row[0]?.equals(figureOf(leaf)) && left!.row[0]?.equals(rest);
  if (!isThat) throw new NoWay(n, 'origin');
  page.known.set(leaf, count!);
  return `${named(count!)} r ${named(left!)}`;
}

function allOf(all: readonly (boolean | null)[]): boolean | null {
  if (all.includes(false)) return false;
  return all.includes(null) ? null : true;
}
