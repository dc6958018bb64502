import type { TermSet } from '@levee/core';
import type { Worked } from '../worked/work.ts';

/** How far terms are dealt with: on no paper, on some, on all. */
export type Standing = 'owed' | 'some' | 'marked';

/** For each common term, on how many papers it has been dealt with. */
export function standingsOf(worked: Worked, steps: readonly number[]): readonly Standing[] {
  const counts = new Array<number>(worked.comparison.space.size).fill(0);
  worked.papers.forEach(({ dealtAt }, k) => {
    for (const [term, step] of dealtAt) if (step <= steps[k]!) counts[term]!++;
  });
  const all = worked.papers.length;
  return counts.map((n) => (n === 0 ? 'owed' : n === all ? 'marked' : 'some'));
}

/** The standing of several terms together: all dealt with, none, or some of them. */
export function standingOf(standings: readonly Standing[], terms: TermSet): Standing {
  const own = [...terms.indices()].map((term) => standings[term] ?? 'owed');
  if (own.every((one) => one === 'marked')) return 'marked';
  return own.every((one) => one === 'owed') ? 'owed' : 'some';
}
