import type { Exact } from '../../exact/exact.ts';
import type { Method } from '../../methods/method.ts';
import type { LinesLike } from '../../methods/method-spec.ts';
import type { Registry } from '../../methods/registry.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Used } from '../../laws/used.ts';
import type { MoveId } from '../../laws/moves.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';

/** The method that is nearest to someone's own way, with hops that make it that way. */
export interface NearestMethod {
  readonly method: Method;
  readonly hops: readonly Exact[];
  /** `This is counting up with your own hops.` */
  readonly says: string;
}

/** What a way was seen to do first. */
interface Seen {
  readonly paper: JudgedPaper;
  readonly moves: ReadonlySet<MoveId>;
  /** What the first move was used on. */
  readonly used: Used | null;
}

/** The method that is nearest to judged lines; null where none is near, or it cannot be worked in that way. */
export function nearestMethod(
  problem: Problem,
  paper: JudgedPaper,
  registry: Registry,
): NearestMethod | null {
  const first = paper.lines.find(({ readings }) => readings.length > 0);
  const moves = first?.readings[0]?.moves ?? [];
  const seen: Seen = {
    paper,
    moves: new Set(moves.map(({ move }) => move)),
    used: moves[0]?.used ?? null,
  };
  const likes = registry.methods
    .flatMap((method) => (method.linesLike ? [{ method, like: method.linesLike }] : []))
    .sort((a, b) => a.like.rank - b.like.rank);
  for (const { method, like } of likes) {
    if (!like.moves.every((move) => seen.moves.has(move))) continue;
    if (!method.accepts(problem).ok) continue;
    const hops = like.hops ? HOPS[like.hops](seen) : [];
    if (!hops || !isWorked(method, problem, hops)) continue;
    const name = method.name.toLowerCase();
    const says = like.named
      ? `This is ${name} with your own ${like.named}.`
      : `This is near to ${name}.`;
    return { method, hops, says };
  }
  return null;
}

/** Whether the method takes these hops to the end. */
function isWorked(method: Method, problem: Problem, hops: readonly Exact[]): boolean {
  if (hops.length === 0) return true;
  const verdicts = method.ownHops?.judge(problem, hops, method.defaultSchool) ?? [];
  return verdicts.length === hops.length && verdicts.every(({ ok }) => ok);
}

/** Where the hops of a way are found in its lines; null where they are not. */
const HOPS: Readonly<
  Record<NonNullable<LinesLike['hops']>, (seen: Seen) => readonly Exact[] | null>
> = {
  jumps: ({ paper }) => {
    const line = paper.hops.find(({ isBetween }) => isBetween);
    return line ? line.hops.map(({ from, to }) => to.minus(from)) : null;
  },
  change: ({ used }) => {
    const by = used?.kind === 'by' ? used.by.value.rational : null;
    return by?.isConstant ? [by] : null;
  },
  // The parts that stand on one line as numbers alone; a way may be like the method without any.
  parts: ({ paper }) => {
    const line = paper.rewritings.find(
      ({ to }) => to.length > 1 && to.every(({ minus, node }) => !minus && node.kind === 'number'),
    );
    const parts = line?.to.map(({ node }) => node.value.rational);
    return parts && !parts.includes(null) ? (parts as readonly Exact[]) : [];
  },
};
