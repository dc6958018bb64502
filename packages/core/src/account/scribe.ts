import { Exact } from '../exact/exact.ts';
import { figure, worthAt, type Numeral } from '../exact/numeral.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import type {
  Entry,
  EntryId,
  Given,
  Group,
  GroupRole,
  Law,
  Mark,
  Opportunity,
  OwedEntry,
  Phrase,
  Role,
  School,
  SlipRequest,
  Spot,
  Step,
  Trace,
} from './account.ts';
import { placeCut, type Part } from './cut.ts';
import { TermSet, TermSpace } from './terms.ts';

/** What a method writes in a step: a count of some place, at a spot. */
export interface Writing {
  readonly role: Role;
  /** How many of the place; its figures are the glyph. */
  readonly count: number;
  /** The place it is written in, which alone decides its worth. */
  readonly place: number;
  readonly spot: Spot;
  readonly medium?: 'paper' | 'head';
  /** Figures to show instead of the count's own, such as a run of zeros. */
  readonly glyph?: string;
  /** For a number written whole rather than digit by digit: its worth, whatever the place. */
  readonly worth?: Exact;
}

/** One empty list for all steps that strike nothing. */
const NONE: readonly EntryId[] = [];

export interface StepDraft {
  readonly law: Law;
  readonly phase: string;
  readonly takes: readonly Entry[];
  readonly writes: readonly Writing[];
  readonly strikes?: readonly Mark[];
  readonly phrase: Phrase;
}

export interface ScribeRequest {
  readonly problem: Problem;
  readonly method: string;
  readonly school: School;
  readonly slips?: readonly SlipRequest[];
  readonly order?: readonly string[];
}

/**
 * Writes one trace. It opens the account with the expansion a method works from, turns drafts into
 * steps, gives every mark its worth from the place it is written in, keeps the running balance, and
 * collects the points where a learner may slip. A new Scribe is made for every trace.
 */
export class Scribe {
  readonly base: number;
  private space!: TermSpace;
  private readonly owed = new Map<number, OwedEntry>();
  private readonly live = new Set<Entry>();
  private readonly givens: Given[] = [];
  private readonly steps: Step[] = [];
  private readonly groups: Group[] = [];
  private readonly opportunities: Opportunity[] = [];
  private readonly slipCounts = new Map<string, number>();
  private readonly wanted: ReadonlySet<string>;
  /** For each operand and part, the numbers of the terms it takes part in. */
  private termsOf: number[][][] = [];
  private balance = Exact.ZERO;
  private marks = 0;

  constructor(private readonly request: ScribeRequest) {
    this.base = request.problem.base;
    this.wanted = new Set(request.slips?.map(({ slip, occurrence }) => `${slip}@${occurrence}`));
  }

  /**
   * Opens the account: the product of the operands, cut at their places, all of it owed. `kept`
   * names the part indices to keep of each operand; those left out must be worth zero.
   */
  openProduct(operands: readonly Numeral[], kept?: readonly (readonly number[])[]): void {
    this.open(operands.map(placeCut), kept);
  }

  /** Opens the account with any cut of the operands. */
  open(
    cuts: readonly (readonly Part[])[],
    kept: readonly (readonly number[])[] = cuts.map((parts) => parts.map((_, k) => k)),
  ): void {
    const space = (this.space = new TermSpace(cuts));
    this.termsOf = cuts.map((parts) => parts.map(() => []));
    for (const parts of choices(kept)) {
      const index = space.index(parts);
      const worth = space.worthOf(parts);
      const id = `o${space.id(index)}` as EntryId;
      const terms = worth.isZero ? TermSet.empty(space) : TermSet.of(space, index);
      const entry: OwedEntry = { id, standing: 'owed', text: space.textOf(parts), worth, terms };
      this.owed.set(index, entry);
      this.live.add(entry);
      if (worth.isZero) continue;
      this.balance = this.balance.plus(worth);
      parts.forEach((part, operand) => this.termsOf[operand]![part]!.push(index));
    }
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

  /** Puts a digit or part of an operand on the paper. It is no amount of the account. */
  give(operand: number, part: number, role: Given['role'], spot: Spot): Given {
    const { worth, text, place } = this.space.cuts[operand]![part]!;
    const terms = TermSet.from(this.space, this.termsOf[operand]![part]!);
    const glyph = role === 'operand digit' ? text.slice(0, 1) : text;
    const id = `g${operand}.${part}` as EntryId;
    const given: Given = {
      id,
      standing: 'given',
      text,
      glyph,
      worth,
      terms,
      role,
      spot,
      operand,
      place,
    };
    this.givens.push(given);
    return given;
  }

  /** Makes a step and returns the marks it wrote, in the order of the draft. */
  step({ law, phase, takes, writes, strikes = [], phrase }: StepDraft): readonly Mark[] {
    const terms = TermSet.union(
      this.space,
      takes.map((entry) => entry.terms),
    );
    let change = Exact.ZERO;
    for (const entry of takes) {
      if (!this.live.delete(entry)) {
        throw new RangeError(`Scribe.step: ${entry.id} (${entry.text}) is taken twice`);
      }
      if (!entry.worth.isZero) change = change.minus(entry.worth);
    }
    const gives = writes.map((writing) => this.mark(writing, terms));
    for (const mark of gives) {
      this.live.add(mark);
      if (!mark.worth.isZero) change = change.plus(mark.worth);
    }
    if (!change.isZero) this.balance = this.balance.plus(change);
    this.steps.push({
      number: this.steps.length + 1,
      law,
      phase,
      takes: takes.map((entry) => entry.id),
      gives,
      strikes: strikes.length === 0 ? NONE : strikes.map((mark) => mark.id),
      phrase,
      balance: this.balance,
    });
    return gives;
  }

  /**
   * Whether the learner slips at this point. Call it once at each point, just before the step, with
   * whether the slip would change anything there; the calls of a clean run are the opportunities.
   */
  slip(slip: string, when: boolean): boolean {
    if (!when) return false;
    const occurrence = (this.slipCounts.get(slip) ?? 0) + 1;
    this.slipCounts.set(slip, occurrence);
    this.opportunities.push({ slip, occurrence, step: this.steps.length + 1 });
    return this.wanted.size > 0 && this.wanted.has(`${slip}@${occurrence}`);
  }

  group(id: string, role: GroupRole, marks: readonly Mark[], phrase: Phrase): void {
    this.groups.push({
      id,
      role,
      marks: marks.map((mark) => mark.id),
      worth: Exact.sum(marks.map((mark) => mark.worth)),
      terms: TermSet.union(
        this.space,
        marks.map((mark) => mark.terms),
      ),
      phrase,
    });
  }

  /** Closes the trace with the marks that are read as the answer. */
  close(answer: readonly Mark[], phrase: Phrase): Trace {
    this.group('answer', 'answer', answer, phrase);
    const { problem, method, school } = this.request;
    const total = problemValue(problem);
    return {
      problem,
      method,
      school,
      space: this.space,
      givens: this.givens,
      start: [...this.owed.values()],
      steps: this.steps,
      groups: this.groups,
      opportunities: this.opportunities,
      total,
      answer: this.groups.at(-1)!.worth,
      balanced: this.steps.every((step) => step.balance.equals(total)),
    };
  }

  private mark(writing: Writing, terms: TermSet): Mark {
    const { role, count, place, spot, medium = 'paper', worth } = writing;
    const glyph = writing.glyph ?? this.glyph(count);
    return {
      id: `m${++this.marks}` as EntryId,
      standing: 'marked',
      text: glyph,
      glyph,
      worth: worth ?? worthAt(count, this.base, place),
      terms,
      medium,
      role,
      spot,
      place: worth === undefined ? place : undefined,
    };
  }

  private glyph(count: number): string {
    return count < this.base ? figure(count) : count.toString(this.base).toUpperCase();
  }
}

/** Every way to take one of each list, the first list running fastest. */
function choices(lists: readonly (readonly number[])[]): readonly (readonly number[])[] {
  return lists.reduceRight<readonly (readonly number[])[]>(
    (rest, list) => rest.flatMap((tail) => list.map((head) => [head, ...tail])),
    [[]],
  );
}
