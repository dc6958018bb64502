import { addressText, type Feature } from '../account/chance.ts';
import type { School } from '../account/account.ts';
import { type Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import type { Method } from '../methods/method.ts';
import { problemText, type Problem } from '../problem/problem.ts';
import { slipIdea } from '../slips/catalogue.ts';
import { suits, workWithHabits, type SlipHabit } from '../habits/habits.ts';
import { readAnswer } from './answer.ts';
import { Budget } from './budget.ts';
import { compareCauses, slipCount, type Cause } from './cause.ts';
import { Search, wholeItemCause } from './search.ts';
import { costOf } from './works.ts';
import { otherItems } from './whole-item.ts';

/** One answer of a learner. */
export interface SheetItem {
  readonly problem: Problem;
  readonly answer: string;
}

/** What explains one item of a sheet. */
export interface ItemVerdict {
  readonly problem: string;
  readonly answer: string;
  readonly answered: boolean;
  readonly read: boolean;
  readonly right: boolean;
  /** The habit of the sheet that explains it, by its number; null where none does. */
  readonly habits: readonly number[];
  /** What explains it beyond the habits of the sheet; null for nothing. */
  readonly cause: Cause | null;
  /** Whether the habits of the sheet would have made it wrong, though it is right. */
  readonly spared: boolean;
}

/** How often a slip was made of the times at which it could have been. */
export interface SheetSlip {
  readonly slip: string;
  readonly where: 'all' | Feature;
  readonly method: string;
  readonly made: number;
  readonly chances: number;
  readonly verdict: 'habit' | 'now-and-then';
}

export interface SheetDiagnosis {
  /** Whether habits were left out because the budget was spent. */
  readonly cut: boolean;
  readonly slips: readonly SheetSlip[];
  readonly items: readonly ItemVerdict[];
}

/** An item with its answer read and its search. */
interface Read {
  /** What may still be spent on the sheet. */
  readonly budget: Budget;
  readonly item: SheetItem;
  readonly search: Search;
  readonly amount: Exact | null;
  readonly answered: boolean;
}

/** A habit as one method's work shows it. */
interface Candidate extends SlipHabit {
  readonly method: Method;
  readonly school: School;
}

/** What looking for the habits of one sheet may spend beside its searches. */
const SHEET_BUDGET = 600_000;
/** The most habits that a sheet is explained by. */
const MOST_HABITS = 3;

/**
 * A learner's sheet: the fewest habits that explain it. A habit counts for every wrong answer that it gives, alone or with one
 * more slip, and against itself for every answer that it would have made wrong and did not. Items of different kinds
 * are explained apart, since a method works one kind.
 */
export function diagnoseSheet(
  items: readonly SheetItem[],
  searchFor: (problem: Problem) => Search = (problem) => new Search(problem),
  budget = new Budget(SHEET_BUDGET),
): SheetDiagnosis {
  const read = items.map((item) => readItem(item, searchFor(item.problem), budget));
  const habits = habitsOf(read);
  const verdicts = read.map((one) => verdictOf(one, habits, read));
  const cut = budget.isCut || read.some(({ search }) => search.searched.cut);
  return { cut, slips: slipsOf(read, habits, verdicts), items: verdicts };
}

function readItem(item: SheetItem, search: Search, budget: Budget): Read {
  const read = readAnswer(item.answer, item.problem);
  const answered = !read.ok || read.answered;
  const amount = read.ok && read.answered ? read.amount : null;
  return { item, search, answered, amount, budget };
}

/** Habits chosen one by one, each the one that explains most of what is left. */
function habitsOf(read: readonly Read[]): readonly Candidate[] {
  const chosen: Candidate[] = [];
  let left = read.filter((one) => isWrong(one));
  const candidates = candidatesOf(left);
  while (left.length > 0 && chosen.length < MOST_HABITS) {
    const [best] = candidates
      .filter((candidate) => !chosen.includes(candidate))
      .map((candidate) => ({ candidate, score: scoreOf(candidate, read, left) }))
      .filter(({ score }) => score.whole >= 2 && score.for > 2 * score.against)
      .sort((a, b) => compareScores(a.score, b.score));
    if (!best) break;
    chosen.push(best.candidate);
    left = left.filter((one) => !explains(best.candidate, one));
  }
  return chosen;
}

function isWrong({ amount, search }: Read): boolean {
  return amount !== null && !amount.equals(search.right);
}

/** Habits that come into question: every slip that explains some wrong answer, with every feature of its chances. */
function candidatesOf(wrong: readonly Read[]): readonly Candidate[] {
  const known = new Map<string, Candidate>();
  for (const { amount, search, budget } of wrong) {
    if (!amount) continue;
    const causes = search.explain(amount, budget).filter((cause) => cause.tier === 'method');
    for (const { works, slips } of causes) {
      for (const { method, school } of works) {
        for (const { slip } of slips) {
          for (const where of featuresOf(search, method, slip)) {
            const name = `${method.id} ${JSON.stringify(school)} ${slip} ${where}`;
            if (!known.has(name)) known.set(name, { method, school, slip, where });
          }
        }
      }
    }
  }
  return [...known.values()];
}

function featuresOf(
  { events }: Search,
  method: Method,
  slip: string,
): readonly ('all' | Feature)[] {
  const chances = events
    .filter(({ way }) => way.method === method)
    .flatMap(({ way }) => way.clean.opportunities.filter((chance) => chance.slip === slip));
  return ['all', ...new Set(chances.flatMap(({ features }) => features))];
}

interface Score {
  /** Wrong answers that the habit gives, alone or with one more slip. */
  readonly for: number;
  /** Those that it gives alone. */
  readonly whole: number;
  /** Answers that it would have made wrong in another way than they are, or that are right. */
  readonly against: number;
  readonly isNarrow: boolean;
  readonly often: number;
  /** Its method's place in the registry. */
  readonly rank: number;
}

/** Most explained first, then least against it, then every chance before some. */
function compareScores(a: Score, b: Score): number {
  return (
    b.for + b.whole - 2 * b.against - (a.for + a.whole - 2 * a.against) ||
    a.against - b.against ||
    Number(a.isNarrow) - Number(b.isNarrow) ||
    b.often - a.often ||
    a.rank - b.rank
  );
}

function scoreOf(candidate: Candidate, read: readonly Read[], left: readonly Read[]): Score {
  const shown = read.filter(
    (one) => one.amount !== null && predicted(candidate, one)?.equals(one.search.right) === false,
  );
  const whole = shown.filter(
    (one) => left.includes(one) && predicted(candidate, one)!.equals(one.amount!),
  );
  const others = shown.filter((one) => !predicted(candidate, one)!.equals(one.amount!));
  // A habit that gives no two answers by itself is not looked at more closely.
  const partly = others.filter(
    (one) => whole.length > 1 && left.includes(one) && withOneMore(candidate, one) !== null,
  );
  // What nothing explains speaks for no habit and against none.
  const silent = others.filter(
    (one) => isWrong(one) && one.search.explain(one.amount!, one.budget).length === 0,
  );
  const unlike = others.filter((one) => !partly.includes(one) && !silent.includes(one));
  return {
    for: whole.length + partly.length,
    whole: whole.length,
    against: unlike.length,
    isNarrow: candidate.where !== 'all',
    often: slipIdea(candidate.slip).often,
    rank: registry.methods.indexOf(candidate.method),
  };
}

function explains(candidate: Candidate, one: Read): boolean {
  const given = predicted(candidate, one);
  if (!given || !one.amount || given.equals(one.search.right)) return false;
  return one.amount.equals(given) || withOneMore(candidate, one) !== null;
}

const PREDICTED = new WeakMap<Search, Map<string, ReturnType<typeof workWithHabits> | null>>();

function itemWork(
  { method, school, slip, where }: Candidate,
  { search, budget }: Pick<Read, 'search' | 'budget'>,
) {
  const all = PREDICTED.get(search) ?? new Map<string, ReturnType<typeof workWithHabits> | null>();
  PREDICTED.set(search, all);
  const name = `${method.id} ${JSON.stringify(school)} ${slip} ${where}`;
  const known = all.get(name);
  if (known !== undefined) return known;
  const work =
    method.accepts(search.problem).ok && budget.goesOn()
      ? workWithHabits(method, search.problem, { school, habits: [{ slip, where }] })
      : null;
  if (work) budget.spend(work.rounds * costOf(search.problem, work.run));
  all.set(name, work);
  return work;
}

/** What a learner with the habit answers; null where the method does not take the item. */
function predicted(candidate: Candidate, one: Read): Exact | null {
  return itemWork(candidate, one)?.run.answer ?? null;
}

/** One more slip or wrong fact by which the habit gives the answer; null where there is none. */
function withOneMore(candidate: Candidate, { search, amount, budget }: Read): Cause | null {
  const { method, school, slip, where } = candidate;
  const way = search.events.find(
    (events) => events.way.method === method && sameSchool(events.way.school, school),
  );
  const work = itemWork(candidate, { search, budget });
  if (!way || !work || !amount) return null;
  const off = amount.minus(work.run.answer);
  for (const event of [...way.facts, ...way.singles]) {
    // What a wrong fact gives depends on the habit; another slip is tried where what it is off by adds up.
    const isFact = event.slips.every(({ fact }) => fact);
    const isSame = event.slips.some((one) => one.slip === slip);
    if (isSame || (!isFact && !event.run.answer.minus(search.right).equals(off))) continue;
    if (!budget.goesOn()) return null;
    const slips = event.slips;
    const { run, made, rounds } = workWithHabits(method, search.problem, {
      school,
      habits: [{ slip, where }],
      slips,
    });
    budget.spend(rounds * costOf(search.problem, run));
    if (!run.answer.equals(amount)) continue;
    const all = [...made.map((one) => ({ ...one, idea: one.slip })), ...slips];
    const works = [{ method, school }];
    return {
      tier: 'method',
      slips: all,
      habit: { where },
      answer: amount,
      works,
      copied: null,
      cancels: false,
    };
  }
  return null;
}

function sameSchool(one: School, other: School): boolean {
  return Object.keys(one).every((id) => one[id] === other[id]);
}

function verdictOf(one: Read, habits: readonly Candidate[], all: readonly Read[]): ItemVerdict {
  const { item, search, amount, answered, budget } = one;
  const told = {
    problem: problemText(item.problem),
    answer: item.answer.trim(),
    answered,
    read: !answered || amount !== null,
  };
  const right = amount?.equals(search.right) ?? false;
  const spared =
    right && habits.some((habit) => predicted(habit, one)?.equals(search.right) === false);
  if (!amount || right) return { ...told, right, habits: [], cause: null, spared };
  const alone = habits.flatMap((habit, k) => (predicted(habit, one)?.equals(amount) ? [k] : []));
  if (alone.length > 0) return { ...told, right, habits: alone.slice(0, 1), cause: null, spared };
  const withMore = habits.flatMap((habit, k) => {
    const isShown = predicted(habit, one)?.equals(search.right) === false;
    const cause = isShown ? withOneMore(habit, one) : null;
    return cause ? [{ k, cause }] : [];
  });
  const [both] = withMore;
  if (both) return { ...told, right, habits: [both.k], cause: both.cause, spared };
  const others = [...search.explain(amount, budget), ...fromAnother(one, all)];
  const [cause = null] = others.sort(compareCauses);
  return { ...told, right, habits: [], cause, spared };
}

/** The answer of another item of the sheet, where it stands here. */
function fromAnother({ item, amount }: Read, all: readonly Read[]): readonly Cause[] {
  const others = all.flatMap((other) => (other.item === item ? [] : [other.item.problem]));
  return otherItems(item.problem, others)
    .filter(({ answer }) => amount !== null && answer.equals(amount))
    .slice(0, 1)
    .map((found) => wholeItemCause(found));
}

/** How often each habit was followed, and which other slips were met now and then. */
function slipsOf(
  read: readonly Read[],
  habits: readonly Candidate[],
  verdicts: readonly ItemVerdict[],
): readonly SheetSlip[] {
  const followed = habits.map((habit, k): SheetSlip => {
    let [made, chances] = [0, 0];
    read.forEach((one, n) => {
      const work = itemWork(habit, one);
      if (!work || !one.amount) return;
      const isFollowed = verdicts[n]!.habits.includes(k) || one.amount.equals(work.run.answer);
      chances += work.made.length;
      if (isFollowed) made += work.made.length;
    });
    const { slip, where, method } = habit;
    return { slip, where, method: method.id, made, chances, verdict: 'habit' };
  });
  return [...followed, ...nowAndThen(read, verdicts, followed)];
}

/** Slips that explain single items, of all their chances on the sheet. */
function nowAndThen(
  read: readonly Read[],
  verdicts: readonly ItemVerdict[],
  habits: readonly SheetSlip[],
): readonly SheetSlip[] {
  const found = new Map<string, { readonly slip: string; readonly method: Method; made: number }>();
  for (const { cause, habits: by } of verdicts) {
    if (!cause || by.length > 0 || slipCount(cause) > 1) continue;
    const [work] = cause.works;
    const [first] = cause.slips;
    if (!work || !first || cause.tier === 'copy') continue;
    const name = `${work.method.id} ${first.slip}`;
    const known = found.get(name) ?? { slip: first.slip, method: work.method, made: 0 };
    found.set(name, { ...known, made: known.made + new Set(cause.slips.map(addressText)).size });
  }
  return [...found.values()]
    .filter(({ slip }) => habits.every((habit) => habit.slip !== slip))
    .map(({ slip, method, made }): SheetSlip => {
      const chances = read.reduce((sum, one) => sum + chancesIn(one, method, slip), 0);
      const isHabit = made > 1 && made * 2 > chances;
      return {
        slip,
        where: 'all',
        method: method.id,
        made,
        chances,
        verdict: isHabit ? 'habit' : 'now-and-then',
      };
    });
}

function chancesIn({ search, amount }: Read, method: Method, slip: string): number {
  const way = search.events.find((events) => events.way.method === method)?.way;
  if (!way || !amount) return 0;
  const facts = way.clean.facts.filter((chance) => chance.slip === slip).length;
  return (
    facts + way.clean.opportunities.filter((chance) => suits({ slip, where: 'all' }, chance)).length
  );
}
