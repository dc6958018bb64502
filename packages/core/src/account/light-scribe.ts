import { owedId, UNNAMED_ID } from './ids.ts';
import { Exact } from '../exact/exact.ts';
import { problemValue } from '../problem/problem.ts';
import type {
  Entry,
  EntryId,
  FactChance,
  Given,
  Mark,
  Opportunity,
  OwedEntry,
  Trace,
} from './account.ts';
import { withEnds } from './chance.ts';
import type { Leak } from './leaks.ts';
import { Scribe, type StepDraft } from './scribe.ts';
import { TermSet, type TermSpace } from './terms.ts';
import { type PieceSpace } from './spaces.ts';

/**
 * Follows a method's work for its amounts alone: the answer, and where something leaks. It is asked by the same
 * calls as the Scribe, so that a method has one implementation; phrases, terms, groups and the question's figures are
 * not kept. Entries say what they owe only when they are asked.
 */
export class LightScribe extends Scribe {
  override readonly keepsTerms = false;
  readonly leaks: Leak[] = [];
  private read: readonly Mark[] = [];
  private readonly allMarks: Mark[] = [];
  private none!: TermSet;
  private done = 0;

  override get stepsDone(): number {
    return this.done;
  }

  /** How many steps were made. */
  get steps(): number {
    return this.done;
  }

  /** The marks that are read as the answer, in the order in which they were written. */
  get answer(): readonly Mark[] {
    const read = new Set(this.read);
    return this.allMarks.filter((mark) => read.has(mark));
  }

  /** The chances that were asked about. */
  get chances(): readonly Opportunity[] {
    return withEnds(this.opportunities);
  }

  /** The facts that were used. */
  get factChances(): readonly FactChance[] {
    return this.facts;
  }

  protected override openTerms(space: TermSpace): void {
    this.openSpace(space);
  }

  override openShares(
    space: PieceSpace,
    owed: readonly { readonly text: string; readonly worth: Exact; readonly terms: TermSet }[],
  ): readonly OwedEntry[] {
    this.openSpace(space);
    const total = problemValue(this.request.problem);
    const balance = Exact.sum(owed.map(({ worth }) => worth));
    if (!balance.equals(total)) this.leaks.push({ step: 0, amount: balance.minus(total) });
    return owed.map((of, k) => ({ id: owedId(k), standing: 'owed', ...of }));
  }

  private openSpace(space: TermSpace): void {
    this.space = space;
    this.none = TermSet.empty(space);
  }

  override owes(...parts: number[]): OwedEntry {
    const index = this.space.index(parts);
    let entry = this.owed.get(index);
    if (!entry) this.owed.set(index, (entry = new LightOwed(this.space, parts, index, this.none)));
    return entry;
  }

  override kindWhere(letters: string) {
    if (this.owed.size < this.space.size) {
      for (let index = 0; index < this.space.size; index++) this.owes(...this.space.parts(index));
    }
    return super.kindWhere(letters);
  }

  override give(): Given {
    return this.unwritten();
  }

  override giveWhole(): Given {
    return this.unwritten();
  }

  override giveFigure(): Given {
    return this.unwritten();
  }

  private unwritten(): Given {
    return {
      id: UNNAMED_ID,
      standing: 'given',
      text: '',
      glyph: '',
      worth: Exact.ZERO,
      terms: this.none,
      role: 'operand digit',
      spot: NOWHERE,
      operand: 0,
      place: undefined,
      owed: null,
    };
  }

  override step({ takes, writes }: StepDraft): readonly Mark[] {
    this.done += 1;
    const gives = writes.map((writing): Mark => ({
      id: UNNAMED_ID,
      ...this.figuresOf(writing),
      terms: this.none,
    }));
    this.allMarks.push(...gives);
    const amount = change(gives, takes);
    if (amount) this.leaks.push({ step: this.done, amount });
    return gives;
  }

  override group(): void {
    // Groups are for reading; no method decides anything by them.
  }

  override close(answer: readonly Mark[]): Trace {
    const { problem, method, school, order = [], hops = [] } = this.request;
    this.read = answer;
    return {
      problem,
      method,
      school,
      choice: { order, hops },
      space: this.space,
      givens: [],
      start: [],
      steps: [],
      groups: [],
      opportunities: this.opportunities,
      facts: this.facts,
      total: problemValue(problem),
      answer: Exact.sum(answer.map(({ worth }) => worth)),
      balanced: this.leaks.length === 0,
      scale: null,
      whole: null,
      stages: [],
    };
  }
}

const NOWHERE = { area: '', row: 0, column: 0 };

/** An owed term that works out what it is only when it is asked. */
class LightOwed implements OwedEntry {
  readonly standing = 'owed';
  private known: Exact | null = null;

  constructor(
    private readonly space: TermSpace,
    private readonly parts: readonly number[],
    private readonly index: number,
    readonly terms: TermSet,
  ) {}

  get worth(): Exact {
    return (this.known ??= this.space.worthOf(this.parts));
  }

  get id(): EntryId {
    return owedId(this.space.id(this.index));
  }

  get text(): string {
    return this.space.textOf(this.parts);
  }
}

/** What a step gains, negative where it loses; null when nothing. */
function change(gives: readonly Entry[], takes: readonly Entry[]): Exact | null {
  const [given, taken] = [gives, takes].map((list) =>
    list.length === 1 ? list[0]!.worth : Exact.sum(list.map(({ worth }) => worth)),
  ) as [Exact, Exact];
  return given.equals(taken) ? null : given.minus(taken);
}
