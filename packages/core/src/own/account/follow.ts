import { moveSpec } from '../../laws/moves.ts';
import { Exact } from '../../exact/exact.ts';
import type { Move } from '../judge/move.ts';
import { eachCuts } from '../../laws/distribute/cuts.ts';
import { factorsOf, repeated } from '../../line/factors.ts';
import { termValue, type Node, type Term } from '../../line/node.ts';
import { boxed } from './boxes.ts';
import type { SpaceShape } from './grid.ts';
import {
  cutAlong,
  cutOut,
  moved,
  opposite,
  shapeless,
  span,
  stretched,
  type Edge,
  type Held,
  type Piece,
} from './held.ts';

/** A term of a line with what it holds. */
export interface Amounted {
  readonly term: Term;
  readonly held: Held;
}

/** What is followed: how the problem is laid out, and names for what is laid beside it. */
export interface AccountFollowing {
  readonly form: SpaceShape['form'];
  /** How many sides a shape has. */
  readonly sides: number;
  readonly base: number;
  /** What lies around the problem, and lines beside it for changes. */
  readonly edge: Edge;
}

/** How long the sides of a term's shape are; null where it has none. */
function sidesOf({ node }: Term, { form, sides }: AccountFollowing): readonly Exact[] | null {
  const value = node.value.rational;
  if (!value?.isConstant) return null;
  if (form === 'lines') return [value];
  const factors = isMultiplied(node) ? repeated(node) : null;
  if (form === 'share') {
    const [dividend, ...others] = factors ?? [{ under: false, node }];
    const isShare = dividend && !dividend.under && others.every(({ under }) => under);
    return isShare ? [dividend.node.value.rational!] : null;
  }
  if (!factors || factors.length > sides || factors.some(({ under }) => under)) return null;
  const lengths = factors.map((factor) => factor.node.value.rational!);
  // A box of fewer factors is one thick along the sides that it has none for.
  return [...lengths, ...Array.from({ length: sides - lengths.length }, () => Exact.ONE)];
}

function isMultiplied({ kind }: Node): boolean {
  return kind === 'product' || kind === 'power';
}

/** What each new term holds, in their order. */
export function follow(
  old: readonly Amounted[],
  made: readonly Term[],
  move: Move | null,
  following: AccountFollowing,
): readonly Held[] {
  if (made.length === 0) return [];
  if (old.length === 0) return laidBeside(made, following);
  const [a, ...more] = old;
  if (more.length === 0 && made.length === 1) return [carried(a!, made[0]!, following)];
  const cut = more.length === 0 ? taken(a!, made, move, following) : null;
  if (cut) return cut;
  if (made.length === 1) return [joined(old, made[0]!, following)];
  const changed = old.length === 2 ? laidAnew(old, made, move, following) : null;
  return changed ?? made.map((_, k) => (k === 0 ? old.flatMap(({ held }) => shapeless(held)) : []));
}

/** An amount and its opposite, put in beside the problem. */
function laidBeside(made: readonly Term[], { edge }: AccountFollowing): readonly Held[] {
  const line = edge.nextLine();
  const size = made[0]!.node.value.rational!;
  return made.map(({ minus }) => [beside(line, size, minus ? -1n : 1n)]);
}

function beside(line: number, size: Exact, count: bigint): Piece {
  const whole = [span(Exact.ZERO, size)];
  return { line, at: whole, axes: [0], own: whole, count };
}

/** One term for one: it holds the same, in its new shape, however its sign is written: −(−3) is +3. */
function carried({ term, held }: Amounted, made: Term, following: AccountFollowing): Held {
  const [from, to] = [sidesOf(term, following), sidesOf(made, following)];
  if (!from || !to) return shapeless(held);
  if (from.length > 1) return boxed(held, from, to);
  return from[0]!.isZero ? shapeless(held) : stretched(held, 0, to[0]!.dividedBy(from[0]!));
}

/** One term taken apart along a side, or along both. */
function taken(
  { term, held }: Amounted,
  made: readonly Term[],
  move: Move | null,
  following: AccountFollowing,
): readonly Held[] | null {
  const sides = sidesOf(term, following);
  if (!sides) return null;
  const values = made.map((own) => {
    const value = termValue(own).rational!;
    return term.minus ? value.negate() : value;
  });
  if (sides.length === 1) return alongLine({ term, held }, made, { sides, values, following });
  if (move && moveSpec(move.move).cutsEverySide) return alongBoth(held, term, made, following);
  return alongSide({ term, held }, made, { sides, values, following, move });
}

/** How a term is cut: the sides of its shape, and what the parts are worth, counted as it counts. */
interface Cutting {
  readonly sides: readonly Exact[];
  readonly values: readonly Exact[];
  readonly following: AccountFollowing;
}

function alongLine(
  { term, held }: Amounted,
  made: readonly Term[],
  { sides: [length], values, following }: Cutting,
): readonly Held[] | null {
  const worth = term.node.value.rational!;
  if (worth.isZero || length!.isNegative) return null;
  const parts = values.map((value) => length!.times(value).dividedBy(worth));
  const cut = cutAlong(held, 0, length!, parts, following.edge);
  return (
    cut?.map((own, k) => {
      const size = sizeOf(made[k]!, following);
      const part = parts[k]!.absolute();
      const shaped =
        size && !part.isZero ? stretched(own, 0, size.dividedBy(part)) : shapeless(own);
      return parts[k]!.isNegative ? opposite(shaped) : shaped;
    }) ?? null
  );
}

/** How long a number, or the dividend of a share, is. */
function sizeOf({ node }: Term, { form }: AccountFollowing): Exact | null {
  if (form === 'lines' || node.kind !== 'product') return node.value.rational;
  return factorsOf(node)[0]?.node.value.rational ?? null;
}

/** The side that is cut: the one that the move tells of, or that stands as a bracket. */
function alongSide(
  { term, held }: Amounted,
  made: readonly Term[],
  { sides, values, following, move }: Cutting & { readonly move: Move | null },
): readonly Held[] | null {
  const factors = repeated(term.node);
  const named = move?.used?.kind === 'cut' ? move.used.of.key : null;
  const side = factors.findIndex(({ node }) =>
    named === null ? node.kind === 'sum' : node.key === named,
  );
  if (side < 0) return null;
  const others = sides.filter((_, k) => k !== side);
  const across = others.reduce((product, length) => product.times(length), Exact.ONE);
  if (across.isZero) return null;
  const parts = values.map((value) => value.dividedBy(across));
  const cut = cutAlong(held, side, sides[side]!, parts, following.edge);
  return (
    cut?.map((own, k) => {
      const from = sides.map((length, at) => (at === side ? parts[k]!.absolute() : length));
      const to = sidesOf(made[k]!, following);
      const shaped = to ? boxed(own, from, to) : shapeless(own);
      return parts[k]!.isNegative ? opposite(shaped) : shaped;
    }) ?? null
  );
}

/** Every part of one side with every part of the other. */
function alongBoth(
  held: Held,
  term: Term,
  made: readonly Term[],
  { base, edge }: AccountFollowing,
): readonly Held[] | null {
  const cuts = eachCuts(term.node, made, base)?.map((cut) => cut.map((own) => own.rational));
  const [first, second, ...more] = cuts ?? [];
  if (!first || !second || more.length > 0) return null;
  const [x, y] = [first, second].map((cut) => Exact.sum(cut.map((own) => own!)));
  const strips = cutAlong(held, 0, x!, first as Exact[], edge);
  const boxes = strips?.flatMap((strip, k) => {
    const own = cutAlong(strip, 1, y!, second as Exact[], edge);
    return (own ?? []).map((box, n) => {
      const [a, b] = [first[k]!, second[n]!];
      const isTaken = a.isNegative !== b.isNegative;
      return { box: isTaken ? opposite(box) : box, worth: a.times(b) };
    });
  });
  if (!boxes || boxes.length !== made.length) return null;
  const left = [...boxes];
  return made.map((own) => {
    const value = term.minus ? termValue(own).negate() : termValue(own);
    const at = left.findIndex(({ worth }) => value.rational!.equals(worth));
    return shapeless(left.splice(at, 1)[0]!.box);
  });
}

/** Several terms as one. */
function joined(old: readonly Amounted[], made: Term, following: AccountFollowing): Held {
  const all = old.flatMap(({ held }) => held);
  const sides = sidesOf(made, following);
  const isLine = sides?.length === 1 && old.every(({ term }) => term.minus === made.minus);
  if (!isLine) return shapeless(all);
  let at = Exact.ZERO;
  const laid: Piece[] = [];
  for (const { term, held } of old) {
    const size = sizeOf(term, following);
    if (!size || sidesOf(term, following) === null) return shapeless(all);
    laid.push(...moved(held, 0, at));
    at = at.plus(size);
  }
  return at.isZero ? shapeless(all) : stretched(laid, 0, sides[0]!.dividedBy(at));
}

/** Two numbers that change together, or that are left for the jumps between them. */
function laidAnew(
  old: readonly Amounted[],
  made: readonly Term[],
  move: Move | null,
  following: AccountFollowing,
): readonly Held[] | null {
  const lays = move ? moveSpec(move.move).lays : undefined;
  if (lays === undefined) return null;
  if (lays === 'jumps') return jumped(old, made, following);
  const order = made.length === 2 ? pairing(old, made) : null;
  if (!order) return null;
  const changes = order.map((k, n) =>
    made[k]!.node.value.rational!.minus(old[n]!.term.node.value.rational!),
  );
  const helds =
    lays === 'same to both'
      ? withChange(old, changes[0]!, following)
      : givenAndTaken(old, changes, following);
  return helds && made.map((_, k) => helds[order.indexOf(k)]!);
}

/** Each jump holds its stretch of the larger number; the first also what the smaller one and its stretch come to, nothing. */
function jumped(
  old: readonly Amounted[],
  made: readonly Term[],
  following: AccountFollowing,
): readonly Held[] | null {
  const whole = old.find(({ term }) => !term.minus);
  const taken = old.find(({ term }) => term.minus);
  const length = whole && sizeOf(whole.term, following);
  const start = taken && sizeOf(taken.term, following);
  if (!length || !start) return null;
  const jumps = made.map((term) => termValue(term).rational!);
  const cut = cutAlong(whole.held, 0, length, [start, ...jumps], following.edge);
  const [below, ...stretches] = cut ?? [];
  if (!below) return null;
  const rest = [...shapeless(below), ...shapeless(taken.held)];
  return stretches.map((own, k) => (k === 0 ? [...shapeless(own), ...rest] : own));
}

/** For each old term its new one: of the same sign, and of a sum that which differs by one change both ways. */
function pairing(old: readonly Amounted[], made: readonly Term[]): readonly number[] | null {
  const fits = (order: readonly number[]) =>
    order.every((k, n) => made[k]!.minus === old[n]!.term.minus);
  const size = (order: readonly number[]) =>
    made[order[0]!]!.node.value.rational!.minus(old[0]!.term.node.value.rational!).absolute();
  const orders = [
    [0, 1],
    [1, 0],
  ].filter(fits);
  orders.sort((a, b) => size(a).compare(size(b)));
  return orders[0] ?? null;
}

function withChange(
  old: readonly Amounted[],
  by: Exact,
  { edge }: AccountFollowing,
): readonly Held[] {
  const line = edge.nextLine();
  const sign = by.isNegative ? -1n : 1n;
  return old.map(({ term, held }) => {
    const piece = { ...beside(line, by.absolute(), term.minus ? -sign : sign), own: null };
    return [...shapeless(held), piece];
  });
}

function givenAndTaken(
  old: readonly Amounted[],
  changes: readonly Exact[],
  following: AccountFollowing,
): readonly Held[] | null {
  const giver = changes.findIndex((change) => change.isNegative);
  const taker = 1 - giver;
  if (giver < 0) return null;
  const by = changes[taker]!;
  const size = sizeOf(old[giver]!.term, following)!;
  const kept = cutOut(old[giver]!.held, 0, Exact.ZERO, size.minus(by));
  const given = cutOut(old[giver]!.held, 0, size.minus(by), size);
  if (!kept || !given) return null;
  const taken = [...old[taker]!.held, ...moved(given, 0, sizeOf(old[taker]!.term, following)!)];
  return giver === 0 ? [kept, taken] : [taken, kept];
}
