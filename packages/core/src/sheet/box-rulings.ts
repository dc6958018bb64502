import type { Ruling } from './sheet.ts';

/** The rulings of a box with columns between some edges and rows of one height, from the point 0, 0 down. */
export function boxRulings(
  edges: readonly number[],
  rows: number,
  height: number,
): readonly Ruling[] {
  const [right, bottom] = [edges.at(-1)!, rows * height];
  const across = Array.from({ length: rows + 1 }, (_, k): Ruling => ({
    kind: 'line',
    x1: 0,
    y1: k * height,
    x2: right,
    y2: k * height,
    weight: 'heavy',
  }));
  const down = edges.map((x): Ruling => ({
    kind: 'line',
    x1: x,
    y1: 0,
    x2: x,
    y2: bottom,
    weight: 'heavy',
  }));
  return [...across, ...down];
}
