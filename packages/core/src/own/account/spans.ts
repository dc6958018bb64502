import type { Entry } from '../../account/account.ts';
import type { BeyondCell } from '../../account/beyond.ts';
import type { Part } from '../../account/cut.ts';
import type { Scribe } from '../../account/scribe.ts';
import { choices, PieceSpace } from '../../account/spaces.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralText, numeralValue, type Numeral } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import { sumNode, type Term } from '../../line/node.ts';
import type { AccountLaying, Live } from './laying.ts';
import { follow, type AccountFollowing } from './follow.ts';
import { Grid, type SpaceShape } from './grid.ts';
import type { OwnAccount, OwedCell } from './own-account.ts';
import { partsAlong, span, type Edge, type Held, type Piece, type Span } from './held.ts';
import { giveWholes } from './opening.ts';

/** How the numbers of a problem span its space; null for problems that are not laid out so. */
export function shapeOf(problem: Problem): SpaceShape | null {
  const { kind, operands, base } = problem;
  const worths = operands.map(numeralValue);
  if (kind === 'root' || worths.some((worth) => worth.isZero || !worth.isConstant)) return null;
  const isShare = kind === 'quotient';
  const form = isShare ? 'share' : kind === 'product' ? 'box' : 'lines';
  const areNegative = worths.map((worth) => worth.isNegative);
  if (form !== 'lines' && areNegative.includes(true)) return null;
  const isAgainst = (k: number) => areNegative[k] || (kind === 'difference' && k > 0);
  return {
    form,
    sizes: (isShare ? worths.slice(0, 1) : worths).map((worth) => worth.absolute()),
    unit: isShare ? Exact.ONE.dividedBy(worths[1]!) : Exact.ONE,
    bottoms: scriptOf(problem) === 'fractions' ? operands.map(bottomOf) : null,
    signs: worths.map((_, k) => (isAgainst(k) ? -1 : 1)),
    areNegative,
    base,
  };
}

function bottomOf({ fraction }: Numeral): Exact {
  return fraction ? numeralValue(fraction.bottom) : Exact.ONE;
}

/** Numbers laid out as lines, and a product as a box with a side for each factor. */
export function spanLaying(problem: Problem, shape: SpaceShape): AccountLaying {
  let lines = 0;
  const edge: Edge = {
    isAt: ({ line, at, axes }, side) => {
      const size = shape.sizes[shape.form === 'box' ? axes[side]! : line];
      return line < 0 || at[side]!.to.compare(size!) >= 0;
    },
    isAgainst: ({ line }) => shape.signs[line] === -1,
    nextLine: () => -++lines,
  };
  const following: AccountFollowing = {
    form: shape.form,
    sides: shape.form === 'box' ? shape.sizes.length : 1,
    base: problem.base,
    edge,
  };
  return {
    shape,
    start: (terms) => spanStart(problem, shape, terms),
    follow: (old, made, move) => follow(old, made, move, following),
    along: ({ held }, side, parts) => partsAlong(held, side, parts, edge),
  };
}

/** The terms of the problem with what they hold; null where its numbers are written as no number or bracket. */
function spanStart(
  { kind }: Problem,
  { sizes, form, signs }: SpaceShape,
  terms: readonly Term[],
): readonly Live[] | null {
  if (form !== 'lines' || kind === 'expression') {
    if (form !== 'lines' && terms.length !== 1) return null;
    const at = sizes.map((size) => span(Exact.ZERO, size));
    const piece: Piece = { line: 0, at, axes: at.map((_, k) => k), own: at, count: 1n };
    const term = terms.length === 1 ? terms[0]! : { minus: false, node: sumNode(terms) };
    return [{ term, held: [piece], owed: 'all', column: 0 }];
  }
  const isOperand = ({ minus, node }: Term, k: number) =>
    node.value.rational?.absolute().equals(sizes[k]!) &&
    (minus !== node.value.rational.isNegative) === (signs[k] === -1);
  if (terms.length !== sizes.length || !terms.every(isOperand)) return null;
  return terms.map((term, line): Live => {
    const at = [span(Exact.ZERO, sizes[line]!)];
    return {
      term,
      held: [{ line, at, axes: [0], own: at, count: 1n }],
      owed: { operand: line, between: null },
      column: line,
    };
  });
}

/** The account of a problem whose numbers are cut along lines, as finely as all that is held needs it. */
export class SpanAccount implements OwnAccount {
  private space: PieceSpace | null = null;
  private readonly grid: Grid;

  constructor(
    private readonly problem: Problem,
    private readonly shape: SpaceShape,
    all: readonly Held[],
  ) {
    this.grid = new Grid(shape, all);
  }

  open(scribe: Scribe): readonly OwedCell[] {
    const { cuts } = this.grid;
    if (this.shape.form === 'share') return this.openShares(scribe, cuts);
    if (this.shape.form === 'box') {
      scribe.open(cuts);
      const numbers = cuts.map((parts) => parts.map((_, k) => k));
      return choices(numbers).map((parts) => ({
        operand: 0,
        at: null,
        entry: scribe.owes(...parts),
      }));
    }
    scribe.openSum(cuts);
    return cuts.flatMap((parts, operand) =>
      spansOf(parts, this.shape.sizes[operand]!).map((at, k) => ({
        operand,
        at,
        entry: scribe.owes(operand, k),
      })),
    );
  }

  private openShares(scribe: Scribe, cuts: readonly (readonly Part[])[]): readonly OwedCell[] {
    const divisor = numeralValue(this.problem.operands[1]!);
    const by = { worth: divisor, text: `${divisor}`, place: undefined };
    this.space = new PieceSpace([...cuts, [by]]);
    const pieces = cuts[0]!.map((part, k) => ({
      text: `${part.text}÷${by.text}`,
      worth: part.worth.dividedBy(divisor),
      terms: TermSet.of(this.space!, k),
    }));
    const spans = spansOf(cuts[0]!, this.shape.sizes[0]!);
    return scribe
      .openShares(this.space, pieces)
      .map((entry, k) => ({ operand: 0, at: spans[k]!, entry }));
  }

  give(scribe: Scribe): void {
    const { space } = this;
    if (!space) return giveWholes(scribe, this.problem);
    this.problem.operands.forEach((operand, column) => {
      const text = numeralText(operand);
      scribe.giveFigure({
        text,
        glyph: text,
        worth: numeralValue(operand),
        terms: TermSet.run(space, 0, space.size),
        role: 'operand part',
        spot: { area: 'question', row: 0, column },
        operand: column,
        place: undefined,
        owed: null,
      });
    });
  }

  cells(held: Held, scribe: Scribe) {
    const { inside, beyond } = this.grid.count(held);
    const more = new Map<string, BeyondCell>(beyond);
    const numbers: number[] = [];
    for (const [key, count] of inside) {
      const entry = this.owedCell(scribe, key);
      const terms = entry.terms;
      const once = count > 0n ? 1n : 0n;
      if (once === 1n) numbers.push(...terms.ids().map((id) => terms.space.find(id)!));
      if (count !== once) more.set(key, { worth: entry.worth, count: count - once });
    }
    const first = this.shape.form === 'box' ? this.shape.sizes.map(() => '0').join('.') : '0.0';
    const space = this.owedCell(scribe, first).terms.space;
    return { terms: TermSet.from(space, numbers), beyond: more };
  }

  private owedCell(scribe: Scribe, key: string): Entry {
    const parts = key.split('.').map(Number);
    return this.shape.form === 'share' ? scribe.owes(parts[1]!) : scribe.owes(...parts);
  }
}

/** Where parts lie on the line of their number; they are listed from its end on. */
function spansOf(parts: readonly Part[], size: Exact): readonly Span[] {
  let to = size;
  return parts.map(({ worth }) => {
    const at = span(to.minus(worth.absolute()), to);
    to = at.from;
    return at;
  });
}
