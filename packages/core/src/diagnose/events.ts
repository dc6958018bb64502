import type { LightRun } from '../account/light-run.ts';
import type { Cause, CauseSlip } from './cause.ts';
import type { WayOfWorking } from './works.ts';

/** One thing that goes wrong in one way of working, with what it gives. */
export interface Event {
  readonly slips: readonly CauseSlip[];
  readonly run: LightRun;
  readonly habit: Cause['habit'];
}

/** A way of working with all that goes wrong in it once or as a habit. */
export interface WayEvents {
  readonly way: WayOfWorking;
  readonly singles: readonly Event[];
  readonly habits: readonly Event[];
  readonly facts: readonly Event[];
}
