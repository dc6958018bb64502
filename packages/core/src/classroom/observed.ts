import type { Explanation, Diagnosis } from '../diagnose/diagnose.ts';
import { Exact } from '../exact/exact.ts';

/** How often a slip was met among the answers of a class. */
export interface Observed {
  readonly slip: string;
  /** How many answers it explains; where several explain one, each in equal shares. */
  readonly count: Exact;
  /** Of these, how many by making it at every chance. */
  readonly asHabit: Exact;
  /** How many answers there are. */
  readonly of: number;
  /** Whether there are too few to tell a share. */
  readonly isFew: boolean;
}

/** Fewer answers than this say nothing about a class. */
const FEWEST = 10;

/**
 * How often slips were met among diagnosed answers to one problem: of answers whose method is named, by that method; else of those
 * that one explanation alone fits. What no single slip explains is counted as an answer and under no slip.
 */
export function observedSlips(
  answers: readonly Diagnosis[],
  method: string | null,
): readonly Observed[] {
  const answered = answers.filter((one) => one.answered);
  const counts = new Map<string, { count: Exact; asHabit: Exact }>();
  for (const { right, explanations } of answered) {
    const fitting = right ? [] : likely(explanations, method);
    const share = fitting.length === 0 ? Exact.ZERO : Exact.of(1, fitting.length);
    for (const { slips, habit } of fitting) {
      const slip = slips[0]!.slip;
      const { count, asHabit } = counts.get(slip) ?? { count: Exact.ZERO, asHabit: Exact.ZERO };
      counts.set(slip, {
        count: count.plus(share),
        asHabit: habit ? asHabit.plus(share) : asHabit,
      });
    }
  }
  const of = answered.length;
  return [...counts]
    .map(([slip, counted]) => ({ slip, ...counted, of, isFew: of < FEWEST }))
    .sort((a, b) => b.count.compare(a.count) || a.slip.localeCompare(b.slip, 'en'));
}

/** The explanations by one slip that come into question: by the method, or the only one. */
function likely(
  explanations: readonly Explanation[],
  method: string | null,
): readonly Explanation[] {
  const single = explanations.filter(
    ({ slips }) => new Set(slips.map(({ slip }) => slip)).size === 1,
  );
  if (method === null) return single.length === 1 ? single : [];
  return single.filter(({ methods }) => methods.some((one) => one.method === method));
}
