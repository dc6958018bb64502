import { LIMITS, MAX_CHECKS, MAX_EARLIER, MAX_ROWS, MAX_PAPERS, OWN_LIMITS } from '@levee/core';

/** The most bytes of a body: every paper with an order of all its terms or with all lines of one’s own, every check and all texts. */
export const MOST_BYTES = 2048 * 1024;

/** How large a body may be in each direction, counted before anything in it is looked at. */
const MOST = {
  depth: 8,
  /** Members of an object. */
  members: 40,
  /** The terms of an order are the longest list. */
  list: LIMITS.products,
  /** Objects in all: those of checks, papers and their lines, and a few around them. */
  objects: MAX_CHECKS + MAX_ROWS + (3 + OWN_LIMITS.lines) * MAX_PAPERS + 2 * MAX_EARLIER + 10,
} as const;

/** What is too much in a body, in a sentence; null when it can be looked at. */
export function excessOf(body: unknown): string | null {
  let objects = 0;
  const look = (value: unknown, depth: number): string | null => {
    if (typeof value !== 'object' || value === null) return null;
    if (depth > MOST.depth) return `it is nested more than ${MOST.depth} deep`;
    const inner: unknown[] = Array.isArray(value) ? value : Object.values(value);
    if (Array.isArray(value)) {
      if (inner.length > MOST.list) return `a list has more than ${MOST.list} entries`;
    } else {
      if (inner.length > MOST.members) return `an object has more than ${MOST.members} members`;
      if (++objects > MOST.objects) return `there are more than ${MOST.objects} objects in it`;
    }
    for (const part of inner) {
      const excess = look(part, depth + 1);
      if (excess !== null) return excess;
    }
    return null;
  };
  return look(body, 0);
}
