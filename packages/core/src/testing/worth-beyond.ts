import { Exact } from '../exact/exact.ts';
import type { Beyond } from '../account/beyond.ts';

/** What cells beyond the edge are worth together. */
export function worthBeyond(beyond: Beyond): Exact {
  return Exact.sum([...beyond.values()].map(({ worth, count }) => worth.times(Exact.of(count))));
}
