import { Surd as Amount, type Surd } from '../../../exact/surd.ts';
import type { Fit, Page } from '../../../laws/move-spec.ts';
import { type AnyMove, MOVES } from '../../../laws/moves.ts';
import { factorsOf } from '../../../line/factors.ts';
import { at, groupings } from '../../../line/groups.ts';
import { flat, type Node, type Term, termKey, termValue } from '../../../line/node.ts';
import { paired } from '../../../line/paired.ts';
import { plus, termsIn } from '../../../line/terms.ts';
import { type Found, moveAt } from '../move.ts';
import { alike, factorSteps } from './factors.ts';
import { powerSteps } from './powers.ts';

/** A line as groups of one worth, each with its explanations by one move. */
export interface Grouped {
  readonly old: readonly Term[];
  readonly made: readonly Term[];
  readonly found: readonly Found[];
}

/** Both lists without the terms that stand in both. */
export function withoutCommonTerms(
  old: readonly Term[],
  made: readonly Term[],
): readonly [readonly Term[], readonly Term[]] {
  const { left, rest } = paired(old, made, termKey);
  return [left, rest];
}

/** The ways in which what changes from one line to the next falls into groups, each as fine as can be. */
export function groupedWays(
  old: readonly Term[],
  made: readonly Term[],
): readonly (readonly (readonly [readonly Term[], readonly Term[]])[])[] {
  const [from, to] = withoutCommonTerms(flat(old), flat(made));
  const put = (a: Surd, b: Surd) => a.plus(b);
  return groupings(from.map(termValue), to.map(termValue), put, Amount.ZERO).map((way) =>
    way.map((group) => [at(from, group.old), at(to, group.made)] as const),
  );
}

/** All ways in which a line comes from the one before by one kind of move, at one place or side by side. */
export function steps(old: readonly Term[], made: readonly Term[], page: Page): readonly Found[] {
  const [from, to] = withoutCommonTerms(flat(old), flat(made));
  if (from.length === 0 && to.length === 0) return [];
  const found = groupedWays(old, made).flatMap((way) =>
    alike(way.map(([a, b]) => groupSteps(a, b, page))),
  );
  const all = found.length > 0 ? found : groupSteps(from, to, page);
  if (all.length > 0) return all;
  // Brackets that stand for numbers, as in (642 + 13) − (387 + 13), are looked at as they stand.
  const hasBracket = [...old, ...made].some(({ minus, node }) => !minus && node.kind === 'sum');
  return hasBracket ? groupSteps(...withoutCommonTerms(old, made), page) : [];
}

/** One group of terms by one kind of move. */
export function groupSteps(
  old: readonly Term[],
  made: readonly Term[],
  page: Page,
): readonly Found[] {
  const written = fitting(({ rewrites }) => rewrites?.(old, made, page), old, made);
  const found =
    written.length > 0
      ? written
      : fitting(({ recognise }) => recognise?.(old, made, page), old, made);
  const [a, ...more] = old;
  const [b, ...others] = made;
  const isPair = a && b && more.length + others.length === 0 && a.minus === b.minus;
  const all = isPair && found.length === 0 ? nodeSteps(a.node, b.node, page) : found;
  return distinct(all);
}

/** All moves that fit, each by itself. */
function fitting(
  fitOf: (move: AnyMove) => Fit | null | undefined,
  old: readonly Term[],
  made: readonly Term[],
): readonly Found[] {
  return MOVES.flatMap((move) => {
    const fit = fitOf(move);
    return fit ? [[moveAt(move.id, old, made, fit.used)]] : [];
  });
}

function distinct(all: readonly Found[]): readonly Found[] {
  const seen = new Set<string>();
  return all.filter((found) => {
    const key = found.map(({ law, move: id }) => `${law}/${id}`).join();
    return seen.has(key) ? false : seen.add(key);
  });
}

/** One node by one kind of move somewhere in it. */
function nodeSteps(old: Node, made: Node, page: Page): readonly Found[] {
  if (old.key === made.key) return [];
  const inner = insideOf(old, made);
  if (inner) return steps(inner[0], inner[1], page);
  const powers = powerSteps(old, made, page);
  if (powers.length > 0) return powers;
  if (!isProduct(old) && !isProduct(made)) return [];
  return factorSteps(factorsOf(old), factorsOf(made), page, (one, other, where) =>
    one.kind === 'product' || other.kind === 'product' || !isSamePlace(one, other)
      ? groupSteps([plus(one)], [plus(other)], where)
      : nodeSteps(one, other, where),
  );
}

function isSamePlace(one: Node, other: Node): boolean {
  return insideOf(one, other) !== null;
}

function isProduct(node: Node): boolean {
  return node.kind === 'product' || node.kind === 'fraction';
}

/** What stands inside two nodes of one shape. */
function insideOf(old: Node, made: Node): readonly [readonly Term[], readonly Term[]] | null {
  if (old.kind === 'power' && made.kind === 'power' && old.exponent === made.exponent) {
    return [termsIn(old.of), termsIn(made.of)];
  }
  if (old.kind === 'root' && made.kind === 'root') return [termsIn(old.of), termsIn(made.of)];
  if (old.kind === 'opposite' && made.kind === 'opposite')
    return [termsIn(old.of), termsIn(made.of)];
  // A bracket that stands as a factor, beside a number or another bracket.
  if (old.kind === 'sum' || made.kind === 'sum') return [termsIn(old), termsIn(made)];
  return null;
}
