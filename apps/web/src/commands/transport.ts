import { nextStop, previousStop } from '@levee/core';
import type { Worked } from '../worked/work.ts';

/** Moves of the transport. Each takes and gives the steps done on every paper. */
export type Steps = readonly number[];

/** One step on every paper that has one left, or back. */
export function byStep(worked: Worked, at: Steps, by: 1 | -1): Steps {
  return at.map((step, k) => clamp(step + by, worked.papers[k]!.last));
}

/** On to where all papers have dealt with the same terms, if that is near, or one unit of each; or back again. */
export function byAmount({ comparison: { stops, lanes } }: Worked, at: Steps, by: 1 | -1): Steps {
  return by === -1 ? previousStop(stops, at) : nextStop(lanes, at);
}

/** One step on one paper. */
export function alone(worked: Worked, at: Steps, paper: number, by: 1 | -1): Steps {
  return at.map((step, k) => (k === paper ? clamp(step + by, worked.papers[k]!.last) : step));
}

export function toStart(at: Steps): Steps {
  return at.map(() => 0);
}

export function toEnd(worked: Worked): Steps {
  return worked.papers.map((paper) => paper.last);
}

/** The first stop by which a paper has done this step. */
export function stopWith({ comparison: { stops } }: Worked, paper: number, step: number): Steps {
  return stops.find((stop) => stop[paper]! >= step) ?? stops.at(-1)!;
}

export function sameSteps(a: Steps, b: Steps): boolean {
  return a.every((step, k) => step === b[k]);
}

function clamp(step: number, last: number): number {
  return Math.max(0, Math.min(step, last));
}
