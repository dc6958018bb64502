import type { Comparison } from '@levee/core';

/** A block's edges as shares of the whole width. */
export interface Block {
  readonly from: number;
  readonly to: number;
}

export interface LaneColumns {
  /** For each lane, the block of each step. */
  readonly blocks: readonly (readonly Block[])[];
  /** Where the head of a lane stands when these steps are done. */
  readonly headAt: (lane: number, steps: readonly number[]) => number;
}

/**
 * Lays the lanes so that stops are at the same place in all of them. Between two stops the lane with
 * the most steps sets the width, and the others stretch theirs over it.
 */
export function laneColumns({ lanes, stops }: Comparison): LaneColumns {
  const widths = stops
    .slice(1)
    .map((stop, i) => Math.max(...stop.map((step, k) => step - stops[i]![k]!)));
  const edges = widths.reduce((all, width) => [...all, all.at(-1)! + width], [0]);
  const whole = edges.at(-1)! || 1;
  const blocks = lanes.map((lane, k) => {
    const made: Block[] = [];
    widths.forEach((width, i) => {
      const first = stops[i]![k]!;
      const count = stops[i + 1]![k]! - first;
      for (let n = 0; n < count; n++) {
        const from = (edges[i]! + (width * n) / count) / whole;
        made.push({ from, to: (edges[i]! + (width * (n + 1)) / count) / whole });
      }
    });
    return made.slice(0, lane.trace.steps.length);
  });
  const headAt = (lane: number, steps: readonly number[]) => {
    const at = stops.findLast((stop) => stop.every((step, k) => step === steps[k]));
    if (at) return edges[stops.indexOf(at)]! / whole;
    return blocks[lane]![steps[lane]! - 1]?.to ?? 0;
  };
  return { blocks, headAt };
}
