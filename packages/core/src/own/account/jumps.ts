import { Exact } from '../../exact/exact.ts';
import type { HopLine } from '../judge/judged-paper.ts';
import { numberOf, termValue, type Term } from '../../line/node.ts';
import type { Stands } from '../../account/line-mark.ts';
import type { SpaceShape } from './grid.ts';
import { span, type Piece, type Span } from './held.ts';
import {
  statementOf,
  type Aside,
  type At,
  type LineDraft,
  type Lived,
  type Live,
} from './laying.ts';

/** One jump, and how the line is written that it stands on where it is a statement of its own. */
interface Jump {
  readonly n: number;
  readonly from: Exact;
  readonly to: Exact;
  readonly stands?: Stands;
}

/** Jumps of one line: from one number of a difference to the other, or from a number on to where all is counted in. */
export function jumpDrafts(at: At, { n, hops }: Pick<HopLine, 'n' | 'hops'>): Lived | null {
  return drafted(
    at,
    hops.map((hop) => ({ n, ...hop })),
  );
}

/** Statements that go on from each other as jumps, `387 + 13 = 400` and `400 + 242 = 642`, each on its line. */
export function statedJumps(at: At, asides: readonly Aside[]): Lived | null {
  const jumps = asides.map(({ n, left, right }): Jump => ({
    n,
    from: termValue(left[0]!).rational!,
    to: termValue(right[0]!).rational!,
    stands: statementOf({ left, right }),
  }));
  const goesOn = jumps.every(({ from }, k) => k === 0 || from.equals(jumps[k - 1]!.to));
  return goesOn ? drafted(at, jumps) : null;
}

function drafted(at: At, jumps: readonly Jump[]): Lived | null {
  const { live, laying } = at;
  const isStart = live.length > 1 && live.every(({ owed }) => owed !== null);
  if (!isStart || laying.shape?.form !== 'lines') return null;
  const [a, b, ...more] = live;
  const byPieces =
    more.length === 0
      ? (between(at, [a!, b!], jumps, laying.shape) ?? onward(at, [a!, b!], jumps))
      : null;
  return byPieces ?? byNumbers(at, jumps);
}

/** From one number of a string on, by every other number whole: 6 +8→ 14 +5→ 19 +9→ 28. */
function byNumbers({ laying, live }: At, jumps: readonly Jump[]): Lived | null {
  const isWorth = (value: Exact) => (own: Live) => termValue(own.term).rational!.equals(value);
  const start = live.find(isWorth(jumps[0]!.from));
  const rest = live.filter((own) => own !== start);
  if (!start || rest.length !== jumps.length) return null;
  const drafts: LineDraft[] = [];
  let now = start;
  for (const [k, { n, from, to, stands }] of jumps.entries()) {
    const at = rest.findIndex(isWorth(to.minus(from)));
    const [taken] = at < 0 ? [] : rest.splice(at, 1);
    if (!taken) return null;
    const hop = { from, to };
    const copy = { ...taken, owed: null, column: 2 * k, row: n, hop, stands: unsigned(taken.term) };
    // In a statement only what it comes to is a mark.
    if (stands === undefined) drafts.push({ ...draft(n, [taken], copy), law: 'reorder' });
    const term = signedNumber(to, laying.shape!.base);
    const landing: Live = {
      term,
      held: laying.follow([now, taken], [term], null)[0]!,
      owed: null,
      column: stands === undefined ? 2 * k + 1 : 0,
      row: n,
      ...(stands === undefined ? {} : { stands }),
    };
    drafts.push(draft(n, [now, stands === undefined ? copy : taken], landing));
    now = landing;
  }
  return { drafts, live: [now] };
}

function signedNumber(value: Exact, base: number): Term {
  return { minus: value.isNegative, node: numberOf(value.absolute(), base) };
}

/**
 * From one number of a difference to the other: each jump is a piece of the larger one's line, and the smaller one is let go
 * on both sides.
 */
function between(
  { problem }: At,
  live: readonly [Live, Live],
  jumps: readonly Jump[],
  { sizes, base }: SpaceShape,
): Lived | null {
  if (problem.kind !== 'difference') return null;
  const [x, y] = [sizes[0]!, sizes[1]!];
  const [operand, high, low] = x.compare(y) > 0 ? [0, x, y] : [1, y, x];
  const pieceAt = (at: Span): Piece => ({
    line: operand,
    at: [at],
    axes: [0],
    own: null,
    count: 1n,
  });
  const ends = [jumps[0]!.from, jumps.at(-1)!.to];
  if (![low, high].every((end) => ends.some((own) => own.equals(end)))) return null;
  const lands = [low, ...jumps.map(({ to }) => to), ...jumps.map(({ from }) => from), high];
  if (lands.some((at) => at.compare(low) < 0 || at.compare(high) > 0)) return null;
  const marks = jumps.map(({ n, from, to, stands }, k): [LineDraft, Live] => {
    const at = from.compare(to) < 0 ? span(from, to) : span(to, from);
    const term = { minus: operand === 1, node: numberOf(at.to.minus(at.from), base) };
    const owed: Live = {
      term,
      held: [pieceAt(at)],
      owed: { operand, between: at },
      column: k,
    };
    const mark: Live = {
      term,
      held: [{ ...pieceAt(at), own: [span(Exact.ZERO, at.to.minus(at.from))] }],
      owed: null,
      column: stands ? 0 : k,
      row: n,
      hop: { from, to },
      stands: stands ?? unsigned(term),
    };
    return [draft(n, [owed], mark), mark];
  });
  const under = { ...live[operand]!, held: [pieceAt(span(Exact.ZERO, low))] };
  const letGo = inCommon(jumps.at(-1)!.n, under, live[1 - operand]!);
  return {
    drafts: [...marks.map(([own]) => own), letGo],
    live: marks.map(([, mark]) => mark),
  };
}

/** What both numbers have in common comes to nothing: of the larger one what lies under the jumps, and all of the smaller. */
function inCommon(n: number, under: Live, smaller: Live): LineDraft {
  const operand = under.held[0]!.line;
  const owed = { operand, between: under.held[0]!.at[0]! };
  const takes = [{ ...under, owed }, smaller];
  return { n, law: 'inverse', move: null, takes, gives: [], isBetween: false };
}

/** From one number on, by pieces of the other, to where both are counted in: the last landing is what is due. */
function onward({ laying }: At, live: readonly [Live, Live], jumps: readonly Jump[]): Lived | null {
  const { base } = laying.shape!;
  const start = live.find(
    ({ term }) => !term.minus && term.node.value.rational!.equals(jumps[0]!.from),
  );
  const other = live.find((own) => own !== start);
  if (!start || !other) return null;
  const steps = jumps.map(({ from, to }) => to.minus(from));
  const parts = other.term.minus ? steps.map((step) => step.negate()) : steps;
  const isAll = Exact.sum(parts).equals(other.term.node.value.rational!);
  const helds = isAll ? laying.along(other, 0, parts) : null;
  if (!helds) return null;
  const number = (value: Exact) => signedNumber(value, base);
  const operand = other.owed !== null && other.owed !== 'all' ? other.owed.operand : 0;
  const owedOf = (k: number): Live => ({
    term: number(steps[k]!),
    held: helds[k]!,
    owed: { operand, between: helds[k]![0]!.at[0]! },
    column: 0,
  });
  const sizes = jumps.map(({ n, from, to }, k): Live => ({
    ...owedOf(k),
    owed: null,
    column: 2 * k,
    row: n,
    hop: { from, to },
    ...(jumps[k]!.stands === undefined ? { stands: unsigned(number(steps[k]!)) } : {}),
  }));
  const isInside = parts.every((part) => !part.isNegative);
  const drafts: LineDraft[] = [];
  if (!isInside) {
    const isHidden = jumps.some(({ stands }) => stands !== undefined);
    const law = 'evaluate' as const;
    const n = jumps[0]!.n;
    drafts.push({ n, law, move: null, takes: [other], gives: sizes, isBetween: isHidden });
  }
  let now = start;
  for (const [k, { n, to, stands }] of jumps.entries()) {
    const size = sizes[k]!;
    const term = number(to);
    const landing: Live = {
      term,
      held: laying.follow([now, size], [term], null)[0]!,
      owed: null,
      column: stands ? 0 : 2 * k + 1,
      row: n,
      ...(stands ? { stands } : {}),
    };
    // Jumps that are written are marks of their own; in statements only what each comes to is.
    const isWritten = isInside && stands === undefined;
    if (isWritten) drafts.push(draft(n, [owedOf(k)], size));
    const taken = isInside && stands !== undefined ? owedOf(k) : size;
    drafts.push(draft(n, [now, taken], landing));
    now = landing;
  }
  return { drafts, live: [now] };
}

/** The size of a jump, before which the sign of its direction stands. */
function unsigned({ node }: Term): Stands {
  return { kind: 'terms', terms: [{ minus: false, node }] };
}

function draft(n: number, takes: readonly Live[], give: Live): LineDraft {
  return { n, law: 'evaluate', move: null, takes, gives: [give], isBetween: false };
}
