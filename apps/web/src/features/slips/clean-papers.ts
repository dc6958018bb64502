import { compare } from '@levee/core';
import { paperOfLane, type Paper, type Worked } from '../../worked/work.ts';

const CLEAN = new WeakMap<Worked, readonly Paper[]>();

/** The papers of the bench as they should be: slips that lie on one there are left out here. */
export function cleanPapers(worked: Worked): readonly Paper[] {
  const known = CLEAN.get(worked);
  if (known) return known;
  const isClean = worked.papers.every(({ lane }) => lane.trace.balanced);
  const papers = isClean ? worked.papers : workedClean(worked);
  CLEAN.set(worked, papers);
  return papers;
}

function workedClean({ problem, papers }: Worked): readonly Paper[] {
  const { lanes } = compare(
    problem,
    papers.map(({ method, lane: { trace } }) => ({
      method,
      school: trace.school,
      order: trace.choice.order,
      hops: trace.choice.hops,
    })),
  );
  return lanes.map((lane, k) => {
    const { id, title } = papers[k]!;
    return { ...paperOfLane(lane, k), id, title };
  });
}
