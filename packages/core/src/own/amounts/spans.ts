import type { Entry } from '../../account/account.ts';
import type { BeyondCell } from '../../account/beyond.ts';
import type { Part } from '../../account/cut.ts';
import type { Scribe } from '../../account/scribe.ts';
import { PieceSpace } from '../../account/spaces.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralText, numeralValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Term } from '../node.ts';
import type { Laying, Live } from './laying.ts';
import { follow, type Following } from './follow.ts';
import { Grid, type SpaceShape } from './grid.ts';
import type { OwnAccount, OwedCell } from './own-account.ts';
import { span, type Held, type Piece, type Span } from './held.ts';

/** How the numbers of a problem span its space; null for problems that are not laid out so. */
export function shapeOf(problem: Problem): SpaceShape | null {
  const { kind, operands, base } = problem;
  if (scriptOf(problem) === 'terms' || kind === 'root' || base !== 10) return null;
  const sizes = operands.map(numeralValue);
  if (sizes.some((size) => size.isZero || size.isNegative)) return null;
  const isProduct = kind === 'product';
  if (isProduct && sizes.length !== 2) return null;
  const isShare = kind === 'quotient';
  return {
    sizes: isShare ? [sizes[0]!] : sizes,
    isProduct,
    unit: isShare ? Exact.ONE.dividedBy(sizes[1]!) : Exact.ONE,
    isFractions: scriptOf(problem) === 'fractions',
    signs: sizes.map((_, k) => (kind === 'difference' && k > 0 ? -1 : 1)),
    base,
  };
}

/** Numbers laid out as lines, and a product as a rectangle. */
export function spanLaying(problem: Problem, shape: SpaceShape): Laying {
  let lines = 0;
  const following: Following = {
    kind: problem.kind as Following['kind'],
    base: problem.base,
    nextLine: () => -++lines,
  };
  return {
    shape,
    start: (terms) => spanStart(problem, shape, terms),
    follow: (old, made, move) => follow(old, made, move, following),
  };
}

/** The terms of the problem with what they hold; null where its numbers are written as no number or bracket. */
function spanStart(
  { kind }: Problem,
  { sizes, isProduct }: SpaceShape,
  terms: readonly Term[],
): readonly Live[] | null {
  if (isProduct || kind === 'quotient') {
    if (terms.length !== 1) return null;
    const at = sizes.map((size) => span(Exact.ZERO, size));
    const piece: Piece = { line: 0, at, axes: at.map((_, k) => k), own: at, count: 1n };
    return [{ term: terms[0]!, held: [piece], owed: 'all', column: 0 }];
  }
  if (terms.length !== sizes.length) return null;
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
    if (this.problem.kind === 'quotient') return this.openShares(scribe, cuts);
    if (this.shape.isProduct) {
      scribe.open(cuts);
      return cuts[1]!.flatMap((_, j) =>
        cuts[0]!.map((__, i) => ({ operand: 0, at: null, entry: scribe.owes(i, j) })),
      );
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
    this.problem.operands.forEach((operand, column) => {
      const spot = { area: 'question', row: 0, column } as const;
      if (!this.space) return void scribe.giveWhole(column, spot);
      const text = numeralText(operand);
      scribe.giveFigure({
        text,
        glyph: text,
        worth: numeralValue(operand),
        terms: TermSet.run(this.space, 0, this.space.size),
        role: 'operand part',
        spot,
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
    const space = this.owedCell(scribe, '0.0').terms.space;
    return { terms: TermSet.from(space, numbers), beyond: more };
  }

  private owedCell(scribe: Scribe, key: string): Entry {
    const parts = key.split('.').map(Number);
    return this.problem.kind === 'quotient' ? scribe.owes(parts[1]!) : scribe.owes(...parts);
  }
}

/** Where parts lie on the line of their number; they are listed from its end on. */
function spansOf(parts: readonly Part[], size: Exact): readonly Span[] {
  let to = size;
  return parts.map(({ worth }) => {
    const at = span(to.minus(worth), to);
    to = at.from;
    return at;
  });
}
