import type { Stands } from '../../account/line-mark.ts';
import type { Exact } from '../../exact/exact.ts';
import { numeralValue } from '../../exact/numeral.ts';
import type { TableLine } from '../judge/judged-paper.ts';
import { numberOf } from '../../line/node.ts';
import type { RatioPair } from '../judge/pairs.ts';
import { shareDrafts } from './chunks.ts';
import type { At, LineDraft, Live, Lived } from './laying.ts';

/**
 * A ratio table: the pairs that are put together to the last one are pieces of the problem, each on its line; of a quotient
 * pieces of the dividend with their shares, of a product strips along the factor that the pairs count.
 */
export function pairDrafts(
  at: At,
  { n, answer }: TableLine,
  pairs: readonly RatioPair[],
): Lived | null {
  const { problem, laying, live } = at;
  const [whole, ...more] = live;
  if (!laying.shape || !whole || more.length > 0 || whole.owed !== 'all') return null;
  const counts = new Map<number, number>();
  for (const { n: line } of pairs) counts.set(line, (counts.get(line) ?? 0) + 1);
  const leaves = leavesOf(answer, pairs).map((leaf): TableLeaf => ({
    ...leaf,
    isBetween: leaf.pair.n === n || counts.get(leaf.pair.n) !== 1,
  }));
  const made =
    leaves.length === 1
      ? { drafts: [], live: [whole] }
      : problem.kind === 'quotient'
        ? shares(at, leaves)
        : strips(at, leaves, whole);
  if (!made) return null;
  const found = problem.kind === 'quotient' ? answer.left : answer.right;
  const term = { minus: false, node: numberOf(found, laying.shape.base) };
  const mark: Live = {
    term,
    held: laying.follow(made.live, [term], null)[0]!,
    owed: null,
    column: 0,
    row: n,
    stands: pairStands(answer),
  };
  const end: LineDraft = {
    n,
    law: 'evaluate',
    move: null,
    takes: made.live,
    gives: [mark],
    isBetween: counts.get(n) !== 1,
  };
  return { drafts: [...made.drafts, end], live: [mark] };
}

/** A pair that goes into the last one, added or taken away. */
interface Leaf {
  readonly pair: RatioPair;
  readonly isTaken: boolean;
}

/** One that has no line to itself is passed in the head. */
interface TableLeaf extends Leaf {
  readonly isBetween: boolean;
}

/** The pairs that are put together to one, down to those that come from one other; itself where one would go in twice. */
function leavesOf(answer: RatioPair, pairs: readonly RatioPair[]): readonly Leaf[] {
  const all = partsOf({ pair: answer, isTaken: false }, pairs);
  return new Set(all.map(({ pair }) => pair)).size === all.length
    ? all
    : [{ pair: answer, isTaken: false }];
}

function partsOf(leaf: Leaf, pairs: readonly RatioPair[]): readonly Leaf[] {
  const { origin } = leaf.pair;
  if (origin.kind !== 'together') return [leaf];
  return origin.parts.flatMap(({ of, isTaken }) =>
    partsOf({ pair: pairs[of]!, isTaken: isTaken !== leaf.isTaken }, pairs),
  );
}

function pairStands({ left, text }: RatioPair): Stands {
  return { kind: 'pair', left, text };
}

function signed(amount: Exact, isTaken: boolean): Exact {
  return isTaken ? amount.negate() : amount;
}

function shares(at: At, leaves: readonly TableLeaf[]): Lived | null {
  return shareDrafts(
    at,
    leaves.map(({ pair, isTaken, isBetween }) => ({
      n: pair.n,
      size: signed(pair.right, isTaken),
      stands: pairStands(pair),
      isBetween,
    })),
  );
}

/** Strips of the rectangle, as long as the other factor each. */
function strips(at: At, leaves: readonly TableLeaf[], whole: Live): Lived | null {
  const { problem, laying } = at;
  const [first] = leaves;
  const factors = problem.operands.map(numeralValue);
  const across = factors.findIndex((own) => own.equals(first!.pair.ratio));
  const areAlike = leaves.every(({ pair }) => pair.ratio.equals(first!.pair.ratio));
  if (factors.length !== 2 || across < 0 || !areAlike) return null;
  const sizes = leaves.map(({ pair, isTaken }) => signed(pair.left, isTaken));
  const helds = laying.along(whole, 1 - across, sizes);
  if (!helds) return null;
  const marks = leaves.map(({ pair, isTaken }, k): Live => ({
    term: { minus: isTaken, node: numberOf(pair.right, laying.shape!.base) },
    held: helds[k]!.map((piece) => ({ ...piece, own: null })),
    owed: null,
    column: k,
    row: pair.n,
    stands: pairStands(pair),
  }));
  const draft: LineDraft = {
    n: first!.pair.n,
    law: 'distribute',
    move: null,
    takes: [whole],
    gives: marks,
    isBetween: leaves.some(({ isBetween }) => isBetween),
  };
  return { drafts: [draft], live: marks };
}
