import { figureId, markId, owedId } from './ids.ts';
import { KINDS } from '../problem/kinds.ts';
import { Exact } from '../exact/exact.ts';
import { figure, numeralText, worthAt, type Numeral } from '../exact/numeral.ts';
import { problemValue } from '../problem/problem.ts';
import type {
  Entry,
  EntryId,
  FactChance,
  Given,
  Group,
  GroupRole,
  Mark,
  Opportunity,
  OwedEntry,
  Phrase,
  Spot,
  Step,
  Trace,
} from './account.ts';
import { beyondOf, NOTHING_BEYOND, type Beyond } from './beyond.ts';
import {
  addressText,
  canBeTaken,
  where,
  whereText,
  withEnds,
  WRONG_FACT,
  type Chance,
  type Fact,
  type Feature,
  type Where,
} from './chance.ts';
import { placeCut } from './cut.ts';
import { firstOfKinds } from './first-of-kinds.ts';
import type { ScribeRequest, StagePlace, StepDraft, Writing } from './drafts.ts';
import { Walk, worthOf } from './ledger.ts';

export type { ScribeRequest, SlipAt, StagePlace, StepDraft, Writing } from './drafts.ts';
import { TermSet, type Cuts, type TermSpace } from './terms.ts';
import { choices, ProductSpace, type PieceSpace, SumSpace } from './spaces.ts';

/** One empty list for all steps that strike nothing. */
const NONE: readonly EntryId[] = [];
/** A record while it is made. */
type Writable<T> = { -readonly [K in keyof T]: T[K] };

const NO_OWED: readonly OwedEntry[] = [];
const NO_FEATURES: readonly Feature[] = [];

const ONLY_STAGE: StagePlace = { number: 1, isLast: true };

/**
 * Writes one trace. It opens the account with the expansion a method works from, turns drafts into
 * steps, gives every mark its worth from the place it is written in, keeps the running balance, and
 * collects the points where a learner may slip. A new Scribe is made for every trace.
 */
export class Scribe {
  readonly base: number;
  /** Whether terms are kept; where they are not, a method need not cut its numbers finely. */
  readonly keepsTerms: boolean = true;
  protected space!: TermSpace;
  protected readonly owed = new Map<number, OwedEntry>();
  private readonly walk = new Walk();
  private readonly givens: Given[] = [];
  private readonly written: Step[] = [];
  private readonly groups: Group[] = [];
  protected readonly opportunities: Opportunity[] = [];
  protected readonly facts: FactChance[] = [];
  private readonly slipCounts = new Map<string, number>();
  private readonly wanted: ReadonlySet<string>;
  /** For what facts are taken, by where they are used. */
  private readonly mistaken: ReadonlyMap<string, number>;
  /** For each operand and part, the numbers of the terms it takes part in. */
  private termsOf: number[][][] = [];
  /** Terms of steps that came to nothing and wrote nothing. */
  private readonly spent: TermSet[] = [];
  private kinds: ReadonlyMap<string, EntryId> | null = null;
  private marks = 0;

  constructor(protected readonly request: ScribeRequest) {
    this.base = request.problem.base;
    this.wanted = new Set(request.slips?.map(addressText));
    this.mistaken = new Map(
      request.slips?.flatMap(({ at, value }) =>
        value === undefined ? [] : [[whereText(at), value]],
      ),
    );
  }

  /**
   * Opens the account: the product of the operands, cut at their places, all of it owed. `kept`
   * names the part indices to keep of each operand; those left out must be worth zero.
   */
  openProduct(operands: readonly Numeral[], kept?: readonly (readonly number[])[]): void {
    this.open(operands.map(placeCut), kept);
  }

  /** Opens the account of a product with any cut of the operands. */
  open(
    cuts: Cuts,
    kept: readonly (readonly number[])[] = cuts.map((parts) => parts.map((_, k) => k)),
  ): void {
    this.openTerms(new ProductSpace(cuts), () => choices(kept));
  }

  /**
   * Opens the account of a sum or difference: every part of every operand is owed, those of the
   * subtrahend with a minus, those worth nothing too.
   */
  openSum(cuts: Cuts): void {
    const { takesAway } = KINDS[this.request.problem.kind];
    const signs = cuts.map((_, k) => (takesAway && k > 0 ? -1 : 1));
    this.openTerms(new SumSpace(cuts, signs), () =>
      cuts.flatMap((parts, operand) => parts.map((_, part) => [operand, part])),
    );
  }

  /**
   * Opens the account of a quotient or a root: some pieces of the number together are owed as one figure
   * of it, shared by the divisor where there is one.
   */
  openShares(
    space: PieceSpace,
    owed: readonly { readonly text: string; readonly worth: Exact; readonly terms: TermSet }[],
  ): readonly OwedEntry[] {
    this.space = space;
    const entries = owed.map((of, k): OwedEntry => ({
      id: owedId(k),
      standing: 'owed',
      ...of,
    }));
    entries.forEach((entry, k) => this.owed.set(k, entry));
    this.walk.open(entries);
    return entries;
  }

  protected openTerms(space: TermSpace, kept: () => readonly (readonly number[])[]): void {
    this.space = space;
    this.termsOf = space.cuts.map((parts) => parts.map(() => []));
    for (const parts of kept()) {
      const index = space.index(parts);
      const worth = space.worthOf(parts);
      const id = owedId(space.id(index));
      const terms = worth.isZero ? TermSet.empty(space) : TermSet.of(space, index);
      const entry: OwedEntry = { id, standing: 'owed', text: space.textOf(parts), worth, terms };
      this.owed.set(index, entry);
      if (worth.isZero) continue;
      for (const [operand, part] of space.madeOf(parts)) this.termsOf[operand]![part]!.push(index);
    }
    this.walk.open([...this.owed.values()]);
  }

  /** The owed entry made of these part indices. */
  owes(...parts: number[]): OwedEntry {
    const entry = this.owed.get(this.space.index(parts));
    if (!entry) throw new RangeError(`Scribe.owes: no term ${parts.join('.')} in this account`);
    return entry;
  }

  /** The user's order where one was asked for, then the rest in the method's own order. */
  ordered<T extends readonly number[]>(own: readonly T[]): readonly T[] {
    const wish = this.request.order;
    if (!wish || wish.length === 0) return own;
    const byId = new Map(own.map((parts) => [parts.join('.'), parts]));
    const first = wish.flatMap((id) => {
      const parts = byId.get(id);
      byId.delete(id);
      return parts ? [parts] : [];
    });
    return [...first, ...byId.values()];
  }

  /**
   * Puts a digit or part of an operand on the paper, in its own figures or as it looks there. It is no
   * amount of the account.
   */
  give(operand: number, part: number, role: Given['role'], spot: Spot, looks?: string): Given {
    const { worth, text, place } = this.space.cuts[operand]![part]!;
    const terms = TermSet.from(this.space, this.termsOf[operand]![part]!);
    const glyph = looks ?? (role === 'operand digit' ? text.slice(0, 1) : text);
    const id = figureId(operand, part);
    const own =
      this.space instanceof SumSpace ? this.owed.get(this.space.index([operand, part])) : null;
    const owed = own?.id ?? null;
    return this.given({ id, text, glyph, worth, terms, role, spot, operand, place, owed });
  }

  /** Puts a whole operand on the paper as one number, in its own figures or as it looks there. */
  giveWhole(operand: number, spot: Spot, looks?: string): Given {
    const text = numeralText(this.request.problem.operands[operand]!);
    const worth = Exact.sum(this.space.cuts[operand]!.map((part) => part.worth));
    const terms = TermSet.from(this.space, this.termsOf[operand]!.flat());
    const only = this.space instanceof SumSpace && this.space.cuts[operand]!.length === 1;
    const owed = only ? (this.owed.get(this.space.index([operand, 0]))?.id ?? null) : null;
    const id = figureId(operand);
    const place = undefined;
    const role = 'operand part';
    return this.given({
      id,
      text,
      glyph: looks ?? text,
      worth,
      terms,
      role,
      spot,
      operand,
      place,
      owed,
    });
  }

  /** Puts a figure or number on the paper that is no part of one operand's own cut. */
  giveFigure(of: Omit<Given, 'standing' | 'id'>): Given {
    return this.given({ id: figureId(of.operand, this.givens.length), ...of });
  }

  private given(of: Omit<Given, 'standing'>): Given {
    const given: Given = { standing: 'given', ...of };
    this.givens.push(given);
    return given;
  }

  /** How many figures an answer in columns has at least: one, or those from the ones on where there is a point. */
  get leastPlaces(): number {
    return this.request.leastPlaces ?? 1;
  }

  /** For each number, how many of its last places are behind the point and not written in the question. */
  get blankTails(): readonly number[] {
    return this.request.blankTails ?? [];
  }

  /** Which of the problem's two factors is the lower one of the paper. */
  get lowerFactor(): number {
    return this.request.onTop === 1 ? 0 : 1;
  }

  /** The stage of a string of factors that is written. */
  get stage(): StagePlace {
    return this.request.stage ?? ONLY_STAGE;
  }

  /** The hops of her own choosing, in the order in which she wants them; empty when she has none. */
  get hops(): readonly Exact[] {
    return this.request.hops ?? [];
  }

  /** Makes a step and returns the marks it wrote, in the order of the draft. */
  step({ law, phase, about, takes, writes, strikes = [], phrase }: StepDraft): readonly Mark[] {
    const terms = TermSet.union(
      this.space,
      takes.map((entry) => entry.terms),
    );
    const onward = writes.some(({ beyond }) => beyond) ? NOTHING_BEYOND : beyondOf(takes);
    const gives = writes.map((writing, k) =>
      this.mark(writing, terms, writing.beyond ?? (k === 0 ? onward : NOTHING_BEYOND)),
    );
    if (gives.length === 0 && worthOf(takes).isZero) this.spent.push(terms);
    const number = this.written.length + 1;
    const taken = takes.map((entry) => entry.id);
    const struck = strikes.length === 0 ? NONE : strikes.map((mark) => mark.id);
    const balance = this.walk.step({ number, takes: taken, gives, opens: NO_OWED });
    const moved = { number, law, phase, takes: taken, gives, opens: NO_OWED, strikes: struck };
    const step: Writable<Step> = Object.assign(moved, { phrase, balance });
    if (about) step.about = about;
    this.written.push(step);
    return gives;
  }

  /**
   * Whether the learner slips at this point. Call it once at each point, just before the step, with
   * whether the slip would change anything there; the calls of a clean run are the opportunities.
   */
  slip(slip: string, when: boolean, { at, features = [], ahead = 0 }: Chance): boolean {
    if (!when) return false;
    const occurrence = (this.slipCounts.get(slip) ?? 0) + 1;
    this.slipCounts.set(slip, occurrence);
    const step = this.stepsDone + 1 + ahead;
    this.opportunities.push({ slip, occurrence, at, features, step });
    return this.willSlip(slip, at);
  }

  /**
   * Whether the learner will slip at some later point, for work that must be planned before it is written.
   * The point itself is still to be asked about with {@link slip} when it comes.
   */
  willSlip(slip: string, at: Where): boolean {
    return this.wanted.size > 0 && this.wanted.has(addressText({ slip, at }));
  }

  /**
   * What a learner takes a fact for: what is due, or the number that was asked for at this point. Call it once at each
   * point where a fact is used, just before the step.
   */
  fact(fact: Fact, at: Where, ahead = 0): number {
    const step = this.stepsDone + 1 + ahead;
    const occurrence = this.facts.length + 1;
    this.facts.push({ slip: WRONG_FACT, occurrence, at, features: NO_FEATURES, step, fact });
    if (this.mistaken.size === 0) return fact.due;
    const taken = this.mistaken.get(whereText(at));
    return taken !== undefined && canBeTaken(fact, taken) ? taken : fact.due;
  }

  /** The first term of a kind, by its letters: what names the kind, whatever has become of its terms. */
  kindWhere(letters: string): Where {
    this.kinds ??= firstOfKinds(this.owed);
    return where('term', ...(this.kinds.get(letters)?.slice(1).split('.').map(Number) ?? []));
  }

  /** How many steps are written. */
  get stepsDone(): number {
    return this.written.length;
  }

  /** Names entries that are read together; owed ones when they are only seen together. */
  group(
    id: string,
    role: GroupRole,
    marks: readonly Entry[],
    phrase: Phrase,
    more: readonly TermSet[] = [],
  ): void {
    this.groups.push({
      id,
      role,
      marks: marks.map((mark) => mark.id),
      worth: Exact.sum(marks.map((mark) => mark.worth)),
      terms: TermSet.union(this.space, [...marks.map((mark) => mark.terms), ...more]),
      phrase,
    });
  }

  /** Closes the trace with the marks that are read as the answer; what came to nothing is part of it. */
  close(answer: readonly Entry[], phrase: Phrase): Trace {
    this.group('answer', 'answer', answer, phrase, this.spent);
    const { problem, method, school, order = [], hops = [] } = this.request;
    const total = problemValue(problem);
    return {
      problem,
      method,
      school,
      choice: { order, hops },
      space: this.space,
      givens: this.givens,
      start: [...this.owed.values()],
      steps: this.written,
      groups: this.groups,
      opportunities: withEnds(this.opportunities),
      facts: this.facts,
      total,
      answer: this.groups.at(-1)!.worth,
      balanced: this.written.every((step) => step.balance.equals(total)),
      scale: null,
      whole: null,
      stages: [],
    };
  }

  private mark(writing: Writing, all: TermSet, beyond: Beyond = NOTHING_BEYOND): Mark {
    const { from, hop, line } = writing;
    const ofThese = (entries: readonly Entry[]) =>
      TermSet.union(
        this.space,
        entries.map((entry) => entry.terms),
      );
    // Its fields are put on one object: spreading objects into each other takes most of the time of a whole work.
    const mark = this.figuresOf(writing) as Writable<Mark>;
    mark.id = markId(++this.marks);
    mark.terms = writing.terms ?? (from ? ofThese(from) : all);
    if (hop) mark.hop = hop;
    if (line) mark.line = line;
    if (beyond.size > 0) mark.beyond = beyond;
    return mark;
  }

  /** What a mark shows and is worth by the place it is written in, whatever terms it holds. */
  protected figuresOf(writing: Writing): Omit<Mark, 'id' | 'terms' | 'hop' | 'line' | 'beyond'> {
    const { role, count, place, spot, medium = 'paper', worth, placed } = writing;
    const glyph = writing.glyph ?? this.glyph(count);
    return {
      standing: 'marked',
      text: writing.text ?? glyph,
      glyph,
      worth: worth ?? worthAt(count, this.base, place),
      medium,
      role,
      spot,
      place: worth === undefined || placed ? place : undefined,
    };
  }

  private glyph(count: number): string {
    if (count < 0) return `−${this.glyph(-count)}`;
    return count < this.base ? figure(count) : count.toString(this.base).toUpperCase();
  }
}
