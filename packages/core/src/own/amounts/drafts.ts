import type { Hop, Law } from '../../account/account.ts';
import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Move, Page } from '../move.ts';
import { flat, numberOf, termKey, termValue, valueOfTerms, type Term, turned } from '../node.ts';
import type { HopLine, JudgedPaper, LineStep } from '../judged-paper.ts';
import { termsText } from '../node-text.ts';
import { groupedWays, groupSteps, withoutCommonTerms } from '../recognise.ts';
import { explain } from '../search.ts';
import { follow, type Amounted, type Following } from './follow.ts';
import { type SpaceShape } from './grid.ts';
import { span, type Piece, type Span } from './held.ts';

/** One step of the ledger before its cells are known: what goes and what comes. */
export interface Draft {
  readonly n: number;
  readonly law: Law;
  readonly move: Move | null;
  readonly takes: readonly Live[];
  readonly gives: readonly Live[];
  /** Whether it stands in a line between, which is not written. */
  readonly isBetween: boolean;
}

/** A number of the problem as it is owed, or what lies between two points of its line. */
export interface Owed {
  readonly operand: number;
  readonly between: Span | null;
}

/** A term that is there, with what it holds; from the start what is owed. */
export interface Live extends Amounted {
  /** Which number of the problem it is from the start; null for what was written. */
  readonly owed: Owed | 'all' | null;
  /** Its number in its line, from 0; behind an equals sign inside the line from {@link BEHIND} on. */
  readonly column: number;
  /** How it is written, where the line that it stands on has it with another sign than it counts with. */
  readonly looks?: string;
  /** The line that it stands on, where that is not the one of its step. */
  readonly row?: number;
  /** For a jump, where it starts and where it lands. */
  readonly hop?: Hop;
}

/** Where the right side of a statement begins. */
export const BEHIND = 100;

/** What lines do, one after the other, before anything is written. */
export class LineLedger {
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

  drafted(): Lived | null {
    const start = this.start(flat(this.paper.problem));
    if (!start) return null;
    let live: readonly Live[] = start;
    const drafts: Draft[] = [];
    for (const step of this.steps()) {
      const made = 'hops' in step ? this.hops(live, step) : this.step(live, step);
      if (!made) return null;
      drafts.push(...made.drafts);
      live = made.live;
    }
    return { drafts, live };
  }

  /** Rewritings and jumps in the order of their lines. */
  private steps(): readonly (LineStep | HopLine)[] {
    return [...this.paper.rewritings, ...this.paper.hops].sort((a, b) => a.n - b.n);
  }

  private step(live: readonly Live[], step: LineStep): Lived | null {
    const isFirst = live.every(({ owed }) => owed !== null);
    const aside = isFirst ? this.asideOf(step) : [];
    if (aside === null) return null;
    return aside.length > 0 ? this.fromAside(live, step, aside) : this.line(live, step);
  }

  /**
   * Jumps from one number of a difference to the other: each is a piece of the larger one's line, and the smaller one
   * is let go on both sides.
   */
  private hops(live: readonly Live[], { n, hops }: HopLine): Lived | null {
    const [a, b] = live;
    const isWhole = a?.owed !== null && b?.owed !== null && live.length === 2;
    if (this.problem.kind !== 'difference' || !a || !b || !isWhole) return null;
    const [x, y] = this.shape.sizes;
    const [operand, high, low] = x!.compare(y!) > 0 ? [0, x!, y!] : [1, y!, x!];
    const pieceAt = (at: Span): Piece => ({
      line: operand,
      at: [at],
      axes: [0],
      own: null,
      count: 1n,
    });
    const lands = [low, ...hops.map(({ to }) => to), ...hops.map(({ from }) => from), high];
    if (lands.some((at) => at.compare(low) < 0 || at.compare(high) > 0)) return null;
    const drafts: Draft[] = [];
    const marks: Live[] = [];
    for (const [column, { from, to }] of hops.entries()) {
      const at = from.compare(to) < 0 ? span(from, to) : span(to, from);
      const size = { minus: operand === 1, node: numberOf(at.to.minus(at.from), this.shape.base) };
      const owed: Live = {
        term: size,
        held: [pieceAt(at)],
        owed: { operand, between: at },
        column,
      };
      const mark: Live = {
        term: size,
        held: [{ ...pieceAt(at), own: [span(Exact.ZERO, at.to.minus(at.from))] }],
        owed: null,
        column,
        hop: { from, to },
      };
      drafts.push({
        n,
        law: 'evaluate',
        move: null,
        takes: [owed],
        gives: [mark],
        isBetween: false,
      });
      marks.push(mark);
    }
    drafts.push(this.letGo(n, live, operand, pieceAt(span(Exact.ZERO, low))));
    return { drafts, live: marks };
  }

  /** What both numbers of a difference have in common comes to nothing. */
  private letGo(n: number, live: readonly Live[], operand: number, under: Piece): Draft {
    const rest: Live = {
      term: live[operand]!.term,
      held: [under],
      owed: { operand, between: under.at[0]! },
      column: 0,
    };
    const takes = [rest, live[1 - operand]!];
    return { n, law: 'inverse', move: null, takes, gives: [], isBetween: false };
  }

  /** The terms of the problem with what they hold; null where its numbers are written as no number or bracket. */
  private start(terms: readonly Term[]): readonly Live[] | null {
    const { sizes, isProduct } = this.shape;
    if (isProduct || this.problem.kind === 'quotient') {
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
      const isLast = k === stages.length - 1;
      const made = isLast
        ? this.typed(live, flat(stage), n)
        : this.stage(live, flat(stage), n, true);
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
      const right = signed([only], there?.minus);
      return { n: own, left, right, isTurned: there?.minus === true };
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
    if (live.some(({ owed }) => owed === null)) return null;
    const [first] = isSame ? explain(from, lefts, this.page).explained : [];
    if (!first && off.isZero) {
      return this.fromChunks(live, asides, { n, to }) ?? this.fromHops(live, asides, { n, to });
    }
    if (!first) return null;
    const drafts: Draft[] = [];
    let now = live;
    const go = (
      stage: readonly Term[],
      isBetween: boolean,
      of: (made: readonly Term[]) => number,
      behind = 0,
    ) => {
      const made = this.stage(now, stage, n, isBetween, behind, (term) => ({
        row: of([term]),
        ...looksOf(term),
      }));
      const own = made.drafts.map((draft) => ({
        ...draft,
        n: of(draft.gives.map(({ term }) => term)),
      }));
      drafts.push(...own);
      now = made.live;
    };
    const asideOf = (made: readonly Term[]) =>
      asides.find(({ left, right }) => [...left, ...right].some((term) => made.includes(term)));
    const lineOf = (made: readonly Term[]) => asideOf(made)?.n ?? n;
    const looksOf = (term: Term) =>
      asideOf([term])?.isTurned ? { looks: termsText(turned([term])) } : {};
    for (const between of first.between) go(flat(between), true, () => asides[0]!.n);
    go(lefts, false, lineOf);
    go(rights, false, lineOf, BEHIND);
    const end = this.typed(now, flat(to), n);
    return { drafts: [...drafts, ...end.drafts], live: end.live };
  }

  /**
   * Products of the divisor that make up the dividend, `7 × 100 = 700` and `7 × 36 = 252`: each finds the share of a piece
   * of the dividend, which is the factor that was chosen.
   */
  private fromChunks(
    live: readonly Live[],
    asides: readonly Aside[],
    { n, to }: Pick<LineStep, 'n' | 'to'>,
  ): Lived | null {
    if (this.problem.kind !== 'quotient') return null;
    const by = this.shape.unit;
    const marks: Live[] = [];
    let at = Exact.ZERO;
    for (const { n: row, left, right, isTurned } of asides) {
      const size = right[0]!.node.value.rational;
      const share = size?.isConstant ? size.times(by) : null;
      const isChosen = left.length === 1 && this.chosenFactor(left[0]!, share);
      if (!size || !share || isTurned || !isChosen) return null;
      const piece = span(at, at.plus(size));
      const whole = span(Exact.ZERO, size);
      at = piece.to;
      marks.push({
        term: { minus: false, node: numberOf(share, this.shape.base) },
        held: [{ line: 0, at: [piece], axes: [0], own: [whole], count: 1n }],
        owed: null,
        column: 0,
        row,
        looks: termsText(left),
      });
    }
    if (!at.equals(this.shape.sizes[0]!) || live.length !== 1) return null;
    const drafts = marks.map((mark): Draft => {
      const owed = { operand: 0, between: mark.held[0]!.at[0]! };
      const takes = [{ ...live[0]!, term: mark.term, held: mark.held, owed }];
      return { n: mark.row!, law: 'evaluate', move: null, takes, gives: [mark], isBetween: false };
    });
    const end = this.typed(marks, flat(to), n);
    return { drafts: [...drafts, ...end.drafts], live: end.live };
  }

  /** Whether a term is the divisor so many times. */
  private chosenFactor({ node }: Term, count: Exact | null): boolean {
    if (node.kind !== 'product' || node.factors.length !== 2 || !count) return false;
    const values = node.factors.map((factor) => factor.node.value.rational);
    const divisor = Exact.ONE.dividedBy(this.shape.unit);
    const isDivisor = values.some((value) => value?.equals(divisor));
    const isCount = values.some((value) => value?.equals(count));
    return isDivisor && isCount && node.factors.every(({ under }) => !under);
  }

  /** Statements that go on from each other as jumps, each on its line, and what they make put together. */
  private fromHops(
    live: readonly Live[],
    asides: readonly Aside[],
    { n, to }: Pick<LineStep, 'n' | 'to'>,
  ): Lived | null {
    const hops = asides.map(({ left, right }) => ({
      from: termValue(left[0]!).rational!,
      to: termValue(right[0]!).rational!,
    }));
    const goesOn = hops.every(({ from }, k) => k === 0 || from.equals(hops[k - 1]!.to));
    const made = goesOn ? this.hops(live, { n, hops }) : null;
    if (!made) return null;
    const drafts = made.drafts.map((draft, k) => ({
      ...draft,
      n: asides[k]?.n ?? asides.at(-1)!.n,
    }));
    const end = this.typed(made.live, flat(to), n);
    return { drafts: [...drafts, ...end.drafts], live: end.live };
  }

  /** All that is there as the first of the new terms; the others hold nothing that is known. */
  private whole(live: readonly Live[], terms: readonly Term[]): readonly Live[] {
    const all = live.flatMap(({ held }) => held.map((piece) => ({ ...piece, own: null })));
    return terms.map((term, k) => ({ term, held: k === 0 ? all : [], owed: null, column: k }));
  }

  private stage(
    live: readonly Live[],
    to: readonly Term[],
    n: number,
    isBetween: boolean,
    behind = 0,
    at?: (term: Term) => Pick<Live, 'row' | 'looks'>,
  ) {
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
      const gives = b.map((term, k): Live => ({
        term,
        held: helds[k]!,
        owed: null,
        column: behind + to.indexOf(term),
        ...at?.(term),
      }));
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

  /** A typed line: what changes in it, and what stays and is written again. */
  private typed(live: readonly Live[], to: readonly Term[], n: number): Lived {
    const made = this.stage(live, to, n, false);
    const written = new Set(made.drafts.flatMap(({ gives }) => gives));
    const kept = made.live.filter((own) => !written.has(own));
    if (kept.length === 0) return made;
    const copies = kept.map((own): Live => ({
      term: own.term,
      held: own.held,
      owed: null,
      column: made.live.indexOf(own),
    }));
    const again: Draft = {
      n,
      law: 'reorder',
      move: null,
      takes: kept,
      gives: copies,
      isBetween: false,
    };
    const now = made.live.map((own) => (kept.includes(own) ? copies[kept.indexOf(own)]! : own));
    return { drafts: [...made.drafts, again], live: now };
  }
}

/** What a line does, and what is there after it. */
export interface Lived {
  readonly drafts: readonly Draft[];
  readonly live: readonly Live[];
}

/** A statement that stands aside, both sides with the sign that it goes into the total with. */
interface Aside {
  readonly n: number;
  readonly left: readonly Term[];
  readonly right: readonly Term[];
  /** Whether it goes in with the other sign than it is written with. */
  readonly isTurned: boolean;
}

function signed(terms: readonly Term[], minus = false): readonly Term[] {
  return minus ? turned(terms) : terms;
}

/** The live terms in the order in which a line has them. */
function inOrder(line: readonly Term[], live: readonly Live[]): readonly Live[] {
  const rest = [...live];
  return line.flatMap((term) => {
    const at = rest.findIndex((own) => own.term === term || termKey(own.term) === termKey(term));
    return at < 0 ? [] : rest.splice(at, 1);
  });
}
