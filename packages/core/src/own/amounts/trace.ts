import type { Entry, Law, Mark, Trace } from '../../account/account.ts';
import type { BeyondCell } from '../../account/beyond.ts';
import type { Writing } from '../../account/drafts.ts';
import { Scribe } from '../../account/scribe.ts';
import { PieceSpace } from '../../account/spaces.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue } from '../../exact/numeral.ts';
import { OWN_LINES } from '../../laws/replay.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Move, Page } from '../move.ts';
import { flat, termKey, termValue, valueOfTerms, type Term } from '../node.ts';
import { termsText } from '../node-text.ts';
import type { JudgedPaper, LineStep } from '../judged-paper.ts';
import { groupedWays, groupSteps, withoutCommonTerms } from '../recognise.ts';
import { explain } from '../search.ts';
import { movesText } from '../says.ts';
import { follow, type Amounted, type Following } from './follow.ts';
import { Grid, type SpaceShape } from './grid.ts';
import { span, type Held, type Piece } from './held.ts';
import { ownPhrase } from './phrases.ts';

/** One step of the ledger before its cells are known: what goes and what comes. */
interface Draft {
  readonly n: number;
  readonly law: Law;
  readonly move: Move | null;
  readonly takes: readonly Live[];
  readonly gives: readonly Live[];
  /** Whether it stands in a line between, which is not written. */
  readonly isBetween: boolean;
}

/** A term that is there, with what it holds; from the start what is owed. */
interface Live extends Amounted {
  /** Which number of the problem it is from the start; null for what was written. */
  readonly owed: number | 'all' | null;
}

/**
 * The account of a paper of rewritings: every line is a few steps, one for each group of terms that changes. Null where
 * the paper has other lines, or its problem no space that is laid out here: fractions, letters, roots, several factors.
 */
export function traceOfLines(paper: JudgedPaper): Trace | null {
  const { problem } = paper.asked;
  const shape = problem && shapeOf(problem);
  const isPlain = paper.lines.every(
    ({ kind, verdict }) =>
      kind === 'rewrite' || kind === 'total' || verdict === 'note' || verdict === 'side',
  );
  if (!problem || !shape || !isPlain || paper.rewritings.length === 0) return null;
  const ledger = new LineLedger(problem, shape, paper);
  return ledger.written();
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

class LineLedger {
  private lines = 0;
  private readonly page: Page;
  private readonly following: Following;

  constructor(
    private readonly problem: Problem,
    private readonly shape: SpaceShape,
    private readonly paper: JudgedPaper,
  ) {
    const numbers = new Set<string>();
    this.page = { base: problem.base, numbers };
    this.following = {
      kind: problem.kind as Following['kind'],
      base: problem.base,
      nextLine: () => -++this.lines,
    };
  }

  written(): Trace | null {
    const [first] = this.paper.rewritings;
    const start = this.start(flat(first!.from));
    if (!start) return null;
    let live: readonly Live[] = start;
    const drafts: Draft[] = [];
    for (const step of this.paper.rewritings) {
      const aside = this.asideOf(step);
      if (aside === null) return null;
      const made: Lived | null =
        aside.length > 0 ? this.fromAside(live, step, aside) : this.line(live, step);
      if (!made) return null;
      drafts.push(...made.drafts);
      live = made.live;
    }
    return this.write(drafts, live);
  }

  /** The terms of the problem with what they hold; null where its numbers are written as no number or bracket. */
  private start(terms: readonly Term[]): readonly Live[] | null {
    const { sizes, isProduct } = this.shape;
    if (isProduct || this.problem.kind === 'quotient') {
      if (terms.length !== 1) return null;
      const at = sizes.map((size) => span(Exact.ZERO, size));
      const piece: Piece = { line: 0, at, axes: at.map((_, k) => k), own: at, count: 1n };
      return [{ term: terms[0]!, held: [piece], owed: 'all' }];
    }
    if (terms.length !== sizes.length) return null;
    return terms.map((term, line): Live => {
      const at = [span(Exact.ZERO, sizes[line]!)];
      return { term, held: [{ line, at, axes: [0], own: at, count: 1n }], owed: line };
    });
  }

  /** A typed line, with the lines between that a leap passes over. */
  private line(from: readonly Live[], { n, to, between, off }: LineStep) {
    const drafts: Draft[] = [];
    let live = from;
    if (!off.isZero) {
      const gives = this.whole(live, flat(to));
      return {
        drafts: [{ n, law: 'unnamed' as const, move: null, takes: live, gives, isBetween: false }],
        live: gives,
      };
    }
    const stages = [...between, to];
    stages.forEach((stage, k) => {
      const made = this.stage(live, flat(stage), n, k < stages.length - 1);
      drafts.push(...made.drafts);
      live = made.live;
    });
    return { drafts, live };
  }

  /** The side lines that go into a line, with the sign that each has in it; null where they give something else than what they make. */
  private asideOf({ n, to }: LineStep): readonly Aside[] | null {
    const made = this.paper.lines.filter((line) => line.kind === 'side' && line.joins === n);
    const terms = flat(to);
    const asides = made.map(({ n: own }): Aside | null => {
      const sides = this.paper.statements.get(own);
      const [only, ...more] = sides ? flat(sides[1]) : [];
      if (!sides || !only || more.length > 0) return null;
      const there = terms.find(({ node }) => node.value.equals(only.node.value));
      const left = signed(flat(sides[0]), there?.minus);
      return { n: own, left, right: signed([only], there?.minus) };
    });
    return asides.includes(null) ? null : (asides as readonly Aside[]);
  }

  /** The problem as what stands aside, each worked out on its line, and all of it put together. */
  private fromAside(
    live: readonly Live[],
    { n, from, to, off }: LineStep,
    asides: readonly Aside[],
  ) {
    const lefts = asides.flatMap(({ left }) => left);
    const rights = asides.flatMap(({ right }) => right);
    const isSame = off.isZero && valueOfTerms(lefts).equals(valueOfTerms(from));
    const [first] = isSame ? explain(from, lefts, this.page).explained : [];
    if (!first || live.some(({ owed }) => owed === null)) return null;
    const drafts: Draft[] = [];
    let now = live;
    const go = (
      stage: readonly Term[],
      isBetween: boolean,
      of: (made: readonly Term[]) => number,
    ) => {
      const made = this.stage(now, stage, n, isBetween);
      const own = made.drafts.map((draft) => ({
        ...draft,
        n: of(draft.gives.map(({ term }) => term)),
      }));
      drafts.push(...own);
      now = made.live;
    };
    const lineOf = (made: readonly Term[]) =>
      asides.find(({ left, right }) => [...left, ...right].some((term) => made.includes(term)))
        ?.n ?? n;
    for (const between of first.between) go(flat(between), true, () => asides[0]!.n);
    go(lefts, false, lineOf);
    go(rights, false, lineOf);
    go(flat(to), false, () => n);
    return { drafts, live: now };
  }

  /** All that is there as the first of the new terms; the others hold nothing that is known. */
  private whole(live: readonly Live[], terms: readonly Term[]): readonly Live[] {
    const all = live.flatMap(({ held }) => held.map((piece) => ({ ...piece, own: null })));
    return terms.map((term, k) => ({ term, held: k === 0 ? all : [], owed: null }));
  }

  private stage(live: readonly Live[], to: readonly Term[], n: number, isBetween: boolean) {
    const old = live.map(({ term }) => term);
    const [from, made] = withoutCommonTerms(old, to);
    const ways = groupedWays(old, to);
    const explained = (way: (typeof ways)[number]) =>
      way.every(([a, b]) => groupSteps(a, b, this.page).length > 0);
    const way = ways.find(explained) ?? [[from, made] as const];
    const drafts = way.map(([a, b]): Draft => {
      const takes = a.map((term) => live.find((own) => own.term === term)!);
      const [found] = groupSteps(a, b, this.page);
      const move = found?.[0] ?? null;
      const helds = follow(takes, b, move, this.following);
      const gives = b.map((term, k): Live => ({ term, held: helds[k]!, owed: null }));
      return { n, law: move?.law ?? 'unnamed', move, takes, gives, isBetween };
    });
    const taken = new Set(drafts.flatMap(({ takes }) => takes));
    const kept = live.filter((own) => !taken.has(own));
    const gives = drafts.flatMap((draft) => draft.gives);
    return {
      drafts: drafts.filter(({ takes, gives: own }) => takes.length + own.length > 0),
      live: inOrder(to, [...kept, ...gives]),
    };
  }

  private write(drafts: readonly Draft[], end: readonly Live[]): Trace {
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
        .filter(({ operand }) => live.owed === 'all' || operand === live.owed)
        .map(({ entry }) => entry);
    };
    let column = 0;
    for (const { n, law, move, takes, gives, isBetween } of drafts) {
      const writes = gives.map((live): Writing =>
        this.writing(live, grid, scribe, [n, column++], isBetween),
      );
      const written = scribe.step({
        law,
        phase: { kind: 'line', of: n },
        takes: takes.flatMap(entriesOf),
        writes,
        phrase: ownPhrase('own.line', {
          from: takes.length === 0 ? '' : termsText(takes.map(({ term }) => term)),
          to: termsText(gives.map(({ term }) => term)),
          why: move ? movesText([move]) : 'no law is told',
        }),
      });
      gives.forEach((live, k) => marks.set(live, written[k]!));
    }
    return scribe.close(end.flatMap(entriesOf), ownPhrase('own.answer', {}));
  }

  /** Opens the account, cut as finely as the lines need it. */
  private open(
    scribe: Scribe,
    grid: Grid,
  ): readonly { readonly operand: number; readonly entry: Entry }[] {
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
      return scribe.openShares(this.space, pieces).map((entry) => ({ operand: 0, entry }));
    }
    if (this.shape.isProduct) {
      scribe.open(cuts);
      return cuts[1]!.flatMap((_, j) =>
        cuts[0]!.map((__, i) => ({ operand: 0, entry: scribe.owes(i, j) })),
      );
    }
    scribe.openSum(cuts);
    return cuts.flatMap((parts, operand) =>
      parts.map((_, k) => ({ operand, entry: scribe.owes(operand, k) })),
    );
  }

  private space: PieceSpace | null = null;

  private writing(
    { term, held }: Live,
    grid: Grid,
    scribe: Scribe,
    [row, column]: readonly [number, number],
    isBetween: boolean,
  ): Writing {
    const text = termsText([term]);
    const { terms, beyond } = this.cells(held, grid, scribe);
    return {
      role: 'subtotal',
      count: 0,
      place: 0,
      glyph: text,
      text,
      worth: termValue(term).rational!,
      spot: { area: isBetween ? 'between' : 'lines', row, column },
      medium: isBetween ? 'head' : 'paper',
      terms,
      beyond,
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

/** What a line does, and what is there after it. */
interface Lived {
  readonly drafts: readonly Draft[];
  readonly live: readonly Live[];
}

/** A statement that stands aside, both sides with the sign that it goes into the total with. */
interface Aside {
  readonly n: number;
  readonly left: readonly Term[];
  readonly right: readonly Term[];
}

function signed(terms: readonly Term[], minus = false): readonly Term[] {
  return minus ? terms.map((term) => ({ minus: !term.minus, node: term.node })) : terms;
}

/** The live terms in the order in which a line has them. */
function inOrder(line: readonly Term[], live: readonly Live[]): readonly Live[] {
  const rest = [...live];
  return line.flatMap((term) => {
    const at = rest.findIndex((own) => own.term === term || termKey(own.term) === termKey(term));
    return at < 0 ? [] : rest.splice(at, 1);
  });
}
