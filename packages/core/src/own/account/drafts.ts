import type { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import {
  bothSides,
  type FoundLine,
  type HopLine,
  type JudgedPaper,
  type LineStep,
  type TableLine,
} from '../judge/judged-paper.ts';
import type { Page } from '../../laws/move-spec.ts';
import {
  flat,
  numberOf,
  productNode,
  sumNode,
  termKey,
  termValue,
  turned,
  valueOfTerms,
  type Term,
} from '../../line/node.ts';
import { groupedWays, groupSteps, withoutCommonTerms } from '../judge/search/recognise.ts';
import { explain } from '../judge/search/search.ts';
import { chunkDrafts } from './chunks.ts';
import { jumpDrafts, statedJumps } from './jumps.ts';
import type { Aside, At, LineDraft, AccountLaying, Lived, Live } from './laying.ts';
import { pairDrafts } from './pair-drafts.ts';
import { BEHIND } from '../../account/line-sides.ts';

/** A line that works something. */
type WorkedLine = LineStep | HopLine | TableLine | FoundLine;

/** What lines do, one after the other, before anything is written. */
export class LineLedger {
  private readonly page: Page;

  constructor(
    private readonly problem: Problem,
    private readonly laying: AccountLaying,
    private readonly paper: JudgedPaper,
  ) {
    this.page = { base: problem.base, numbers: new Set<string>() };
  }

  drafted(): Lived | null {
    const start = this.laying.start(flat(this.paper.problem));
    if (!start || this.steps().length === 0) return null;
    const drafts = [...this.opening(start)];
    let live: readonly Live[] = drafts[0]?.gives ?? start;
    for (const step of this.steps()) {
      const made = this.after(live, step);
      if (!made) return null;
      drafts.push(...made.drafts);
      live = made.live;
    }
    return drafts.length > 0 ? { drafts, live } : null;
  }

  /** A computation that no method works is owed in one piece; its terms are told apart before the first line. */
  private opening([whole, ...more]: readonly Live[]): readonly LineDraft[] {
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

  /** Rewritings, jumps and tables in the order of their lines. */
  private steps(): readonly WorkedLine[] {
    const { rewritings, hops, tables, found } = this.paper;
    return [...rewritings, ...hops, ...tables, ...found].sort((a, b) => a.n - b.n);
  }

  private after(live: readonly Live[], step: WorkedLine): Lived | null {
    if ('to' in step) return this.step(live, step);
    const at = { problem: this.problem, laying: this.laying, live };
    if ('left' in step) return this.found(at, step);
    return 'hops' in step ? jumpDrafts(at, step) : pairDrafts(at, step, this.paper.pairs);
  }

  /** A statement that finds what is looked for is one piece of the problem; where it has none, it only stands there. */
  private found(at: At, { n, left, right }: FoundLine): Lived {
    const asides = [{ n, left, right, isTurned: false }];
    return chunkDrafts(at, asides, []) ?? statedJumps(at, asides) ?? { drafts: [], live: at.live };
  }

  private step(live: readonly Live[], step: LineStep): Lived | null {
    const isFirst = live.every(({ owed }) => owed !== null);
    const aside = isFirst ? this.asideOf(step) : [];
    if (aside === null) return null;
    return aside.length > 0 ? this.fromAside(live, step, aside) : this.line(live, step);
  }

  /** Where a rewriting begins on its line: behind those before it. */
  private behind(step: LineStep): number {
    const own = this.paper.rewritings.filter(({ n }) => n === step.n);
    return BEHIND * Math.max(0, own.indexOf(step));
  }

  /** A typed line, with the lines between that a leap passes over. */
  private line(from: readonly Live[], step: LineStep) {
    const { n, to, between, off, rest } = step;
    const behind = this.behind(step);
    const drafts: LineDraft[] = [];
    let live = from;
    if (rest && off.isZero) return this.withRest(live, step, rest);
    if (!off.isZero) {
      const gives = this.whole(live, flat(to), behind);
      return {
        drafts: [{ n, law: 'unnamed' as const, move: null, takes: live, gives, isBetween: false }],
        live: gives,
      };
    }
    const stages = [...between, to];
    stages.forEach((stage, k) => {
      const isLast = k === stages.length - 1;
      const made = isLast
        ? this.typed(live, flat(stage), n, behind)
        : this.stage(live, flat(stage), n, true);
      drafts.push(...made.drafts);
      live = made.live;
    });
    return { drafts, live };
  }

  /** A whole quotient, and what is left over as its share of the divisor. */
  private withRest(live: readonly Live[], { n, to }: LineStep, rest: Exact): Lived {
    const { base } = this.problem;
    const drafts: LineDraft[] = [];
    const law = 'evaluate' as const;
    let all = live[0]!;
    if (live.length > 1) {
      const term = { minus: false, node: sumNode(live.map((own) => own.term)) };
      const held = this.laying.follow(live, [term], null)[0]!;
      all = { term, held, owed: null, column: 0 };
      drafts.push({ n, law, move: null, takes: live, gives: [all], isBetween: true });
    }
    const [whole] = flat(to);
    const left = termValue(all.term).minus(termValue(whole!)).rational!;
    const share = productNode([
      { under: false, node: numberOf(rest, base) },
      { under: true, node: numberOf(rest.dividedBy(left), base) },
    ]);
    const terms = [whole!, { minus: false, node: share }];
    const helds = this.laying.follow([all], terms, null);
    const gives = terms.map((term, column): Live => ({
      term,
      held: helds[column]!,
      owed: null,
      column,
      ...(column === 1 ? { stands: { kind: 'rest', count: rest } as const } : {}),
    }));
    drafts.push({ n, law, move: null, takes: [all], gives, isBetween: false });
    return { drafts, live: gives };
  }

  /** The side lines that go into a line, with the sign that each has in it; null where they give something else than what they make. */
  private asideOf({ n, to }: LineStep): readonly Aside[] | null {
    const made = this.paper.lines.filter((line) => line.kind === 'side' && line.joins === n);
    const terms = flat(to);
    const asides = made.map(({ n: own }): Aside | null => {
      const statement = this.paper.statements.get(own);
      const sides = statement?.isTrue ? bothSides(statement) : null;
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
      return this.fromPieces(live, asides, { n, to });
    }
    if (!first) return null;
    const drafts: LineDraft[] = [];
    let now = live;
    const go = (
      stage: readonly Term[],
      isBetween: boolean,
      of: (made: readonly Term[]) => number,
      behind = 0,
    ) => {
      const made = this.stage(now, stage, n, isBetween, behind, (term) => ({
        row: of([term]),
        ...standsOf(term),
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
    const standsOf = (term: Term) =>
      asideOf([term])?.isTurned
        ? { stands: { kind: 'terms', terms: turned([term]) } as const }
        : {};
    for (const between of first.between) go(flat(between), true, () => asides[0]!.n);
    go(lefts, false, lineOf);
    go(rights, false, lineOf, BEHIND);
    const end = this.typed(now, flat(to), n);
    return { drafts: [...drafts, ...end.drafts], live: end.live };
  }

  /** What stands aside as pieces of a dividend, or as jumps, each on its line, and all of it put together. */
  private fromPieces(
    live: readonly Live[],
    asides: readonly Aside[],
    { n, to }: Pick<LineStep, 'n' | 'to'>,
  ): Lived | null {
    const at = { problem: this.problem, laying: this.laying, live };
    const made = chunkDrafts(at, asides, flat(to)) ?? statedJumps(at, asides);
    if (!made) return null;
    const end = this.typed(made.live, flat(to), n);
    return { drafts: [...made.drafts, ...end.drafts], live: end.live };
  }

  /** All that is there as the first of the new terms; the others hold nothing that is known. */
  private whole(live: readonly Live[], terms: readonly Term[], behind: number): readonly Live[] {
    const all = live.flatMap(({ held }) => held.map((piece) => ({ ...piece, own: null })));
    return terms.map((term, k) => ({
      term,
      held: k === 0 ? all : [],
      owed: null,
      column: behind + k,
    }));
  }

  private stage(
    live: readonly Live[],
    goal: readonly Term[],
    n: number,
    isBetween: boolean,
    behind = 0,
    at?: (term: Term) => Pick<Live, 'row' | 'stands'>,
  ) {
    // Terms are told apart by where they stand: one and the same may stand at several places of a line.
    const old = live.map(({ term }) => ({ ...term }));
    const to = goal.map((term) => ({ ...term }));
    const [from, made] = withoutCommonTerms(old, to);
    const ways = groupedWays(old, to);
    const explained = (way: (typeof ways)[number]) =>
      way.every(([a, b]) => groupSteps(a, b, this.page).length > 0);
    const way = ways.find(explained) ?? [[from, made] as const];
    const drafts = way.flatMap(([a, b]): readonly LineDraft[] => {
      const takes = a.map((term) => live[old.indexOf(term)]!);
      const [found] = groupSteps(a, b, this.page);
      const move = found?.[0] ?? null;
      const helds = this.laying.follow(takes, b, move);
      const gives = b.map((made, k): Live => {
        const place = to.indexOf(made);
        const term = goal[place]!;
        return { term, held: helds[k]!, owed: null, column: behind + place, ...at?.(term) };
      });
      return oneByOne({ n, law: move?.law ?? 'unnamed', move, takes, gives, isBetween });
    });
    const taken = new Set(drafts.flatMap(({ takes }) => takes));
    const kept = live.filter((own) => !taken.has(own));
    const gives = drafts.flatMap((draft) => draft.gives);
    return {
      drafts: drafts.filter(({ takes, gives: own }) => takes.length + own.length > 0),
      live: inOrder(goal, [...kept, ...gives]),
    };
  }

  /** A typed line: what changes in it, and what stays and is written again. */
  private typed(live: readonly Live[], to: readonly Term[], n: number, behind = 0): Lived {
    const made = this.stage(live, to, n, false, behind);
    const written = new Set(made.drafts.flatMap(({ gives }) => gives));
    const kept = made.live.filter((own) => !written.has(own));
    if (kept.length === 0) return made;
    const copies = kept.map((own): Live => ({
      term: own.term,
      held: own.held,
      owed: null,
      column: behind + made.live.indexOf(own),
    }));
    const again: LineDraft = {
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

/** Terms of a bracket that is owed are turned one by one, as the law of signs has them. */
function oneByOne(draft: LineDraft): readonly LineDraft[] {
  const [whole, ...more] = draft.takes;
  const cells = whole?.owed !== null && whole?.owed !== 'all' ? whole?.owed?.cells : undefined;
  if (draft.law !== 'sign' || !whole || !cells || more.length > 0) return [draft];
  return draft.gives.map((give) => {
    const own = new Set(give.held.map(({ line }) => line));
    const owed = { operand: 0, between: null, cells: own };
    return { ...draft, takes: [{ ...whole, held: give.held, owed }], gives: [give] };
  });
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
