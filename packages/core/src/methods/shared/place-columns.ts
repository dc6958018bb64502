import type { Mark, Trace } from '../../account/account.ts';
import type { Ruling } from '../../sheet/sheet.ts';

/** A square of a place column: the ones stand at x = 0, the tens left of them. */
export function placeSquare(place: number, y: number) {
  return { x: -place, y, width: 1, height: 1 };
}

/** A line across the places 0 to `places` − 1. */
export function placeRule(places: number, y: number): Ruling {
  return { kind: 'line', x1: 1 - places, y1: y, x2: 1, y2: y, weight: 'heavy' };
}

/** All marks of a trace that lie in an area of the paper. */
export function marksIn(trace: Trace, area: string): readonly Mark[] {
  return trace.steps.flatMap((step) =>
    step.gives.filter((mark) => mark.spot.area === area && mark.medium === 'paper'),
  );
}

/** The most places any mark of the trace reaches, counting from the ones. */
export function widest(trace: Trace, least: number): number {
  let most = least;
  for (const step of trace.steps) {
    for (const mark of step.gives) most = Math.max(most, mark.spot.column + 1);
  }
  return most;
}
