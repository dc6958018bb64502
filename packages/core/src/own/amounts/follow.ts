import { Exact } from '../../exact/exact.ts';
import type { Move } from '../move.ts';
import { eachCuts, factorsOf } from '../moves/distribute.ts';
import { termValue, type Term } from '../node.ts';
import { nodeText } from '../node-text.ts';
import {
  cutAlong,
  cutOut,
  moved,
  opposite,
  shapeless,
  span,
  stretched,
  type Held,
  type Piece,
} from './held.ts';

/** A term of a line with what it holds. */
export interface Amounted {
  readonly term: Term;
  readonly held: Held;
}

/** What is followed: the kind of problem, and names for what is laid beside it. */
export interface Following {
  readonly kind: 'sum' | 'difference' | 'product' | 'quotient';
  readonly base: number;
  /** A line of its own for a change, from −1 down. */
  readonly nextLine: () => number;
}

/** How long the sides of a term's shape are; null where it has none. */
function sidesOf({ node }: Term, kind: Following['kind']): readonly Exact[] | null {
  const value = node.value.rational;
  if (!value?.isConstant) return null;
  const factors = node.kind === 'product' ? node.factors : null;
  if (kind === 'product') {
    if (factors?.length !== 2 || factors.some(({ under }) => under)) return null;
    return factors.map((factor) => factor.node.value.rational!);
  }
  if (kind !== 'quotient') return factors ? null : [value];
  if (!factors) return [value];
  const [dividend, ...others] = factors;
  return dividend && !dividend.under && others.every(({ under }) => under)
    ? [dividend.node.value.rational!]
    : null;
}

/** What each new term holds, in their order. */
export function follow(
  old: readonly Amounted[],
  made: readonly Term[],
  move: Move | null,
  following: Following,
): readonly Held[] {
  if (made.length === 0) return [];
  if (old.length === 0) return laidBeside(made, following);
  const [a, ...more] = old;
  if (more.length === 0 && made.length === 1) return [carried(a!, made[0]!, following)];
  const cut = more.length === 0 ? taken(a!, made, move, following) : null;
  if (cut) return cut;
  if (made.length === 1) return [joined(old, made[0]!, following)];
  const changed =
    old.length === 2 && made.length === 2 ? changedAlike(old, made, move, following) : null;
  return changed ?? made.map((_, k) => (k === 0 ? old.flatMap(({ held }) => shapeless(held)) : []));
}

/** An amount and its opposite, put in beside the problem. */
function laidBeside(made: readonly Term[], { nextLine }: Following): readonly Held[] {
  const line = nextLine();
  const size = made[0]!.node.value.rational!;
  return made.map(({ minus }) => [beside(line, size, minus ? -1n : 1n)]);
}

function beside(line: number, size: Exact, count: bigint): Piece {
  const whole = [span(Exact.ZERO, size)];
  return { line, at: whole, axes: [0], own: whole, count };
}

/** One term for one: it holds the same, in its new shape. */
function carried({ term, held }: Amounted, made: Term, { kind }: Following): Held {
  const [from, to] = [sidesOf(term, kind), sidesOf(made, kind)];
  // A term holds the same however its sign is written: −(−3) is +3.
  const turned = held;
  if (!from || !to || from.length !== to.length) return shapeless(turned);
  if (from.length === 1) {
    return from[0]!.isZero ? shapeless(turned) : stretched(turned, 0, to[0]!.dividedBy(from[0]!));
  }
  return rectangle(turned, from as readonly [Exact, Exact], to as readonly [Exact, Exact]);
}

/** A rectangle as it is, turned, or cut and laid again as one of the same area. */
function rectangle(
  held: Held,
  [x, y]: readonly [Exact, Exact],
  [u, v]: readonly [Exact, Exact],
): Held {
  if (x.equals(u) && y.equals(v)) return held;
  if (x.equals(v) && y.equals(u)) return held.map(turnedPiece);
  const by = u.isZero ? Exact.ZERO : x.dividedBy(u);
  if (by.isWhole) return relaid(held, 0, 1, u, y, by);
  const back = v.isZero ? Exact.ZERO : y.dividedBy(v);
  return back.isWhole ? relaid(held, 1, 0, v, x, back) : shapeless(held);
}

function turnedPiece(piece: Piece): Piece {
  const swap = <T>(pair: readonly T[]) => [pair[1]!, pair[0]!];
  const own = piece.own && swap(piece.own);
  return { ...piece, at: swap(piece.at), axes: swap(piece.axes), own };
}

/** Strips of one side, each laid behind the one before along the other side. */
function relaid(
  held: Held,
  side: number,
  other: number,
  width: Exact,
  length: Exact,
  count: Exact,
): Held {
  const strips: Piece[] = [];
  for (let k = 0n; k < count.numerator; k++) {
    const from = width.times(Exact.of(k));
    const strip = cutOut(held, side, from, from.plus(width));
    if (!strip) return shapeless(held);
    strips.push(...moved(strip, other, length.times(Exact.of(k))));
  }
  return strips;
}

/** One term taken apart along a side, or along both. */
function taken(
  { term, held }: Amounted,
  made: readonly Term[],
  move: Move | null,
  following: Following,
): readonly Held[] | null {
  const sides = sidesOf(term, following.kind);
  if (!sides) return null;
  const values = made.map((own) => {
    const value = termValue(own).rational!;
    return term.minus ? value.negate() : value;
  });
  if (sides.length === 1) return alongLine(held, sides[0]!, values, term, made);
  if (move?.move === 'each-with-each') return alongBoth(held, term, made, following);
  return alongSide(held, sides as readonly [Exact, Exact], values, term, made, move);
}

function alongLine(
  held: Held,
  length: Exact,
  values: readonly Exact[],
  term: Term,
  made: readonly Term[],
): readonly Held[] | null {
  const worth = term.node.value.rational!;
  if (worth.isZero || length.isNegative) return null;
  const parts = values.map((value) => length.times(value).dividedBy(worth));
  const cut = cutAlong(held, 0, length, parts);
  return (
    cut?.map((own, k) => {
      const size = sizeOf(made[k]!);
      const part = parts[k]!.absolute();
      const shaped =
        size && !part.isZero ? stretched(own, 0, size.dividedBy(part)) : shapeless(own);
      return parts[k]!.isNegative ? opposite(shaped) : shaped;
    }) ?? null
  );
}

/** How long a number, or the dividend of a share, is. */
function sizeOf({ node }: Term): Exact | null {
  const [first] = factorsOf(node);
  return node.kind === 'product' ? (first?.node.value.rational ?? null) : node.value.rational;
}

/** The side that is cut: the one that the move tells of, or that stands as a bracket. */
function alongSide(
  held: Held,
  sides: readonly [Exact, Exact],
  values: readonly Exact[],
  term: Term,
  made: readonly Term[],
  move: Move | null,
): readonly Held[] | null {
  const factors = factorsOf(term.node);
  const named = move?.with?.split(' = ')[0];
  const side = factors.findIndex(({ node }) =>
    named ? nodeText(node) === named : node.kind === 'sum',
  );
  const other = sides[1 - side];
  if (side < 0 || !other || other.isZero) return null;
  const parts = values.map((value) => value.dividedBy(other));
  const cut = cutAlong(held, side, sides[side]!, parts);
  return (
    cut?.map((own, k) => {
      const shaped = shapedAs(own, side, parts[k]!.absolute(), other, made[k]!);
      return parts[k]!.isNegative ? opposite(shaped) : shaped;
    }) ?? null
  );
}

/** A part of a rectangle in the order in which its factors stand; without a shape where it is worked out. */
function shapedAs(held: Held, side: number, part: Exact, other: Exact, made: Term): Held {
  const factors = factorsOf(made.node);
  if (factors.length !== 2 || made.node.kind !== 'product') return shapeless(held);
  const [u, v] = factors.map(({ node }) => node.value.rational!);
  const own: readonly [Exact, Exact] = side === 0 ? [part, other] : [other, part];
  if (own[0].equals(u!) && own[1].equals(v!)) return held;
  return own[0].equals(v!) && own[1].equals(u!) ? held.map(turnedPiece) : shapeless(held);
}

/** Every part of one side with every part of the other. */
function alongBoth(
  held: Held,
  term: Term,
  made: readonly Term[],
  { base }: Following,
): readonly Held[] | null {
  const cuts = eachCuts(term.node, made, base)?.map((cut) => cut.map((own) => own.rational));
  const [first, second, ...more] = cuts ?? [];
  if (!first || !second || more.length > 0) return null;
  const [x, y] = [first, second].map((cut) => Exact.sum(cut.map((own) => own!)));
  const strips = cutAlong(held, 0, x!, first as Exact[]);
  const boxes = strips?.flatMap((strip, k) => {
    const own = cutAlong(strip, 1, y!, second as Exact[]);
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
function joined(old: readonly Amounted[], made: Term, { kind }: Following): Held {
  const all = old.flatMap(({ held }) => held);
  const sides = sidesOf(made, kind);
  const isLine = sides?.length === 1 && old.every(({ term }) => term.minus === made.minus);
  if (!isLine) return shapeless(all);
  let at = Exact.ZERO;
  const laid: Piece[] = [];
  for (const { term, held } of old) {
    const size = sizeOf(term);
    if (!size || sidesOf(term, kind) === null) return shapeless(all);
    laid.push(...moved(held, 0, at));
    at = at.plus(size);
  }
  return at.isZero ? shapeless(all) : stretched(laid, 0, sides[0]!.dividedBy(at));
}

/** Both numbers of a difference change by what is laid beside the problem; of a sum one gives what the other takes. */
function changedAlike(
  old: readonly Amounted[],
  made: readonly Term[],
  move: Move | null,
  following: Following,
): readonly Held[] | null {
  if (move?.law !== 'same-change') return null;
  const order = pairing(old, made);
  if (!order) return null;
  const changes = order.map((k, n) =>
    made[k]!.node.value.rational!.minus(old[n]!.term.node.value.rational!),
  );
  const helds =
    move.move === 'same-change'
      ? withChange(old, changes[0]!, following)
      : givenAndTaken(old, changes);
  return helds && made.map((_, k) => helds[order.indexOf(k)]!);
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

function withChange(old: readonly Amounted[], by: Exact, { nextLine }: Following): readonly Held[] {
  const line = nextLine();
  const sign = by.isNegative ? -1n : 1n;
  return old.map(({ term, held }) => {
    const piece = { ...beside(line, by.absolute(), term.minus ? -sign : sign), own: null };
    return [...shapeless(held), piece];
  });
}

function givenAndTaken(
  old: readonly Amounted[],
  changes: readonly Exact[],
): readonly Held[] | null {
  const giver = changes.findIndex((change) => change.isNegative);
  const taker = 1 - giver;
  if (giver < 0) return null;
  const by = changes[taker]!;
  const size = sizeOf(old[giver]!.term)!;
  const kept = cutOut(old[giver]!.held, 0, Exact.ZERO, size.minus(by));
  const given = cutOut(old[giver]!.held, 0, size.minus(by), size);
  if (!kept || !given) return null;
  const taken = [...old[taker]!.held, ...moved(given, 0, sizeOf(old[taker]!.term)!)];
  return giver === 0 ? [kept, taken] : [taken, kept];
}
