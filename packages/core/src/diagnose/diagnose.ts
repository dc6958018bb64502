import { addressText } from '../account/chance.ts';
import type { Mark, Trace } from '../account/account.ts';
import { amountWriter } from '../problem/script.ts';
import { problemText, type Problem } from '../problem/problem.ts';
import { slipIdea } from '../slips/catalogue.ts';
import type { Effect } from '../slips/slip-idea.ts';
import { readAnswer, type AnswerFault, type Form } from './answer.ts';
import type { Budget } from './budget.ts';
import type { Cause, CauseSlip, CauseWork } from './cause.ts';
import { evidenceOf, type Evidence } from './evidence.ts';
import { type Search, type Searched } from './search.ts';

/** A slip of an explanation as plain data. */
export interface ExplainedSlip {
  readonly slip: string;
  /** The idea of the catalogue: the slip itself, or what explains a wrong fact. */
  readonly idea: string;
  readonly at: string;
  /** The step of the first named method in which it is made; null before any work. */
  readonly step: number | null;
  readonly wrote: string | null;
  readonly due: string | null;
  /** The fact that was taken for another number, such as `5 × 4`. */
  readonly fact: string | null;
}

export interface Explanation {
  readonly methods: readonly { readonly method: string; readonly school: CauseWork['school'] }[];
  readonly slips: readonly ExplainedSlip[];
  readonly habit: Cause['habit'];
  readonly effect: Effect;
  readonly cancels: boolean;
  readonly evidence: Evidence;
  /** What was worked instead, where the question was copied wrongly. */
  readonly copied: string | null;
}

/** What an answer is, and what explains it; amounts as exact texts. */
export interface Diagnosis {
  readonly answer: string;
  readonly answered: boolean;
  readonly right: boolean;
  readonly form: Form;
  readonly off: string | null;
  readonly explanations: readonly Explanation[];
  readonly silent: readonly string[];
  readonly searched: Searched;
}

export type Diagnosed =
  | { readonly ok: true; readonly diagnosis: Diagnosis }
  | { readonly ok: false; readonly fault: AnswerFault };

/** The most explanations of one answer that are told. */
const MOST = 12;

/** Reads one answer to the problem of a search and says what explains it; nothing explained is an empty list. */
export function diagnose(search: Search, text: string, budget?: Budget): Diagnosed {
  const read = readAnswer(text, search.problem);
  if (!read.ok) return read;
  const answer = text.trim();
  const none = { explanations: [], silent: search.silent };
  if (!read.answered) {
    const diagnosis = {
      answer,
      answered: false,
      right: false,
      form: 'as-asked',
      off: null,
      ...none,
    } as const;
    return { ok: true, diagnosis: { ...diagnosis, searched: search.searched } };
  }
  const { amount, form } = read;
  const right = amount.equals(search.right);
  const explanations = right
    ? []
    : search
        .explain(amount, budget)
        .slice(0, MOST)
        .map((cause) => explained(search, cause));
  const off = amount.minus(search.right).toString();
  const told = { answer, answered: true, right, form, off, explanations, silent: search.silent };
  return { ok: true, diagnosis: { ...told, searched: search.searched } };
}

function explained(search: Search, cause: Cause): Explanation {
  const { works, habit, cancels, copied } = cause;
  const effects = cause.slips.map(({ idea }) => slipIdea(idea).effect);
  return {
    methods: works.map(({ method, school }) => ({ method: method.id, school })),
    slips: explainedSlips(search.problem, cause),
    habit,
    effect: effects.find((effect) => effect !== 'detour') ?? 'detour',
    cancels,
    evidence: evidenceOf(search, cause),
    copied: copied && problemText(copied),
  };
}

/** What each slip of a cause wrote, and what was due there; of the first of its works. */
function explainedSlips(problem: Problem, cause: Cause): readonly ExplainedSlip[] {
  const [work] = cause.works;
  const write = amountWriter(problem);
  if (!work || cause.copied || cause.tier === 'whole-item') {
    return cause.slips.map((slip) => ({
      ...named(slip),
      step: null,
      wrote: cause.copied ? problemText(cause.copied) : write(cause.answer),
      due: cause.copied ? problemText(problem) : null,
      fact: null,
    }));
  }
  const { method, school } = work;
  const right = method.trace(problem, { school });
  const slipped = method.trace(problem, { school, slips: cause.slips });
  return cause.slips.map((slip) => slipOfWork(slip, right, slipped));
}

function named({ slip, at, value, idea }: CauseSlip) {
  const address = addressText(value === undefined ? { slip, at } : { slip, at, value });
  return { slip, idea, at: address };
}

function slipOfWork(slip: CauseSlip, right: Trace, slipped: Trace): ExplainedSlip {
  const here = stepOf(slipped, slip);
  const there = stepOf(right, slip);
  const { fact } = slip;
  if (fact) {
    const [column, row] = fact.of;
    const text = fact.sign === '×' ? `${row} × ${column}` : fact.of.join(` ${fact.sign} `);
    return { ...named(slip), step: here, wrote: `${slip.value}`, due: `${fact.due}`, fact: text };
  }
  const wrote = written(slipped, here);
  return { ...named(slip), step: here, wrote, due: written(right, there), fact: null };
}

function stepOf({ opportunities, facts }: Trace, { slip, at }: CauseSlip): number | null {
  const address = addressText({ slip, at });
  const chance = [...opportunities, ...facts].find((one) => addressText(one) === address);
  return chance?.step ?? null;
}

/** The figures that a step writes, those of one row together as they are read: `20`, `8 and 4` with a carry, `6 and 10` over two columns. */
function written({ steps }: Trace, step: number | null): string | null {
  const marks: readonly Mark[] = (step !== null && steps[step - 1]?.gives) || [];
  const rows = new Map<string, Mark[]>();
  for (const mark of marks) {
    const row = `${mark.spot.area} ${mark.spot.row}`;
    rows.set(row, [...(rows.get(row) ?? []), mark]);
  }
  const texts = [...rows.values()].map((row) => {
    const own = [...row].sort((a, b) => (b.place ?? 0) - (a.place ?? 0)).map(({ text }) => text);
    return own.join(own.every((text) => text.length === 1) ? '' : ' and ');
  });
  return texts.length === 0 ? null : texts.join(' and ');
}
