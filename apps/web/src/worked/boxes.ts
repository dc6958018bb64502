import type { Box } from '@levee/core';

const NEAR = 1e-6;

/** As few rectangles as a simple sweep finds that cover the same squares: rows first, then columns. */
export function mergedBoxes(boxes: readonly Box[]): readonly Box[] {
  const outer = boxes.filter(
    (box, i) =>
      !boxes.some((other, k) => k !== i && holds(other, box) && (k < i || !holds(box, other))),
  );
  return join(join(outer, 'x', 'width', 'y', 'height'), 'y', 'height', 'x', 'width');
}

/** Whether the second box lies inside the first. */
export function holds(outer: Box, inner: Box): boolean {
  return (
    outer.x <= inner.x + NEAR &&
    outer.y <= inner.y + NEAR &&
    outer.x + outer.width >= inner.x + inner.width - NEAR &&
    outer.y + outer.height >= inner.y + inner.height - NEAR
  );
}

type Axis = 'x' | 'y';
type Size = 'width' | 'height';

/** Joins boxes that touch or overlap along one axis and agree in place and size on the other. */
function join(boxes: readonly Box[], along: Axis, size: Size, across: Axis, other: Size): Box[] {
  const sorted = [...boxes].sort((a, b) => a[across] - b[across] || a[along] - b[along]);
  const made: Box[] = [];
  for (const box of sorted) {
    const last = made.at(-1);
    const lined = last && near(last[across], box[across]) && near(last[other], box[other]);
    if (last && lined && box[along] <= last[along] + last[size] + NEAR) {
      const end = Math.max(last[along] + last[size], box[along] + box[size]);
      made[made.length - 1] = { ...last, [size]: end - last[along] };
    } else made.push(box);
  }
  return made;
}

function near(a: number, b: number): boolean {
  return Math.abs(a - b) < NEAR;
}
