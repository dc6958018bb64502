import { COMPARISON_VERSION } from './comparison-migrations.ts';
import type { ComparisonDocument } from './comparison-shape.ts';
import { FRESH_ROOM } from './room.ts';

/** What a comparison document of today says that it is. */
export const COMPARISON_FORMAT = {
  format: 'levee-comparison',
  version: COMPARISON_VERSION,
} as const;

/** A document of a problem on which nothing is chosen yet: every field as it is where nobody has touched it. */
export function freshComparison(problem: string): ComparisonDocument {
  return {
    ...COMPARISON_FORMAT,
    title: '',
    story: '',
    unit: '',
    units: [],
    tags: [],
    counted: false,
    problem,
    estimate: null,
    earlier: [],
    papers: [],
    steps: {},
    pace: 'amount',
    room: FRESH_ROOM,
    checks: [],
    answers: [],
  };
}
