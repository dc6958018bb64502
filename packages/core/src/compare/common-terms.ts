import type { Trace } from '../account/account.ts';
import type { Part } from '../account/cut.ts';
import { TermSet, type Members, type TermSpace } from '../account/terms.ts';
import { Exact } from '../exact/exact.ts';
import { numberText } from '../exact/numeral.ts';

/** Turns the terms of one trace into the common terms of a comparison. */
export type Translate = (terms: TermSet) => TermSet;

export interface CommonTerms {
  readonly space: TermSpace;
  /** One for each trace, in order. */
  readonly translate: readonly Translate[];
}

/**
 * The common refinement of the cuts that several traces make of the same operands: each operand is
 * a length cut wherever any method cuts it. Traces that cut alike keep their own terms.
 */
export function commonTerms(traces: readonly Trace[]): CommonTerms {
  const [first] = traces;
  if (!first) throw new RangeError('commonTerms: no trace given');
  if (traces.every((trace) => sameCuts(trace.space, first.space))) {
    return { space: first.space, translate: traces.map(() => (terms) => terms) };
  }
  const refined = first.space.cuts.map((_, operand) =>
    refine(
      traces.map((trace) => trace.space.cuts[operand]!),
      first.problem.base,
    ),
  );
  const space = first.space.over(refined.map((operand) => operand.parts));
  const translate = traces.map((trace, t) => {
    const members = refined.map((operand) => operand.members[t]!);
    const runsOf = runsOfTerms(trace.space, space, members);
    return remembered((terms) => translated(space, runsOf, terms));
  });
  return { space, translate };
}

/** The same set of a trace is asked for by many marks and again by every panel; it is translated once. */
function remembered(translate: Translate): Translate {
  const known = new WeakMap<TermSet, TermSet>();
  return (terms) => {
    let common = known.get(terms);
    if (!common) known.set(terms, (common = translate(terms)));
    return common;
  };
}

function sameCuts(a: TermSpace, b: TermSpace): boolean {
  return a.cuts.every((parts, operand) => {
    const others = b.cuts[operand]!;
    return (
      parts.length === others.length && parts.every((p, k) => p.worth.equals(others[k]!.worth))
    );
  });
}

interface Refined {
  readonly parts: readonly Part[];
  /** For each cut and each of its parts, the common parts it is made of. */
  readonly members: readonly (readonly (readonly number[])[])[];
}

/** Lays every cut along the same length and cuts at all their boundaries; a part that one of them has keeps its text. */
function refine(cuts: readonly (readonly Part[])[], base: number): Refined {
  const edges = cuts.map(boundaries);
  const all = sortedEdges(edges.flat());
  const texts = new Map(
    cuts.flatMap((own, k) =>
      own.map(({ text }, n) => [`${edges[k]![n]} ${edges[k]![n + 1]}`, text]),
    ),
  );
  const parts = all.slice(1).map((edge, k): Part => {
    const worth = edge.minus(all[k]!);
    const text = texts.get(`${all[k]} ${edge}`) ?? numberText(worth, base);
    return { worth, text, place: undefined };
  });
  const position = new Map(all.map((edge, k) => [edge.toString(), k]));
  const members = edges.map((own) =>
    own.slice(1).map((edge, k) => {
      const from = position.get(own[k]!.toString())!;
      const to = position.get(edge.toString())!;
      return Array.from({ length: to - from }, (_, i) => from + i);
    }),
  );
  return { parts, members };
}

function boundaries(parts: readonly Part[]): Exact[] {
  return parts.reduce<Exact[]>(
    (edges, part) => [...edges, edges.at(-1)!.plus(part.worth)],
    [Exact.ZERO],
  );
}

/** From 0 on: upwards, or downwards for a number below zero. */
function sortedEdges(edges: readonly Exact[]): readonly Exact[] {
  const unique = new Map(edges.map((edge) => [edge.toString(), edge]));
  const sorted = [...unique.values()].sort((a, b) => a.compare(b));
  return sorted[0]!.isNegative ? sorted.reverse() : sorted;
}

/** For each term of a trace the runs of common terms that it is made of, in turn their starts and ends. */
function runsOfTerms(
  from: TermSpace,
  to: TermSpace,
  members: Members,
): (index: number) => number[] {
  const known: number[][] = [];
  return (index) =>
    (known[index] ??= [
      ...TermSet.from(
        to,
        from.refined(from.parts(index), members).map((parts) => to.index(parts)),
      ).edges,
    ]);
}

function translated(to: TermSpace, runsOf: (index: number) => number[], terms: TermSet): TermSet {
  const pairs: (readonly [start: number, end: number])[] = [];
  for (const index of terms.indices()) {
    const runs = runsOf(index);
    for (let i = 0; i < runs.length; i += 2) pairs.push([runs[i]!, runs[i + 1]!]);
  }
  pairs.sort(([a], [b]) => a - b);
  return TermSet.fromRuns(to, pairs.flat());
}
