import { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import type { Registry } from '../methods/registry.ts';
import type { Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';
import type { MoveId } from '../laws/moves.ts';
import type { JudgedPaper } from './judged-paper.ts';

/** The method that is nearest to someone's own way, with hops that make it that way. */
export interface NearestMethod {
  readonly method: Method;
  readonly hops: readonly Exact[];
  /** `This is counting up with your own hops.` */
  readonly says: string;
}

/** What a way was seen to do first. */
interface Seen {
  readonly problem: Problem;
  readonly paper: JudgedPaper;
  readonly moves: ReadonlySet<MoveId>;
  /** What the first move was used on. */
  readonly with: string | null;
}

interface Likeness {
  readonly method: string;
  /** The hops that make the method this way, or why it is like it without any; null where it is not. */
  readonly likes: (seen: Seen) => readonly Exact[] | null;
  readonly says: (name: string) => string;
}

const NO_HOPS: readonly Exact[] = [];

/** Where a move is the way of a method. */
function byMove(method: string, kind: Problem['kind'], ...moves: readonly MoveId[]): Likeness {
  return {
    method,
    likes: ({ problem, moves: seen }) =>
      problem.kind === kind && moves.every((move) => seen.has(move)) ? NO_HOPS : null,
    says: (name) => `This is near to ${name}.`,
  };
}

const withHops = (what: string) => (name: string) => `This is ${name} with your own ${what}.`;

/** From the most telling on; a method more is a line more. */
const LIKENESSES: readonly Likeness[] = [
  { method: 'counting-up', likes: hopsUp, says: withHops('hops') },
  { method: 'compensation-subtraction', likes: sameChange, says: withHops('change') },
  byMove('partial-differences', 'difference', 'places', 'worked-out'),
  byMove('partial-sums', 'sum', 'places', 'worked-out'),
  { method: 'compensation-addition', likes: roundedAddend, says: withHops('change') },
  byMove('halving-doubling', 'product', 'factors-moved'),
  byMove('expand-arcs', 'product', 'each-with-each'),
  byMove('grid-multiplication', 'product', 'each-with-each'),
  byMove('partial-products', 'product', 'distribute'),
  { method: 'partial-quotients', likes: chunks, says: withHops('chunks') },
  byMove('least-common-denominator', 'sum', 'rename'),
  byMove('least-common-denominator', 'difference', 'rename'),
  byMove('like-terms-row', 'sum', 'like-terms'),
  byMove('like-terms-row', 'difference', 'like-terms'),
  byMove('prime-pairs', 'root', 'pair-factors'),
];

/** The method that is nearest to judged lines; null where none is near, or it cannot be worked in that way. */
export function nearestMethod(
  problem: Problem,
  paper: JudgedPaper,
  registry: Registry,
): NearestMethod | null {
  const first = paper.lines.find(({ readings }) => readings.length > 0);
  const moves = first?.readings[0]?.moves ?? [];
  const seen: Seen = {
    problem,
    paper,
    moves: new Set(moves.map(({ move }) => move)),
    with: moves[0]?.with ?? null,
  };
  for (const { method: id, likes, says } of LIKENESSES) {
    const method = registry.find(id);
    if (!method?.accepts(problem).ok) continue;
    const hops = likes(seen);
    if (!hops || !isWorked(method, problem, hops)) continue;
    return { method, hops, says: says(method.name.toLowerCase()) };
  }
  return null;
}

/** Whether the method takes these hops to the end. */
function isWorked(method: Method, problem: Problem, hops: readonly Exact[]): boolean {
  if (hops.length === 0) return true;
  const verdicts = method.ownHops?.judge(problem, hops, method.defaultSchool) ?? [];
  return verdicts.length === hops.length && verdicts.every(({ ok }) => ok);
}

function hopsUp({ problem, paper }: Seen): readonly Exact[] | null {
  const line = paper.hops.find(({ isBetween }) => isBetween);
  if (problem.kind !== 'difference' || !line) return null;
  return line.hops.map(({ from, to }) => to.minus(from));
}

function sameChange({ problem, moves, with: by }: Seen): readonly Exact[] | null {
  if (problem.kind !== 'difference' || !moves.has('same-change')) return null;
  const change = by === null ? null : exactOf(by);
  return change ? [change] : null;
}

function roundedAddend({ problem, moves, with: by }: Seen): readonly Exact[] | null {
  if (problem.kind !== 'sum' || scriptOf(problem) !== 'figures') return null;
  if (!moves.has('give-and-take')) return null;
  const change = by === null ? null : exactOf(by);
  return change ? [change] : null;
}

/** The chunks of a quotient: the parts that stand on one line as numbers alone. */
function chunks({ problem, moves, paper }: Seen): readonly Exact[] | null {
  if (problem.kind !== 'quotient' || !moves.has('distribute')) return null;
  const line = paper.rewritings.find(
    ({ to }) => to.length > 1 && to.every(({ minus, node }) => !minus && node.kind === 'number'),
  );
  const parts = line?.to.map(({ node }) => node.value.rational);
  return parts && !parts.includes(null) ? (parts as readonly Exact[]) : NO_HOPS;
}

function exactOf(text: string): Exact | null {
  const plain = text.replace('−', '-');
  return /^-?\d+(\/[1-9]\d*)?$/.test(plain) ? Exact.parse(plain) : null;
}
