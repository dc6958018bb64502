import { type ComparisonDocument } from '@levee/core';
import { contentOf, documentOf, freshDocument, paperOf } from '../store/content.ts';
import { work, type Worked } from '../worked/work.ts';

/** A document with this problem and these methods. */
export function documentWith(problem: string, methods: readonly string[]): ComparisonDocument {
  const content = { ...contentOf(freshDocument()), problem, papers: methods.map(paperOf) };
  return documentOf(content, { steps: methods.map(() => 0), pace: 'amount' });
}

/** A comparison worked out, for tests of what is read off it. */
export function workedWith(
  problem = '46 × 58',
  methods: readonly string[] = ['column-multiplication', 'grid-multiplication', 'lattice'],
): Worked {
  return work(contentOf(documentWith(problem, methods)));
}
