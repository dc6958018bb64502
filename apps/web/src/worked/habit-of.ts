import type { Addressed, Feature, Habit, Trace } from '@levee/core';

/** The habit that a slip in some work is part of; of a wrong fact, that fact everywhere. */
export function habitOf(
  { slip, at, value }: Addressed,
  where: 'all' | Feature,
  trace: Trace,
): Habit {
  const chance = trace.facts.find((one) => value !== undefined && sameAt(one, { slip, at }));
  return chance ? { ...chance.fact, value: value! } : { slip, where };
}

function sameAt(a: Addressed, b: Addressed): boolean {
  return a.at.what === b.at.what && a.at.at.join() === b.at.at.join() && a.at.stage === b.at.stage;
}
