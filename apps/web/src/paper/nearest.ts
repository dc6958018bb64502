import type { Box } from '@levee/core';

const DIRECTIONS: Record<string, readonly [dx: number, dy: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Whether a key goes somewhere. */
export function isArrow(key: string): boolean {
  return key in DIRECTIONS;
}

/** Which of some boxes an arrow key goes to from another: the nearest ahead that does not lie too far aside; -1 at the edge. */
export function nearest(from: Box, boxes: readonly Box[], key: string): number {
  const direction = DIRECTIONS[key];
  if (!direction) return -1;
  const [x, y] = middle(from);
  let best = -1;
  let least = Infinity;
  boxes.forEach((box, k) => {
    const [bx, by] = middle(box);
    const ahead = (bx - x) * direction[0] + (by - y) * direction[1];
    const aside = Math.abs((bx - x) * direction[1]) + Math.abs((by - y) * direction[0]);
    if (ahead < 0.2 || aside > ahead * 2) return;
    const distance = ahead + aside * 2;
    if (distance < least) [best, least] = [k, distance];
  });
  return best;
}

function middle({ x, y, width, height }: Box): readonly [number, number] {
  return [x + width / 2, y + height / 2];
}
