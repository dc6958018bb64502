import { Random } from '../../exact/random.ts';
import { Exact } from '../../exact/exact.ts';
import { decimalsNeeded } from '../../exact/numeral.ts';

/** How many other numbers a way is tried on, while it is asked where its own come from. */
export const SAMPLES = 5;

/**
 * Other numbers like these: as many figures, none of them zero, in the same order of size. The first row is the numbers
 * themselves.
 * @param fixed the places of numbers that stay as they are.
 * @param count how many rows beside the first; the first ones are the same for every count.
 */
export function sampleRows(
  given: readonly Exact[],
  fixed: ReadonlySet<number>,
  count = SAMPLES,
): readonly (readonly Exact[])[] {
  const random = new Random(41);
  const order = given.map((_, k) => k).sort((a, b) => given[a]!.compare(given[b]!));
  const rows = Array.from({ length: count }, () => {
    const drawn = drawnApart(given, random);
    const sizes = [...drawn].sort((a, b) => a.compare(b));
    const row: Exact[] = [];
    order.forEach((place, rank) => (row[place] = sizes[rank]!));
    return row.map((one, k) => (fixed.has(k) ? given[k]! : one));
  });
  return [given, ...rows];
}

/** How often numbers are drawn again where two of them are the same. */
const MOST_DRAWS = 40;

function drawnApart(given: readonly Exact[], random: Random): readonly Exact[] {
  let drawn: readonly Exact[] = [];
  for (let k = 0; k < MOST_DRAWS; k++) {
    drawn = given.map((one) => likeOf(one, random));
    if (new Set(drawn.map(String)).size === drawn.length) return drawn;
  }
  return drawn;
}

/** A number with as many figures before and behind its point. */
function likeOf(one: Exact, random: Random): Exact {
  const decimals = decimalsNeeded(one, 10) ?? 0;
  const unit = 10n ** BigInt(decimals);
  const figures = one.times(Exact.of(unit)).absolute().numerator.toString().length;
  let made = '';
  for (let k = 0; k < figures; k++) made += String(figureFrom(random, figures === 1 ? 2 : 1));
  return Exact.of(BigInt(made), unit);
}

function figureFrom(random: Random, least: number): number {
  return least + Math.floor(random.next() * (10 - least));
}
