import { usedText } from '../../laws/used.ts';
import type { Reading } from '../judge/judged.ts';
import { flat, termKey, type Term } from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';
import { paired } from '../../line/paired.ts';
import { groupedWays } from '../judge/search/recognise.ts';
import { originsOf } from './origins.ts';
import { bottomsOf, type LetteredPage } from './page.ts';
import { leavesOf } from '../../line/numbers-in.ts';
import { figureOf } from './shape.ts';
import type { Sign } from './symbols.ts';

type Way = readonly (readonly [readonly Term[], readonly Term[]])[];

/** From one line to the next, with the readings of the line; the parts that they speak of are looked for first, or not at all. */
export interface LineFollowing {
  readonly from: readonly Term[];
  readonly to: readonly Term[];
  readonly readings: readonly Reading[];
  readonly byReading: boolean;
}

/** Finds where what is new in a line comes from, group by group as the reading has them; false where it is not found. */
export function follow(
  page: LetteredPage,
  { from, to, readings, byReading }: LineFollowing,
): boolean {
  const { pairs, left: old, rest: made } = paired(flat(from), flat(to), termKey);
  for (const [one, other] of pairs) {
    if (!page.group([one], [other], [])) return false;
  }
  const moves = new Set(
    readings.flatMap(({ moves: own }) => own.map((move) => `${move.from}→${move.to}`)),
  );
  const told = (way: Way) =>
    way.filter(([a, b]) => moves.has(`${termsText(a)}→${termsText(b)}`)).length;
  const grouped = [...groupedWays(from, to)].sort((a, b) => told(b) - told(a));
  if (byBottoms(page, old, made, grouped)) return true;
  const ways: readonly Way[] = [...grouped, [[old, made]], [[from, to]]];
  const taken = byReading ? partsTaken(page, readings, from) : [];
  return [taken, ...(taken.length > 0 ? [[]] : [])].some((beside) =>
    ways.some((way) => page.tried(() => byWay(page, way, beside))),
  );
}

/** Fractions that are brought to one bottom: first where that comes from, then each for itself. */
function byBottoms(
  page: LetteredPage,
  old: readonly Term[],
  made: readonly Term[],
  ways: readonly Way[],
): boolean {
  const bottoms = bottomsOf(made).filter((leaf) => !page.known.has(leaf));
  const shared = bottoms.filter((leaf) =>
    bottoms.some((own) => own !== leaf && own.key === leaf.key),
  );
  const [first] = shared;
  if (!first || shared.some((leaf) => leaf.key !== first.key)) return false;
  const below = [...new Set(bottomsOf(old).flatMap((leaf) => page.known.get(leaf) ?? []))];
  const asking = {
    value: figureOf(first),
    bar: 'below' as const,
    threes: false,
    isChosen: true,
    length: page.rows.length,
  };
  return originsOf(asking, below, []).some((origin) =>
    page.tried(() => {
      const sign = page.signFor(origin.row, origin.rule);
      for (const leaf of shared) page.known.set(leaf, sign);
      return ways.some((way) => page.tried(() => byWay(page, way, [sign])));
    }),
  );
}

/** Numbers that a reading speaks of and that stand in no line: the 4 of `4 × 3.98 = 16 − 0.08`, `3.98 = 4 − 0.02`. */
function partsTaken(
  page: LetteredPage,
  readings: readonly Reading[],
  from: readonly Term[],
): readonly Sign[] {
  const all = readings.flatMap(({ moves }) => moves.flatMap(({ used }) => used ?? []));
  const told = new Map(all.map((used) => [usedText(used), used]));
  return [...told.values()].flatMap((used) => {
    if (used.kind !== 'cut') return [];
    const { parts } = used;
    const cut = [{ minus: false, node: used.of }];
    const [leaf, ...more] = leavesOf(cut);
    const own = page.signsOf(from).find(({ row }) => leaf && row[0]?.equals(figureOf(leaf)));
    if (!leaf || !own || more.length > 0) return [];
    page.known.set(leaf, own);
    return page.group(cut, parts, []) ? page.signsOf(parts) : [];
  });
}

function byWay(page: LetteredPage, way: Way, near: readonly Sign[]): boolean {
  return way.every(([old, made]) => page.group(old, made, near));
}
