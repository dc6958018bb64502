import { FRESH_ROOM, type ComparisonDocument } from '@levee/core';
import { freshDocument, paperOf } from '../store/content.ts';
import { deskOf, documentOf, settled } from '../store/desk.ts';
import { dispatch, useComparison } from '../store/comparison-store.ts';
import { stepped } from '../store/edits.ts';
import { stepsById, work, type Worked } from '../worked/work.ts';

/** A document with this problem and these methods. */
export function documentWith(problem: string, methods: readonly string[]): ComparisonDocument {
  const desk = deskOf(freshDocument());
  const content = { ...desk.content, problem, papers: methods.map(paperOf) };
  return documentOf(
    settled({ ...desk, content, progress: { steps: {}, pace: 'amount', room: FRESH_ROOM } }),
  );
}

/** A comparison worked out, for tests of what is read off it. */
export function workedWith(
  problem = '46 × 58',
  methods: readonly string[] = ['column-multiplication', 'grid-multiplication', 'lattice'],
): Worked {
  return work(documentWith(problem, methods));
}

/** So many steps on the papers of the open comparison, in the order in which they lie. */
export function stepAll(...steps: number[]): void {
  dispatch(stepped(stepsById(work(useComparison.getState().content), steps)));
}
