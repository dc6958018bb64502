import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Page } from '../move.ts';
import {
  flat,
  numberOf,
  productNode,
  termKey,
  termValue,
  valueOfTerms,
  type Term,
  turned,
} from '../node.ts';
import type { HopLine, JudgedPaper, LineStep } from '../judged-paper.ts';
import { termsText } from '../node-text.ts';
import { groupedWays, groupSteps, withoutCommonTerms } from '../recognise.ts';
import { explain } from '../search.ts';
import type { SpaceShape } from './grid.ts';
import type { Draft, Laying, Live } from './laying.ts';
import { span, type Piece, type Span } from './held.ts';

/** Where the right side of a statement begins. */
export const BEHIND = 100;

/** What lines do, one after the other, before anything is written. */
export class LineLedger {
  private readonly page: Page;

  constructor(
    private readonly problem: Problem,
    private readonly laying: Laying,
    private readonly paper: JudgedPaper,
  ) {
    this.page = { base: problem.base, numbers: new Set<string>() };
  }

  drafted(): Lived | null {
    const start = this.laying.start(flat(this.paper.problem));
    if (!start) return null;
    const drafts = [...this.opening(start)];
    let live: readonly Live[] = drafts[0]?.gives ?? start;
    for (const step of this.steps()) {
      const made = 'hops' in step ? this.hops(live, step) : this.step(live, step);
      if (!made) return null;
      drafts.push(...made.drafts);
      live = made.live;
    }
    return { drafts, live };
  }

  /** A computation that no method works is owed in one piece; its terms are told apart before the first line. */
  private opening([whole, ...more]: readonly Live[]): readonly Draft[] {
    const terms = flat(this.paper.problem);
    if (!whole || more.length > 0 || whole.owed !== 'all' || terms.length < 2) return [];
    const [first] = this.steps();
    const helds = this.laying.follow([whole], terms, null);
    const gives = terms.map((term, column): Live => ({
      term,
      held: helds[column]!,
      owed: null,
      column,
    }));
    const n = first!.n;
    return [{ n, law: 'evaluate', move: null, takes: [whole], gives, isBetween: true }];
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
    const { shape } = this.laying;
    if (this.problem.kind !== 'difference' || !shape || !a || !b || !isWhole) return null;
    const [x, y] = shape.sizes;
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
      const size = { minus: operand === 1, node: numberOf(at.to.minus(at.from), shape.base) };
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
    const { shape } = this.laying;
    if (this.problem.kind !== 'quotient' || !shape) return null;
    const by = shape.unit;
    const marks: Live[] = [];
    let at = Exact.ZERO;
    for (const { n: row, left, right, isTurned } of asides) {
      const size = right[0]!.node.value.rational;
      const share = size?.isConstant ? size.times(by) : null;
      const isChosen = left.length === 1 && isChosenFactor(left[0]!, share, by);
      if (!size || !share || isTurned || !isChosen) return null;
      const piece = span(at, at.plus(size));
      const whole = span(Exact.ZERO, size);
      at = piece.to;
      marks.push({
        term: { minus: false, node: numberOf(share, shape.base) },
        held: [{ line: 0, at: [piece], axes: [0], own: [whole], count: 1n }],
        owed: null,
        column: 0,
        row,
        looks: `${termsText(left)} = ${termsText(right)}`,
      });
    }
    if (!at.equals(shape.sizes[0]!) || live.length !== 1) return null;
    const drafts = marks.map((mark): Draft => {
      const between = mark.held[0]!.at[0]!;
      const owed = { operand: 0, between };
      const takes = [{ ...live[0]!, term: shareOf(between, shape), held: mark.held, owed }];
      return { n: mark.row!, law: 'evaluate', move: null, takes, gives: [mark], isBetween: false };
    });
    const end = this.typed(marks, flat(to), n);
    return { drafts: [...drafts, ...end.drafts], live: end.live };
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
    const drafts = way.flatMap(([a, b]): readonly Draft[] => {
      const takes = a.map((term) => live.find((own) => own.term === term)!);
      const [found] = groupSteps(a, b, this.page);
      const move = found?.[0] ?? null;
      const helds = this.laying.follow(takes, b, move);
      const gives = b.map((term, k): Live => ({
        term,
        held: helds[k]!,
        owed: null,
        column: behind + to.indexOf(term),
        ...at?.(term),
      }));
      return oneByOne({ n, law: move?.law ?? 'unnamed', move, takes, gives, isBetween });
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

/** Terms of a bracket that is owed are turned one by one, as the law of signs has them. */
function oneByOne(draft: Draft): readonly Draft[] {
  const [whole, ...more] = draft.takes;
  const cells = whole?.owed !== null && whole?.owed !== 'all' ? whole?.owed?.cells : undefined;
  if (draft.law !== 'sign' || !whole || !cells || more.length > 0) return [draft];
  return draft.gives.map((give) => {
    const own = new Set(give.held.map(({ line }) => line));
    const owed = { operand: 0, between: null, cells: own };
    return { ...draft, takes: [{ ...whole, held: give.held, owed }], gives: [give] };
  });
}

/** A piece of the dividend, shared by the divisor: `700 ÷ 7`. */
function shareOf({ from, to }: Span, { base, unit }: SpaceShape): Term {
  const [piece, divisor] = [to.minus(from), Exact.ONE.dividedBy(unit)];
  const factors = [
    { under: false, node: numberOf(piece, base) },
    { under: true, node: numberOf(divisor, base) },
  ];
  return { minus: false, node: productNode(factors) };
}

/** Whether a term is the divisor so many times. */
function isChosenFactor({ node }: Term, count: Exact | null, unit: Exact): boolean {
  if (node.kind !== 'product' || node.factors.length !== 2 || !count) return false;
  const values = node.factors.map((factor) => factor.node.value.rational);
  const isDivisor = values.some((value) => value?.equals(Exact.ONE.dividedBy(unit)));
  const isCount = values.some((value) => value?.equals(count));
  return isDivisor && isCount && node.factors.every(({ under }) => !under);
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
