import type { Entry, Mark, Role, Spot, Trace } from '../../account/account.ts';
import type { Part } from '../../account/cut.ts';
import type { BeyondCell } from '../../account/beyond.ts';
import type { Writing } from '../../account/drafts.ts';
import { Scribe } from '../../account/scribe.ts';
import { PieceSpace } from '../../account/spaces.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralText, numeralValue } from '../../exact/numeral.ts';
import { OWN_LINES } from '../../laws/replay.ts';
import type { Problem } from '../../problem/problem.ts';
import { termShape } from '../../problem/kinds.ts';
import { scriptOf } from '../../problem/script.ts';
import { displayed } from '../displayed.ts';
import { termValue } from '../node.ts';
import { termsText } from '../node-text.ts';
import type { JudgedPaper } from '../judged-paper.ts';
import { movesText } from '../says.ts';
import { Grid, type SpaceShape } from './grid.ts';
import { span, type Held, type Span } from './held.ts';
import { ownPhrase } from './phrases.ts';

import { BEHIND, LineLedger, type Draft, type Live } from './drafts.ts';

/**
 * The account of a paper of rewritings and jumps: every line is a few steps, one for each group of terms that changes.
 * Null where it has none, or its problem no space that is laid out here: letters, roots, several factors, other bases.
 */
export function traceOfLines(paper: JudgedPaper): Trace | null {
  const { problem } = paper.asked;
  const shape = problem && shapeOf(problem);
  if (!problem || !shape || paper.rewritings.length + paper.hops.length === 0) return null;
  const made = new LineLedger(problem, shape, paper).drafted();
  return made && new LineWriter(problem, shape).write(made.drafts, made.live);
}

/** How the numbers of a problem span its space; null for problems that are not laid out. */
function shapeOf(problem: Problem): SpaceShape | null {
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

/** Writes drafts as steps of a ledger, cut as finely as they need it. */
class LineWriter {
  private space: PieceSpace | null = null;

  constructor(
    private readonly problem: Problem,
    private readonly shape: SpaceShape,
  ) {}

  write(drafts: readonly Draft[], end: readonly Live[]): Trace {
    const all = drafts.flatMap(({ takes, gives }) => [...takes, ...gives]);
    const grid = new Grid(
      this.shape,
      all.map(({ held }) => held),
    );
    const scribe = new Scribe({ problem: this.problem, method: OWN_LINES, school: {} });
    const owed = this.open(scribe, grid);
    const marks = new Map<Live, Mark>();
    const entriesOf = (live: Live): readonly Entry[] => {
      const mark = marks.get(live);
      if (mark) return [mark];
      return owed
        .filter(({ operand, at }) => isOf(live.owed, operand, at))
        .map(({ entry }) => entry);
    };
    let passed = 0;
    this.give(scribe);
    for (const { n, law, move, takes, gives, isBetween } of drafts) {
      const writes = gives.map((live): Writing =>
        this.writing(live, grid, scribe, {
          area: isBetween ? 'between' : 'lines',
          row: live.row ?? n,
          column: isBetween ? passed++ : live.column,
        }),
      );
      const written = scribe.step({
        law,
        phase: { kind: 'line', of: n },
        takes: takes.flatMap(entriesOf),
        writes,
        phrase: phraseOf({ law, move, takes, gives }),
      });
      gives.forEach((live, k) => marks.set(live, written[k]!));
    }
    return scribe.close(end.flatMap(entriesOf), ownPhrase('own.answer', {}));
  }

  /** The numbers of the question stand over the lines. */
  private give(scribe: Scribe): void {
    this.problem.operands.forEach((operand, column) => {
      const spot: Spot = { area: 'question', row: 0, column };
      if (!this.space) scribe.giveWhole(column, spot);
      else {
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
      }
    });
  }

  /** Opens the account, cut as finely as the lines need it. */
  private open(scribe: Scribe, grid: Grid): readonly OwedCell[] {
    const { cuts } = grid;
    if (this.problem.kind === 'quotient') {
      const divisor = numeralValue(this.problem.operands[1]);
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

  private writing(
    { term, held, hop, looks }: Live,
    grid: Grid,
    scribe: Scribe,
    spot: Spot,
  ): Writing {
    const text = termsText([term]);
    // Behind other terms a minus is a sign of its own.
    const isFirst = spot.column % BEHIND === 0;
    const glyph = looks ?? (isFirst ? text : text.replace(/^−/, '− '));
    const { terms, beyond } = this.cells(held, grid, scribe);
    return {
      role: partRole(this.problem, text),
      count: 0,
      place: 0,
      glyph: displayed(glyph),
      text,
      worth: termValue(term).rational!,
      spot,
      medium: spot.area === 'between' ? 'head' : 'paper',
      terms,
      beyond,
      ...(hop ? { hop } : {}),
    };
  }

  /** What an amount holds as terms, each once, and what is more or less than that. */
  private cells(held: Held, grid: Grid, scribe: Scribe) {
    const { inside, beyond } = grid.count(held);
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

/** A lone number on a paper of a quotient is a part of it that is found; any other amount is still worked on. */
export function partRole({ kind }: Problem, text: string): Role {
  return termShape(kind) === 'pieces' && /^−?\s?\d[\d. ]*(\/\d+)?$/.test(text)
    ? 'answer'
    : 'subtotal';
}

/** What is said of a step. */
function phraseOf({ law, move, takes, gives }: Pick<Draft, 'law' | 'move' | 'takes' | 'gives'>) {
  const [first] = gives;
  if (!first) {
    return ownPhrase('own.let-go', { what: displayed(termsText(takes.map(({ term }) => term))) });
  }
  const size = displayed(termsText([first.term]));
  if (first.hop) {
    const { from, to } = first.hop;
    return ownPhrase('own.jump', { from: from.toString(), to: to.toString(), size });
  }
  const why = law === 'reorder' && !move ? 'it is written again' : 'both sides are worked out';
  return ownPhrase('own.line', {
    from: takes.length === 0 ? '' : displayed(termsText(takes.map(({ term }) => term))),
    to: displayed(termsText(gives.map(({ term }) => term))),
    why: move ? movesText([move]) : why,
  });
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

/** A cell of the problem as it is owed, and where it lies on the line of its number. */
interface OwedCell {
  readonly operand: number;
  readonly at: Span | null;
  readonly entry: Entry;
}

/** Whether a cell is of what is owed. */
function isOf(owed: Live['owed'], operand: number, at: Span | null): boolean {
  if (owed === null || owed === 'all') return owed === 'all';
  if (operand !== owed.operand) return false;
  const { between } = owed;
  return !between || !at || (at.from.compare(between.from) >= 0 && at.to.compare(between.to) <= 0);
}
