import { addressText } from '../../account/chance.ts';
import { Budget } from '../../diagnose/budget.ts';
import type { Cause } from '../../diagnose/cause.ts';
import { Search } from '../../diagnose/search.ts';
import type { Exact } from '../../exact/exact.ts';
import { readProblem, type Problem } from '../../problem/problem.ts';
import { bothSides, type JudgedPaper } from '../judge/judged-paper.ts';
import { flat, termValue, turned } from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';
import { paired } from '../../line/paired.ts';

/** A computation that a line works out, and what it gives for it, which is wrong. */
export interface WrongWorking {
  readonly problem: Problem;
  readonly answer: Exact;
}

/**
 * The one computation that an unequal line works out wrongly, where the rest of the line is as it was due: 46 × 60 given
 * as 276 in 276 − 92. Null where a line is wrong in another way, or in several places.
 */
export function wrongWorking(
  { rewritings, statements, lines }: JudgedPaper,
  n: number,
): WrongWorking | null {
  const line = lines.find((own) => own.n === n);
  if (line?.verdict !== 'unequal') return null;
  const step = rewritings.find((own) => own.n === n && !own.off.isZero);
  const statement = statements.get(n);
  const aside = statement && !statement.isOpen ? bothSides(statement) : null;
  const [from, to] = step ? [step.from, step.to] : (aside ?? [[], []]);
  // Terms that are worth the same are as they were due.
  const { left: old, rest: made } = paired(flat(from), flat(to), (term) => String(termValue(term)));
  const [only, ...more] = made;
  if (more.length > 0 || only?.node.kind !== 'number' || old.length === 0) return null;
  const asked = only.minus ? turned(old) : old;
  const read = readProblem(termsText(asked));
  const answer = only.node.value.rational;
  return read.ok && answer ? { problem: read.problem, answer } : null;
}

/** A slip that gives what a line gives. */
export interface LineSlip {
  readonly working: WrongWorking;
  readonly cause: Cause;
  /** Where it is made. */
  readonly address: string;
}

/** What the search for the slip of one line may spend, and for all lines of a paper. */
const LINE_BUDGET = 150_000;
export const PAPER_BUDGET = 450_000;

/**
 * The likeliest single slip or habit with which a computation comes to what a line gives; null where none does, or where
 * none was found before the budget was spent.
 */
export function lineSlip(
  working: WrongWorking,
  budget = new Budget(PAPER_BUDGET),
): LineSlip | null {
  const search = searchOf(working.problem, Math.min(LINE_BUDGET, budget.rest));
  budget.charge(search.spent, search.searched.cut);
  const [cause] = search.byOne(working.answer);
  const [slip] = cause?.slips ?? [];
  return cause && slip ? { working, cause, address: addressText(slip) } : null;
}

/** Searches that are remembered: what goes wrong in a computation is worked out once for all that is given for it. */
const MOST_SEARCHES = 12;
const SEARCHES = new Map<string, Search>();

function searchOf(problem: Problem, most: number): Search {
  const key = JSON.stringify([problem.kind, problem.operands, problem.base, most]);
  const made = SEARCHES.get(key) ?? new Search(problem, undefined, new Budget(most));
  SEARCHES.delete(key);
  SEARCHES.set(key, made);
  if (SEARCHES.size > MOST_SEARCHES) SEARCHES.delete(SEARCHES.keys().next().value!);
  return made;
}
