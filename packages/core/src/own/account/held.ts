import { Exact } from '../../exact/exact.ts';

/** A stretch of a line, from a lower to a higher point. */
export interface Span {
  readonly from: Exact;
  readonly to: Exact;
}

/**
 * A box of the problem's own space that an amount holds so many times, and where it lies in the amount's own shape: of a
 * product a box with a side for each factor, of a number a line. The space has one line for each number of a sum or
 * difference, one of the dividend of a quotient, a side for each factor of a product; beyond the numbers it goes on.
 */
export interface Piece {
  /** Which line of the space; 0 for a product. Lines below 0 are laid beside the problem, one for each change. */
  readonly line: number;
  /** Where it is in the space, side by side of its own shape. */
  readonly at: readonly Span[];
  /** Which side of the space each of these is. */
  readonly axes: readonly number[];
  /** Where it is in the amount's shape, in the same order of sides; null where its shape is not known. */
  readonly own: readonly Span[] | null;
  readonly count: bigint;
}

/** What an amount holds. */
export type Held = readonly Piece[];

export function span(from: Exact, to: Exact): Span {
  return { from, to };
}

export function lengthOf({ from, to }: Span): Exact {
  return to.minus(from);
}

/**
 * The same with pieces that lie side by side as one, so that a cut that nothing needs is none. Sides come in the order of
 * the space, and shapes are gone.
 */
export function gathered(held: Held): Held {
  const count = Math.max(0, ...held.map(({ axes }) => axes.length));
  let pieces: Held = held.map((piece) => {
    const order = [...piece.axes.keys()].sort((a, b) => piece.axes[a]! - piece.axes[b]!);
    return { ...sidesIn(piece, order), own: null };
  });
  for (let side = 0; side < count; side++) pieces = gatheredAlong(pieces, side);
  return pieces;
}

function gatheredAlong(pieces: Held, side: number): Held {
  const rows = new Map<string, Piece[]>();
  const without = pieces.filter(({ axes }) => axes.length <= side);
  for (const piece of pieces.filter(({ axes }) => axes.length > side)) {
    const others = piece.at.map((at, k) => (k === side ? '' : `${at.from} ${at.to}`));
    const key = [piece.line, piece.count, piece.axes, ...others].join(';');
    rows.set(key, [...(rows.get(key) ?? []), piece]);
  }
  const along = [...rows.values()].flatMap((row) => {
    row.sort((a, b) => a.at[side]!.from.compare(b.at[side]!.from));
    const made: Piece[] = [];
    for (const piece of row) {
      const last = made.at(-1);
      const goesOn = last?.at[side]!.to.equals(piece.at[side]!.from);
      if (!last || !goesOn) made.push(piece);
      else {
        const whole = span(last.at[side]!.from, piece.at[side]!.to);
        made[made.length - 1] = { ...last, at: replaced(last.at, side, whole) };
      }
    }
    return made;
  });
  return [...without, ...along];
}

/** A piece whose sides come in another order. */
export function sidesIn(piece: Piece, order: readonly number[]): Piece {
  const turn = <T>(all: readonly T[]) => order.map((k) => all[k]!);
  return {
    ...piece,
    at: turn(piece.at),
    axes: turn(piece.axes),
    own: piece.own && turn(piece.own),
  };
}

/** The same held the other way about. */
export function opposite(held: Held): Held {
  return held.map((piece) => ({ ...piece, count: -piece.count }));
}

/** The same without its shape. */
export function shapeless(held: Held): Held {
  return held.map((piece) => (piece.own ? { ...piece, own: null } : piece));
}

/** What lies between two points of one side of a shape, moved to the beginning; null where the shape is not known. */
export function cutOut(held: Held, side: number, from: Exact, to: Exact): Held | null {
  const made: Piece[] = [];
  for (const piece of held) {
    const own = piece.own?.[side];
    if (!own || own.to.equals(own.from)) return null;
    const low = larger(own.from, from);
    const high = smaller(own.to, to);
    if (low.compare(high) >= 0) continue;
    const at = piece.at[side]!;
    const scale = lengthOf(at).dividedBy(lengthOf(own));
    const point = (own_: Exact) => at.from.plus(own_.minus(own.from).times(scale));
    made.push({
      ...piece,
      at: replaced(piece.at, side, span(point(low), point(high))),
      own: replaced(piece.own, side, span(low.minus(from), high.minus(from))),
    });
  }
  return made;
}

/** The same moved along one side of its shape. */
export function moved(held: Held, side: number, by: Exact): Held {
  return held.map((piece) => {
    const own = piece.own?.[side];
    if (!own) return piece;
    return { ...piece, own: replaced(piece.own, side, span(own.from.plus(by), own.to.plus(by))) };
  });
}

/**
 * A strip beyond the end of one side, as long as asked; it goes on from the piece that lies last where that lies at the edge
 * of the space, and beside the space where others lie behind it. Null where the shape is not known.
 */
function beyondEnd(
  held: Held,
  { side, end, by }: { readonly side: number; readonly end: Exact; readonly by: Exact },
  edge: Edge,
): Held | null {
  const last = held.filter((piece) => piece.own?.[side]?.to.equals(end));
  if (last.length === 0) return null;
  return last.map((piece) => {
    const own = piece.own![side]!;
    const at = piece.at[side]!;
    const size = by.times(lengthOf(at).dividedBy(lengthOf(own)));
    const shape = replaced(piece.own!, side, span(Exact.ZERO, by));
    if (edge.isAt(piece, side)) {
      return { ...piece, at: replaced(piece.at, side, span(at.to, at.to.plus(size))), own: shape };
    }
    const lengths = replaced(piece.at, side, span(Exact.ZERO, size)).map(lengthOf);
    return {
      ...piece,
      line: edge.nextLine(),
      at: lengths.map((length) => span(Exact.ZERO, length)),
      own: shape,
      count: edge.isAgainst(piece) ? -piece.count : piece.count,
    };
  });
}

/** What lies around the numbers of a problem. */
export interface Edge {
  /** Whether nothing of the problem lies behind a piece on one of its sides. */
  readonly isAt: (piece: Piece, side: number) => boolean;
  /** Whether the number of a piece counts against the problem. */
  readonly isAgainst: (piece: Piece) => boolean;
  /** A line beside the problem, from −1 down. */
  readonly nextLine: () => number;
}

/** The same in a shape whose side is so many times as long. */
export function stretched(held: Held, side: number, by: Exact): Held {
  return held.map((piece) => {
    const own = piece.own?.[side];
    if (!own) return piece;
    return {
      ...piece,
      own: replaced(piece.own, side, span(own.from.times(by), own.to.times(by))),
    };
  });
}

function replaced(spans: readonly Span[], side: number, by: Span): readonly Span[] {
  return spans.map((own, k) => (k === side ? by : own));
}

function larger(a: Exact, b: Exact): Exact {
  return a.compare(b) >= 0 ? a : b;
}

function smaller(a: Exact, b: Exact): Exact {
  return a.compare(b) <= 0 ? a : b;
}

/**
 * A shape cut along one side into parts that add up to it: larger ones first from the beginning, then what is taken back
 * from the end, each of which was laid beyond before. Null where the shape is not known.
 */
export function cutAlong(
  held: Held,
  side: number,
  length: Exact,
  parts: readonly Exact[],
  edge: Edge,
): readonly Held[] | null {
  // Letters have no size, so that nothing is cut along them.
  if (!parts.every(({ isConstant }) => isConstant)) return null;
  const order = parts.map((part, index) => ({ part, index }));
  order.sort(
    (a, b) => Number(a.part.isNegative) - Number(b.part.isNegative) || b.part.compare(a.part),
  );
  const made: Held[] = Array.from({ length: parts.length }, () => []);
  let at = Exact.ZERO;
  let laid = length;
  let whole: Held = held;
  for (const { part, index } of order) {
    const to = at.plus(part);
    if (!part.isNegative && to.compare(laid) > 0) {
      const more = beyondEnd(whole, { side, end: laid, by: to.minus(laid) }, edge);
      if (!more) return null;
      whole = [...whole, ...moved(more, side, laid)];
      laid = to;
    }
    const cut = part.isNegative ? cutOut(whole, side, to, at) : cutOut(whole, side, at, to);
    if (!cut) return null;
    made[index] = cut;
    at = to;
  }
  return made;
}

/** The same, with what is taken back counted against. */
export function partsAlong(
  held: Held,
  side: number,
  parts: readonly Exact[],
  edge: Edge,
): readonly Held[] | null {
  const cut = cutAlong(held, side, Exact.sum(parts), parts, edge);
  return cut?.map((own, k) => (parts[k]!.isNegative ? opposite(own) : own)) ?? null;
}
