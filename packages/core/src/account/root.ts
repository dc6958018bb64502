import { Exact } from '../exact/exact.ts';
import { placeValue } from '../exact/numeral.ts';
import type { Trace } from './account.ts';

/** A root as its paper gives it: root · √under, and what is left of the number beside its square. */
export interface FoundRoot {
  readonly root: Exact;
  readonly under: Exact;
  readonly left: Exact;
}

/**
 * The root that a work has found: as its last step gives it, or figure by figure. The account of a root holds the
 * number under the sign; its answer's marks are worth what they cover of it.
 */
export function rootOf({ groups, steps, problem }: Trace): FoundRoot {
  const given = steps.at(-1)?.about?.root;
  if (given) return { root: given.out, under: given.under, left: Exact.ZERO };
  const ids = new Set(groups.at(-1)!.marks);
  const marks = steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
  const figures = marks.filter(({ role }) => role === 'answer');
  const { base } = problem;
  const root = Exact.sum(
    figures.map(({ glyph, place }) =>
      Exact.of(BigInt(parseInt(glyph, base))).times(placeValue(base, place ?? 0)),
    ),
  );
  const rest = marks.filter(({ role }) => role !== 'answer');
  return { root, under: Exact.ONE, left: Exact.sum(rest.map(({ worth }) => worth)) };
}
