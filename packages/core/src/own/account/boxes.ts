import { Exact } from '../../exact/exact.ts';
import { cutOut, moved, shapeless, sidesIn, type Held, type Piece } from './held.ts';

/** A box is cut into no more slices than these to lie in another shape. */
const MOST_SLICES = 60n;

/**
 * A box in the shape of another of the same size: its sides turned, and where they differ cut into slices that are laid one
 * behind the other. 12 × 25 × 8 is 12 × 200 × 1 by eight slices; 46 × 58 is 23 × 116 by two. Without a shape where no
 * few slices do it.
 */
export function boxed(held: Held, from: readonly Exact[], to: readonly Exact[]): Held {
  const sides = [...from];
  /** For each side of the new shape which side it is now. */
  const places: (number | null)[] = to.map(() => null);
  const isFree = (side: number) => !places.includes(side);
  const settle = () =>
    to.forEach((length, target) => {
      if (places[target] !== null) return;
      const same = sides.findIndex((own, side) => isFree(side) && own.equals(length));
      if (same >= 0) places[target] = same;
    });
  settle();
  let made = held;
  while (places.includes(null)) {
    const target = places.indexOf(null);
    const free = sides.map((_, side) => side).filter(isFree);
    const slicing = fewestSlices(sides, free, to[target]!);
    if (!slicing) return shapeless(held);
    const cut = relaid(made, slicing, sides);
    if (!cut) return shapeless(held);
    made = cut;
    const { side, along, count } = slicing;
    sides[side] = sides[side]!.dividedBy(count);
    sides[along] = sides[along]!.times(count);
    settle();
    if (places[target] === null) return shapeless(held);
  }
  const order = places as number[];
  return order.every((side, k) => side === k) ? made : made.map((piece) => sidesIn(piece, order));
}

/** One side cut into so many slices, laid one behind the other along another side. */
interface Slicing {
  readonly side: number;
  readonly along: number;
  readonly count: Exact;
}

/** By how few slices one of the free sides becomes as long as asked; null where none does. */
function fewestSlices(
  sides: readonly Exact[],
  free: readonly number[],
  length: Exact,
): Slicing | null {
  if (length.isZero) return null;
  const found = free.flatMap((own): readonly Slicing[] => {
    const others = free.filter((side) => side !== own);
    const shorter = sides[own]!.dividedBy(length);
    const longer = length.dividedBy(sides[own]!);
    return [
      ...(shorter.isWhole ? others.map((along) => ({ side: own, along, count: shorter })) : []),
      ...(longer.isWhole ? others.map((side) => ({ side, along: own, count: longer })) : []),
    ];
  });
  const few = found.filter(({ count }) => count.numerator <= MOST_SLICES);
  const isWhole = ({ side, count }: Slicing) => sides[side]!.dividedBy(count).isWhole;
  few.sort((a, b) => Number(isWhole(b)) - Number(isWhole(a)) || a.count.compare(b.count));
  return few[0] ?? null;
}

function relaid(held: Held, { side, along, count }: Slicing, sides: readonly Exact[]): Held | null {
  const width = sides[side]!.dividedBy(count);
  const strips: Piece[] = [];
  for (let k = 0n; k < count.numerator; k++) {
    const from = width.times(Exact.of(k));
    const strip = cutOut(held, side, from, from.plus(width));
    if (!strip) return null;
    strips.push(...moved(strip, along, sides[along]!.times(Exact.of(k))));
  }
  return strips;
}
