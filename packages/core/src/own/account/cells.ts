import type { Scribe } from '../../account/scribe.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import { termValue, type Term } from '../../line/node.ts';
import type { AccountLaying, Live } from './laying.ts';
import type { Amounted } from './follow.ts';
import type { OwnAccount, OwedCell } from './own-account.ts';
import { shapeless, type Held, type Piece } from './held.ts';
import { cutsOf, giveWholes, termsIn } from './opening.ts';

/** More cells than these are not told apart by what they are worth. */
const MOST_CELLS = 16;

/**
 * The cells of a problem in letters: every term of a bracket with every term of the others, or the terms of brackets that are
 * added or taken away. Null for other problems.
 */
export function cellsOf(problem: Problem): readonly Cell[] | null {
  const { kind } = problem;
  const isSum = kind === 'sum' || kind === 'difference';
  if (scriptOf(problem) !== 'terms' || !(isSum || kind === 'product')) return null;
  const cuts = cutsOf(problem);
  const all = termsIn(problem, cuts).map((parts) => ({
    operand: isSum ? parts[0]! : 0,
    parts,
    worth: worthOf(problem, cuts, parts),
  }));
  const cells = all.filter(({ worth }) => !worth.isZero);
  // A string of numbers goes line by line.
  const hasLetters = cells.some(({ worth }) => !worth.isConstant);
  return hasLetters && cells.length <= MOST_CELLS ? cells : null;
}

interface Cell {
  readonly operand: number;
  readonly parts: readonly number[];
  readonly worth: Exact;
}

function worthOf(
  { kind }: Problem,
  cuts: ReturnType<typeof cutsOf>,
  parts: readonly number[],
): Exact {
  if (termShape(kind) === 'products') {
    return parts.reduce((made, part, k) => made.times(cuts[k]![part]!.worth), Exact.ONE);
  }
  const [operand, part] = parts;
  const { worth } = cuts[operand!]![part!]!;
  return kind === 'difference' && operand! > 0 ? worth.negate() : worth;
}

/** Cells that go from term to term whole: which go where is told by what the terms are worth. */
export function cellLaying(problem: Problem, cells: readonly Cell[]): AccountLaying {
  const all = cells.map((_, k) => piece(k));
  return {
    shape: null,
    start: (terms) => {
      if (problem.kind === 'product') {
        const [only, ...more] = terms;
        return only && more.length === 0
          ? [{ term: only, held: all, owed: 'all', column: 0 }]
          : null;
      }
      const helds = dealtOut(cells, all, terms);
      return (
        helds?.map((held, column): Live => {
          const owned = new Set(held.map(({ line }) => line));
          return {
            term: terms[column]!,
            held,
            owed: { operand: 0, between: null, cells: owned },
            column,
          };
        }) ?? null
      );
    },
    follow: (old, made) => followed(cells, old, made),
    along: () => null,
  };
}

function piece(cell: number): Piece {
  return { line: cell, at: [], axes: [], own: null, count: 1n };
}

function followed(
  cells: readonly Cell[],
  old: readonly Amounted[],
  made: readonly Term[],
): readonly Held[] {
  const all = old.flatMap(({ held }) => shapeless(held));
  // Where a cell was cut further, the first term stands for all of them.
  return dealtOut(cells, all, made) ?? made.map((_, k) => (k === 0 ? all : []));
}

/** Whole cells for each term, so that they are worth it; the first ones that fit. Null where none do. */
function dealtOut(
  cells: readonly Cell[],
  held: Held,
  terms: readonly Term[],
): readonly Held[] | null {
  const [term, ...more] = terms;
  if (!term) return held.length === 0 ? [] : null;
  const value = termValue(term).rational;
  if (!value) return null;
  if (more.length === 0) {
    const worth = Exact.sum(held.map(({ line }) => cells[line]!.worth));
    return worth.equals(value) ? [held] : null;
  }
  for (const chosen of choicesWorth(cells, held, value)) {
    const rest = dealtOut(
      cells,
      held.filter((one) => !chosen.includes(one)),
      more,
    );
    if (rest) return [chosen, ...rest];
  }
  return null;
}

/** Of so many cells every choice is looked at; of more only those of the letters that a term has. */
const FEW_CELLS = 8;
const MOST_CHOSEN = 12;

/** Choices of cells that are worth so much, those with fewer cells first. */
function choicesWorth(cells: readonly Cell[], held: Held, value: Exact): readonly Held[] {
  const kinds = new Set(value.parts().map(({ letters }) => letters));
  const isAlike = ({ line }: Piece) => kinds.has(cells[line]!.worth.letters);
  const pool = held.length <= FEW_CELLS ? held : held.filter(isAlike);
  if (pool.length > MOST_CHOSEN) return [];
  const found: Held[] = [];
  for (let mask = 1; mask < 1 << pool.length; mask++) {
    const chosen = pool.filter((_, k) => (mask & (1 << k)) !== 0);
    if (Exact.sum(chosen.map(({ line }) => cells[line]!.worth)).equals(value)) found.push(chosen);
  }
  return found.sort((a, b) => a.length - b.length);
}

/** The account of a problem in letters. */
export class CellAccount implements OwnAccount {
  private owed: readonly OwedCell[] = [];

  constructor(
    private readonly problem: Problem,
    private readonly all: readonly Cell[],
  ) {}

  open(scribe: Scribe): readonly OwedCell[] {
    const cuts = cutsOf(this.problem);
    if (termShape(this.problem.kind) === 'products') scribe.open(cuts);
    else scribe.openSum(cuts);
    this.owed = this.all.map(({ operand, parts }, cell) => ({
      operand,
      at: null,
      cell,
      entry: scribe.owes(...parts),
    }));
    return this.owed;
  }

  give(scribe: Scribe): void {
    giveWholes(scribe, this.problem);
  }

  cells(held: Held) {
    const entries = held.map(({ line }) => this.owed[line]!.entry);
    const { space } = this.owed[0]!.entry.terms;
    return {
      terms: TermSet.union(
        space,
        entries.map(({ terms }) => terms),
      ),
      beyond: new Map(),
    };
  }
}
