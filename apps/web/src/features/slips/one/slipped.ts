import {
  answerText,
  compare,
  readAddress,
  workWithHabits,
  type Addressed,
  type Comparison,
  type Feature,
  type Method,
  type Trace,
} from '@levee/core';
import { habitOf } from '../../../worked/habit-of.ts';
import { paperOfLane, type Paper } from '../../../worked/work.ts';

/** What goes wrong on a paper: one slip, once or as a habit, and perhaps a second one. */
export interface SlipChoice {
  readonly slip: string;
  readonly habit: 'all' | Feature | null;
  readonly second: string | null;
}

/** The right paper and the slipped one, as two lanes of one comparison. */
export interface Slipped {
  readonly comparison: Comparison;
  readonly right: Paper;
  readonly wrong: Paper;
  /** The addresses of what was made. */
  readonly made: readonly Addressed[];
  /** The answer as its paper gives it. */
  readonly answer: string;
}

/** Works a paper as it should be and as it goes wrong; null for a slip that has no chance there. */
export function slippedPaper(paper: Paper, choice: SlipChoice): Slipped | null {
  const { method, lane } = paper;
  const { problem, school, choice: own } = lane.trace;
  const made = madeBy(method, lane.trace, choice);
  if (made.length === 0) return null;
  const work = { method, school, order: own.order, hops: own.hops };
  const comparison = compare(problem, [work, { ...work, slips: made }]);
  const [right, wrong] = comparison.lanes.map(paperOfLane);
  return { comparison, right: right!, wrong: wrong!, made, answer: answerText(wrong!.lane.trace) };
}

function madeBy(
  method: Method,
  trace: Trace,
  { slip, habit, second }: SlipChoice,
): readonly Addressed[] {
  const first = readAddress(slip);
  if (!first) return [];
  const other = second === null ? null : readAddress(second);
  const slips = [first, ...(other ? [other] : [])];
  if (habit === null) return slips;
  const { problem, school } = trace;
  const habits = [habitOf(first, habit, trace)];
  return workWithHabits(method, problem, { school, habits }).made;
}
