import type { Surd } from '../exact/surd.ts';

/** Which of the old and which of the new parts go together: places in their lists, as bits. */
export interface PartsGroup {
  readonly old: number;
  readonly made: number;
}

/** Lists longer than this are one group. */
const MOST_PARTS = 10;
/** How many ways of grouping are looked at. */
const MOST_WAYS = 6;

/**
 * The ways in which old and new parts fall into groups of equal value, each as fine as can be: no group holds a
 * smaller one. A group may have nothing on one side, where the other comes to nothing.
 * @param put puts two values together, from `nothing` on: a sum with 0, a product with 1.
 */
export function groupings(
  old: readonly Surd[],
  made: readonly Surd[],
  put: (a: Surd, b: Surd) => Surd,
  nothing: Surd,
): readonly (readonly PartsGroup[])[] {
  const whole: PartsGroup = { old: (1 << old.length) - 1, made: (1 << made.length) - 1 };
  if (old.length > MOST_PARTS || made.length > MOST_PARTS) return [[whole]];
  const [a, b] = [subsets(old, put, nothing), subsets(made, put, nothing)];
  const minimal = minimalGroups(a, b);
  const ways: PartsGroup[][] = [];
  cover(whole, minimal, [], ways);
  return ways;
}

/** The value of every choice of parts, by bits. */
function subsets(parts: readonly Surd[], put: (a: Surd, b: Surd) => Surd, nothing: Surd): string[] {
  const values: Surd[] = [nothing];
  for (let mask = 1; mask < 1 << parts.length; mask++) {
    const low = 31 - Math.clz32(mask & -mask);
    values.push(put(values[mask & (mask - 1)]!, parts[low]!));
  }
  return values.map(String);
}

function minimalGroups(old: readonly string[], made: readonly string[]): readonly PartsGroup[] {
  const byValue = new Map<string, number[]>();
  made.forEach((value, mask) => byValue.set(value, [...(byValue.get(value) ?? []), mask]));
  const all = old
    .flatMap((value, mask) =>
      (byValue.get(value) ?? []).map((other) => ({ old: mask, made: other })),
    )
    .filter((group) => group.old !== 0 || group.made !== 0)
    .sort((x, y) => size(x) - size(y));
  const minimal: PartsGroup[] = [];
  for (const group of all) {
    if (!minimal.some((inner) => isWithin(inner, group))) minimal.push(group);
  }
  return minimal;
}

function isWithin(inner: PartsGroup, outer: PartsGroup): boolean {
  return (inner.old & ~outer.old) === 0 && (inner.made & ~outer.made) === 0;
}

function size({ old, made }: PartsGroup): number {
  return count(old) + count(made);
}

function count(mask: number): number {
  let bits = 0;
  for (let rest = mask; rest > 0; rest &= rest - 1) bits++;
  return bits;
}

function cover(
  left: PartsGroup,
  minimal: readonly PartsGroup[],
  chosen: readonly PartsGroup[],
  ways: PartsGroup[][],
): void {
  if (ways.length >= MOST_WAYS) return;
  if (left.old === 0 && left.made === 0) {
    ways.push([...chosen]);
    return;
  }
  // The first part that is not covered yet must be in the next group.
  const isFirst = (group: PartsGroup) =>
    left.old !== 0
      ? (group.old & left.old & -left.old) !== 0
      : (group.made & left.made & -left.made) !== 0;
  for (const group of minimal) {
    if (!isWithin(group, left) || !isFirst(group)) continue;
    const next = { old: left.old & ~group.old, made: left.made & ~group.made };
    cover(next, minimal, [...chosen, group], ways);
  }
}

/** The parts of a list at the places of some bits. */
export function at<T>(list: readonly T[], mask: number): readonly T[] {
  return list.filter((_, index) => (mask & (1 << index)) !== 0);
}
