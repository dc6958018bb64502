import {
  habitSheet,
  readAddress,
  readProblem,
  workOfChoice,
  type Feature,
  type HabitSheet,
  type PaperWork,
} from '@levee/core';
import { cleanChoice } from './clean-choice.ts';
import { habitOf } from '../worked/habit-of.ts';
import { pack, type Packed } from './packed.ts';

/** A habit that is asked for: the slip that it repeats on a paper, and where. */
export interface HabitAsked {
  readonly problem: string;
  readonly paper: PaperWork;
  /** The slip's address on the paper. */
  readonly slip: string;
  readonly where: 'all' | Feature;
  readonly seed: number;
}

/** What someone with a habit writes for other numbers. RangeError for a text that is no problem, or no address. */
export function habitItems({ problem, paper, slip, where, seed }: HabitAsked): Packed<HabitSheet> {
  const read = readProblem(problem);
  if (!read.ok) throw new RangeError(`habitItems: "${problem}" is not a problem`);
  const address = readAddress(slip);
  if (!address) throw new RangeError(`habitItems: "${slip}" is no address`);
  const choice = cleanChoice(paper);
  const trace = workOfChoice(read.problem, choice);
  const habit = habitOf(address, where, trace);
  return pack(habitSheet(choice.method, trace.school, habit, { like: read.problem, seed }));
}
